/**
 * A language that proves the others: English with an accent on each vowel and two fifths longer. Whatever stands on a screen without
 * accents has no key; whatever is cut has no room for a longer language. Chosen by hand alone: localStorage 'impa:language' = 'pseudo'.
 */
const ACCENTS: Record<string, string> = {
  a: 'á',
  e: 'é',
  i: 'í',
  o: 'ó',
  u: 'ú',
  y: 'ý',
  A: 'Á',
  E: 'É',
  I: 'Í',
  O: 'Ó',
  U: 'Ú',
  Y: 'Ý',
}

/** In words of six letters at most: they break as others do. */
const longer = (length: number) => 'ōōōōōō '.repeat(Math.ceil(length / 7)).slice(0, length)

export const accented = (text: string) =>
  `${text.replace(/[aeiouyAEIOUY]/g, (letter) => ACCENTS[letter] ?? letter)} ${longer(Math.max(1, Math.ceil(text.length * 0.4) - 1))}`.trimEnd()
