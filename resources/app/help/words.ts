import { trade } from '../state/trade'

export interface Piece {
  text: string
  /** Of the word that it is; empty for all that lies between. */
  code: string
}

/** Any letter, whatever the language: words end where none follows. */
const LETTER = '[\\p{L}\\p{N}]'

/** A text cut at the words of the trade, each marked where it comes first; the longest form that fits is taken. */
export function parted(text: string): Piece[] {
  const codes = new Map(trade.words.flatMap((word) => word.said.map((form) => [form.toLowerCase(), word.code])))
  if (codes.size === 0) return [{ text, code: '' }]
  const forms = [...codes.keys()].sort((a, b) => b.length - a.length)
  const any = new RegExp(`(?<!${LETTER})(${forms.join('|')})(?!${LETTER})`, 'giu')
  const pieces: Piece[] = []
  const seen = new Set<string>()
  let at = 0
  for (const found of text.matchAll(any)) {
    const code = codes.get(found[0].toLowerCase()) ?? ''
    if (seen.has(code)) continue
    seen.add(code)
    if (found.index > at) pieces.push({ text: text.slice(at, found.index), code: '' })
    pieces.push({ text: found[0], code })
    at = found.index + found[0].length
  }
  if (at < text.length) pieces.push({ text: text.slice(at), code: '' })
  return pieces
}
