import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { accented } from './pseudo'
import de from './de'
import en from './en'
import { dates, decimals, speak, t, wanted, within } from '.'

type Words = { [key: string]: string | Words }
const flat = (words: Words, at = ''): [string, string][] =>
  Object.entries(words).flatMap(([key, is]) =>
    typeof is === 'string' ? [[at + key, is] as [string, string]] : flat(is, `${at}${key}.`),
  )
const english = new Map(flat(en))
const german = new Map(flat(de))
const places = (words: string) => [...new Set(words.match(/\{\w+\}/g) ?? [])].sort()

/** All code of the screens, in one. */
const code = (readdirSync('resources/app', { recursive: true }) as string[])
  .filter((file) => /\.(vue|ts)$/.test(file) && !/test\.ts$|^lang/.test(file))
  .map((file) => readFileSync(`resources/app/${file}`, 'utf8'))
  .join('\n')

describe('the words of the screens', () => {
  it('are there in both languages, with the same places', () => {
    expect([...german.keys()].sort()).toEqual([...english.keys()].sort())
    for (const [key, words] of english)
      if (!words.includes(' | ')) expect(places(german.get(key)!), key).toEqual(places(words))
  })
  it('are translated, but for what is called alike', () => {
    const alike = [...english].filter(
      ([key, words]) => german.get(key) === words && / /.test(words.replace(/\{\w+\}/g, '')),
    )
    expect(alike.map(([key]) => key)).toEqual(['house.copiesPane.mbKept'])
  })
  it('are each said somewhere, and everything that is said is there', () => {
    const said = new Set([...code.matchAll(/\bt\(\s*'([\w.]+)'/g)].map((m) => m[1]!))
    const chosen = [...code.matchAll(/'([a-z]\w*\.\w+\.\w+)'/g)].map((m) => m[1]!)
    const rooms = [...code.matchAll(/\bt\(`([\w.]+)\$\{/g)].map((m) => m[1]!)
    const isSaid = (key: string) => said.has(key) || chosen.includes(key) || rooms.some((room) => key.startsWith(room))
    expect([...english.keys()].filter((key) => !isSaid(key))).toEqual([])
    expect([...said].filter((key) => !english.has(key))).toEqual([])
  })
  it('are those that the help pages name, in each language', () => {
    for (const [language, labels] of [
      ['en', english],
      ['de', german],
    ] as const) {
      const page = readFileSync(`docs/help/${language}.md`, 'utf8').replace(/\s+/g, ' ')
      const named = [...page.matchAll(/(?<![*\w])\*([^*]+)\*(?![*\w])/g)].map((m) => m[1]!)
      const known = [...labels.values()].map((words) => words.replace(/\{\w+\}/g, '').trim())
      expect(named.length).toBeGreaterThan(20)
      expect(named.filter((name) => !known.some((words) => words.split(' | ').includes(name)))).toEqual([])
    }
  })
  it('count in words that go with the number, in both', async () => {
    expect([1, 2].map((n) => t('build.eveningsDialog.sittings', n))).toEqual(['1 sitting', '2 sittings'])
    await speak('de')
    const german = [1, 2].map((n) => t('build.eveningsDialog.sittings', n))
    const [name, cost] = [within('Rote Wolle'), decimals(2.5, 2)]
    await speak('en')
    expect(german).toEqual(['1 Sitzung', '2 Sitzungen'])
    expect([name, cost]).toEqual(['Rote Wolle', '2,50'])
    expect([within('Red Wool'), decimals(2.5, 2)]).toEqual(['red wool', '2.50'])
  })
})

describe('the language that is spoken', () => {
  it('is what she chose, else the first of the browser that there are words for, else English', () => {
    const speaks = (...languages: string[]) => {
      Object.defineProperty(navigator, 'languages', { value: languages, configurable: true })
      return wanted()
    }
    expect(speaks('de-AT', 'en')).toBe('de')
    expect(speaks('fr-FR', 'en-GB', 'de')).toBe('en')
    expect(speaks('fr')).toBe('en')
    localStorage.setItem('impa:language', 'de')
    expect(speaks('en')).toBe('de')
    localStorage.setItem('impa:language', 'klingon')
    expect(speaks('de')).toBe('en')
    localStorage.removeItem('impa:language')
  })
  it('writes dates as its country does', () => {
    Object.defineProperty(navigator, 'languages', { value: ['de', 'en-GB'], configurable: true })
    expect(dates()).toBe('en-GB')
    Object.defineProperty(navigator, 'languages', { value: ['fr'], configurable: true })
    expect(dates()).toBe('en')
  })
  it('is proved by one that is two fifths longer, and breaks as others do', () => {
    const long = 'Set the wool aside for this figure'
    expect(accented(long).length / long.length).toBeGreaterThan(1.35)
    expect(
      Math.max(
        ...accented(long)
          .split(' ')
          .map((w) => w.length),
      ),
    ).toBeLessThan(8)
  })
})
