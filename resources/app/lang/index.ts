import { createI18n } from 'vue-i18n'
import type en from './en'

/** Each language's words are in its folder, by room; only the one that is spoken is fetched. */
const WORDS = {
  en: () => import('./en'),
  de: () => import('./de'),
}
export type Language = keyof typeof WORDS
export type Words = typeof en

const KEY = 'impa:language'
const isKnown = (tag: string): tag is Language => tag in WORDS

export const LANGUAGES: { value: Language; title: string }[] = [
  { value: 'en', title: 'English' },
  { value: 'de', title: 'Deutsch' },
]

export const i18n = createI18n<[Words], string, false>({ legacy: false, locale: 'en', fallbackLocale: 'en' })

/** A label in the language that is spoken; the values of its places by name. */
export const t = i18n.global.t

/** In the tests alone: what she chose shows in English, accented (pseudo.ts). */
const isPseudo = () => localStorage.getItem(KEY) === 'pseudo'

/** What she chose, else the first of the browser's languages that there are all words for. */
export function wanted(): Language {
  const chosen = localStorage.getItem(KEY)
  const tags = chosen ? [chosen] : navigator.languages.map((tag) => tag.split('-')[0]!.toLowerCase())
  return tags.find(isKnown) ?? 'en'
}

export const spoken = (): Language => i18n.global.locale.value as Language

/** Fetches its words; from then on all labels are in it. Those that files keep are read once: it comes before any screen. */
export async function speak(language: Language): Promise<void> {
  i18n.global.setLocaleMessage(language, (await WORDS[language]()).default as Words)
  i18n.global.locale.value = language
  if (isPseudo()) {
    const { accented } = await import('./pseudo')
    i18n.global.setPostTranslationHandler((said) => (typeof said === 'string' ? accented(said) : said))
  }
  document.documentElement.lang = language
}

/** What is kept in the browser stays; the page begins anew in the other language. */
export function choose(language: Language): void {
  localStorage.setItem(KEY, language)
  window.location.reload()
}

/** A name in the middle of a sentence: German nouns keep their capital. */
export const within = (name: string) => (spoken() === 'de' ? name : name.toLowerCase())

/** With so many digits, and the decimal mark of the language. */
export const decimals = (is: number, digits: number) => marked(is.toFixed(digits))
export const marked = (number: string) => (spoken() === 'de' ? number.replace('.', ',') : number)

/** For dates and times: as the browser writes that language, which may be that of a country. */
export const dates = () => navigator.languages.find((tag) => tag.split('-')[0] === spoken()) ?? spoken()
