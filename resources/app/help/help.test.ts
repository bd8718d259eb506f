import { flushPromises, mount } from '@vue/test-utils'
import { readFileSync } from 'node:fs'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import type { NumberCard } from '../api/types/number'
import type { Figure } from '../api/types/figure'
import { api } from '../api/client'
import OnlyFull from '../shared/OnlyFull.vue'
import { i18n, speak } from '../lang'
import { useFigure } from '../state/figure/figure'
import { chosenLevel } from '../state/level'
import { currency, money } from '../state/money'
import { trade } from '../state/trade'
import { voice } from '../state/units'
import { askedNumber, askedWord } from './asked'
import HowNumber from './HowNumber.vue'
import NumberDialog from './NumberDialog.vue'
import TradeText from './TradeText.vue'
import { parted } from './words'

const word = (code: string, ...said: string[]) => ({ code, is: said[0]!, means: `What ${code} is.`, said })
const opened = async () => {
  vi.spyOn(api, 'figure').mockResolvedValue({
    id: 7,
    revision: 3,
    picture: null,
    document: { format: 'impa-figure', version: 2, name: 'One', heightMm: 60, colours: [], parts: [] } as Figure,
  })
  vi.spyOn(api, 'steps').mockResolvedValue({ done: [], present: '' })
  vi.spyOn(api, 'board').mockResolvedValue({ document: null } as never)
  await useFigure().open(7)
}
const global = () => ({ plugins: [createVuetify(), i18n] })
beforeEach(() => {
  setActivePinia(createPinia())
  trade.words = [word('core', 'core', 'core wool'), word('wisp', 'wisp', 'wisps'), word('pre-felt', 'pre-felt')]
})

describe('words of the trade in a sentence', () => {
  const codes = (text: string) =>
    parted(text)
      .filter((p) => p.code)
      .map((p) => [p.text, p.code])
  it('are found whole, the longest form of them, each where it comes first; all pieces together are the sentence', () => {
    const text = 'Lay a Wisp of core wool on it, then more wisps: no scores, no core. Cut pre-felt.'
    expect(codes(text)).toEqual([
      ['Wisp', 'wisp'],
      ['core wool', 'core'],
      ['pre-felt', 'pre-felt'],
    ])
    expect(
      parted(text)
        .map((p) => p.text)
        .join(''),
    ).toBe(text)
  })
  it('end where no letter follows, in German too', () => {
    trade.words = [word('mark', 'Marke')]
    expect(codes('Die Markenfäden an der Marke.')).toEqual([['Marke', 'mark']])
    expect(codes('Überkern')).toEqual([])
  })
  it('open their card when they are pressed', async () => {
    const text = mount(
      { components: { TradeText }, template: '<p><TradeText text="Take a wisp." /></p>' },
      { global: global() },
    )
    await text.find('button').trigger('click')
    expect(askedWord.value).toBe('wisp')
    expect(text.element.textContent).toBe('Take a wisp.')
  })
  it('have each a drawing, and no drawing is of none', () => {
    const codes = [...readFileSync('core/src/Plan/TradeWord.php', 'utf8').matchAll(/CODES = \[(.*?)\];/gs)][0]![1]!
    const drawn = [...readFileSync('resources/app/help/words.svg', 'utf8').matchAll(/<symbol id="([^"]+)"/g)]
    const wanted = [...codes.matchAll(/'([a-z-]+)'/g)].map((m) => m[1]!)
    expect(wanted.length).toBeGreaterThanOrEqual(40)
    expect(drawn.map((m) => m[1]!).sort()).toEqual([...wanted].sort())
  })
})

describe('a number that is pressed', () => {
  const card: NumberCard = {
    format: 'impa-number',
    version: 1,
    title: 'core of head',
    is: 6.26,
    text: '6.3 g',
    lines: [{ name: 'core', words: 'room × density', values: '41 cm³ × 0.15 g/cm³', is: '6.26 g' }],
    from: [
      { name: 'density', value: '0.15 g/cm³', source: 'house', sourceName: 'our own starting value', text: 'Why.' },
    ],
    off: 'between 4.4 g and 8.9 g',
    surer: 'Weigh one.',
    trace: { code: 'core', by: 'given', is: 6.26, of: [] },
  }
  it('asks how it came about, and shows the sum, where its numbers come from, how far it may be off', async () => {
    const asked = vi.spyOn(api, 'number').mockResolvedValue(card)
    await opened()
    const number = mount(HowNumber, {
      props: { number: 'core', of: 'head' },
      slots: { default: '6.3 g' },
      global: global(),
    })
    await number.find('button').trigger('click')
    expect(askedNumber.value).toEqual({ number: 'core', of: 'head', figure: 0 })
    const dialog = mount(NumberDialog, {
      global: { ...global(), stubs: { VDialog: { template: '<div><slot /></div>' } } },
    })
    await flushPromises()
    expect(asked).toHaveBeenCalledWith(expect.anything(), { number: 'core', of: 'head' }, expect.anything(), 'usual')
    for (const said of ['core of head', '41 cm³ × 0.15 g/cm³', 'our own starting value', 'between 4.4 g', 'Weigh one.'])
      expect(dialog.text()).toContain(said)
  })
  it('says in words why it cannot be told', async () => {
    vi.spyOn(api, 'number').mockRejectedValue(new Error('This figure has no such number.'))
    await opened()
    askedNumber.value = { number: 'core', of: 'nobody', figure: 0 }
    const dialog = mount(NumberDialog, {
      global: { ...global(), stubs: { VDialog: { template: '<div><slot /></div>' } } },
    })
    await flushPromises()
    expect(dialog.find('[role=alert]').text()).toBe('This figure has no such number.')
  })
})

describe('how much she wants to see', () => {
  const shown = () =>
    mount(OnlyFull, { props: { what: 'wires' }, slots: { default: '<b>Wires</b>' }, global: global() })
  it('is all where she did not choose, and where she wants all', () => {
    for (const level of [null, 'full'] as const) {
      chosenLevel.value = level
      expect(shown().find('b').exists()).toBe(true)
    }
  })
  it('leaves it out where she wants it simple, one press away, and is kept', async () => {
    chosenLevel.value = 'simple'
    const simple = shown()
    expect(simple.find('b').exists()).toBe(false)
    await simple.find('button').trigger('click')
    expect(simple.find('b').exists()).toBe(true)
    expect(localStorage.getItem('impa:level')).toBe('simple')
    chosenLevel.value = null
  })
})

describe('prices', () => {
  it('stand in the currency she chose, as her language writes it, and core is asked in it', async () => {
    currency.value = 'EUR'
    await Promise.resolve()
    expect(money(2.24)).toBe('€2.24')
    expect(voice()).toBe('en-u-cu-eur')
    await speak('de')
    expect(money(2.24).replace(/\u00a0/g, ' ')).toBe('2,24 €')
    await speak('en')
    currency.value = ''
    expect(money(2.24)).toBe('2.24')
    expect(voice()).toBe('en')
    currency.value = 'USD'
  })
})
