import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { FigureWool, Match, Need, Recipe, Supply } from '../../api/types/answers'
import { api, Refusal } from '../../api/client'
import PaperSelect from '../../shared/PaperSelect.vue'
import { paperSize } from '../../state/printer'
import { useSupply } from '../../state/figure/supply'
import { currency } from '../../state/money'
import { onTable, plain, type OnTable } from '../../../../tests/Support/onTable'
import ColourMixes from './ColourMixes.vue'
import FinishDialog from './FinishDialog.vue'
import LedgerTable from './LedgerTable.vue'
import NeedsPane from './NeedsPane.vue'
import PortionSheet from './PortionSheet.vue'
import RecipeDialog from './RecipeDialog.vue'
import ShoppingPane from './ShoppingPane.vue'
import SplitTool from './SplitTool.vue'
import WoolBar from './WoolBar.vue'

const need = (more: Partial<Need> = {}): Need => ({
  key: 'wool:1',
  wool: 1,
  name: 'Heather dusk',
  hex: '#875d9c',
  material: 'wool',
  colours: ['fur'],
  g: 6,
  lowG: 4.4,
  highG: 8.2,
  wantG: 8.2,
  freeG: 14,
  lackG: 0,
  state: 'enough',
  cost: 1,
  ...more,
})
const match = (more: Partial<Match> = {}): Match => ({
  colour: 'fur',
  shares: [{ wool: 1, name: 'Heather dusk', hex: '#875d9c', percent: 100, teasing: 'tear into tufts' }],
  hex: '#875d9c',
  difference: 1.2,
  nearness: 'same',
  isChosen: false,
  gone: [],
  ...more,
})
const supply = (more: Partial<Supply> = {}): Supply => ({
  matches: [
    match(),
    match({ colour: 'ink', shares: [], difference: null, nearness: 'nothing like it', hex: '#221c22' }),
  ],
  conflicts: [],
  needs: [need()],
  mixes: [],
  portions: [
    {
      part: 'ear',
      purpose: 'cover',
      material: 'wool',
      colour: 'fur',
      g: 0.6,
      pieces: 2,
      cmEach: 0,
      fluffG: 0,
      layersG: [0.3],
      eachG: 0.3,
      text: 'Weigh 0.60 g fur. Split in two equal pieces of 0.30 g.',
    },
  ],
  sets: [],
  wisps: [],
  coverings: [],
  layout: null,
  insides: [
    {
      part: 'body',
      advised: 'core-wool',
      reason: 'It saves 3.9 g of colour.',
      ways: [
        { material: 'core-wool', what: 'core wool', insideG: 3, coverG: 2, finishedG: 4.8, cost: 0.4 },
        { material: 'foam', what: 'foam ball 30 mm', insideG: 0.4, coverG: 3, finishedG: 3.2, cost: 0.4 },
      ],
      coverMm: 4,
      showsThrough: true,
      coverDifference: 48,
      sharedCm3: 0,
    },
    {
      part: 'head',
      advised: 'stuffing',
      reason: 'It is large.',
      ways: [{ material: 'stuffing', what: 'stuffing', insideG: 1, coverG: 2, finishedG: 2.8, cost: 0.4 }],
      coverMm: 3,
      showsThrough: false,
      coverDifference: 20,
      sharedCm3: 0.34,
    },
    {
      part: 'ear',
      advised: 'none',
      reason: '8 mm thick: a core pays from 25 mm on.',
      ways: [{ material: 'none', what: 'solid colour', insideG: 0, coverG: 0.3, finishedG: 0.3, cost: 0.4 }],
      coverMm: null,
      showsThrough: false,
      coverDifference: 20,
      sharedCm3: 0.42,
    },
  ],
  cost: 1.55,
  ...more,
})
const partPlan = (key: string, coreG: number) => ({
  key,
  count: key === 'ear' ? 2 : 1,
  volumeCm3: 1,
  areaCm2: 1,
  insideCm3: coreG ? 20 : 0,
  coreMaterial: coreG ? 'core-wool' : 'none',
  coreG,
  colour: 'fur',
  coverG: 2,
  coveringG: 0,
  colourG: 2,
  finishedG: 2,
  looseMm: { w: 54, h: 54, d: 54 },
  minutes: 12,
  seat: { way: key === 'ear' ? 'onto' : 'in', within: 0.5, capMm: 4 },
})
const drawn = () => ({ core: 'core-wool', firmness: 'springy', coverMm: 3, pieces: [], inside: [] })
const board = {
  plan: {
    parts: [partPlan('body', 3), partPlan('head', 1), partPlan('ear', 0)],
    details: [],
    wool: [],
    steps: [],
    notes: [],
    balance: {},
    minutes: { hands: 1, elapsed: 1 },
  },
  drawing: { parts: { body: drawn(), head: drawn(), ear: drawn() } },
} as never
const open: FigureWool = { revision: 'r1', state: 'open', elsewhere: [], aside: [], used: [] }

let table: OnTable
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
})

async function at(
  component: Parameters<typeof onTable>[0],
  what: Supply = supply(),
  props: Record<string, unknown> = {},
  state: FigureWool = open,
): Promise<void> {
  vi.spyOn(api, 'supply').mockResolvedValue(what)
  vi.spyOn(api, 'figureWool').mockResolvedValue(state)
  table = await onTable(component, props, plain(), board)
  await useSupply().open()
  await nextTick()
}
const text = () => table.wrapper.text().replace(/\s+/g, ' ')
const button = (words: string | RegExp) =>
  table.wrapper.findAll('button').find((b) => (typeof words === 'string' ? b.text() === words : words.test(b.text())))!

currency.value = 'USD'

describe('a bar of wool', () => {
  it.each<[Partial<Need>, string, string]>([
    [{}, 'enough, 14.0 g free', 'enough'],
    [{ freeG: 7, lackG: 1.2, state: 'tight' }, 'likely enough, 1.20 g short of safe', 'tight'],
    [{ freeG: 2, lackG: 6.2, state: 'short' }, 'short by 6.2 g, 2.00 g free', 'short'],
    [{ wool: null, freeG: 0, lackG: 8.2, state: 'none' }, 'nothing like it in the stash', 'short'],
  ])('%o reads %s', async (more, words, tone) => {
    await at(WoolBar, supply(), { need: need(more), scaleG: 20 })
    expect(text()).toContain(words)
    expect(table.wrapper.find('small').classes()).toContain(tone)
    expect(text()).toContain('4.40 to 8.2 g')
    expect(table.wrapper.find('line.stash').exists()).toBe(more.wool !== null)
  })

  it('draws low, likely and the stash at their places on the common scale', async () => {
    await at(WoolBar, supply(), { need: need(), scaleG: 20 })
    expect(Number(table.wrapper.find('rect.sure').attributes('width'))).toBeCloseTo(22)
    expect(Number(table.wrapper.find('rect.likely').attributes('x'))).toBeCloseTo(29.5)
    expect(table.wrapper.find('line.stash').attributes('x1')).toBe('70')
  })
})

describe('the ledger', () => {
  it('shows each part with what is advised, and takes the advice as one step', async () => {
    await at(LedgerTable)
    const rows = table.wrapper.findAll('tbody tr')
    expect(rows).toHaveLength(3)
    expect(rows[0]!.text()).toContain('It saves 3.9 g of colour.')
    expect(rows[1]!.text()).toContain('Rather stuffing.')
    expect(rows[2]!.text()).toContain('solid')
    expect(rows[0]!.text()).not.toContain('cm³')
    expect(rows[1]!.text()).toContain('0.34 cm³ of 1.0 cm³ go into the body.')
    expect(rows[2]!.text().replace(/\s+/g, ' ')).toContain('Lies on the head: 0.42 cm³ within it are not made.')
    await rows[1]!
      .findAll('button')
      .find((b) => b.text() === 'Take it')!
      .trigger('click')
    expect(table.figure.parts[1]?.core).toBe('stuffing')
    table.figure.undo()
    expect(table.figure.parts[1]?.core).toBeUndefined()
  })

  it('warns of a cover that shows through, and mends it', async () => {
    await at(LedgerTable)
    const row = table.wrapper.findAll('tbody tr')[0]!
    expect(row.text()).toContain('It may show through: differs from its inside by 48.')
    await row
      .findAll('button')
      .find((b) => b.text().startsWith('Make it'))!
      .trigger('click')
    expect(table.figure.parts[0]?.coverMm).toBe(4)
  })

  it('offers the other ways, foam by its stock size', async () => {
    await at(LedgerTable)
    await button('foam ball 30 mm').trigger('click')
    expect(table.figure.parts[0]?.core).toBe('foam')
  })

  it('says what to do first where there are no parts', async () => {
    vi.spyOn(api, 'supply').mockResolvedValue(supply())
    table = await onTable(LedgerTable, {}, { ...plain(), parts: [], details: [] }, {
      ...(board as object),
      plan: { parts: [] },
    } as never)
    expect(text()).toContain('Add shapes at the Shapes station first.')
  })
})

describe('the totals', () => {
  it('add up, and are reckoned anew for another reserve', async () => {
    await at(NeedsPane)
    expect(text()).toContain('You need about 6.0 g; get 8.2 g ready. It costs about $1.55')
    useSupply().reserve = 'never'
    await useSupply().reckon()
    expect(vi.mocked(api.supply).mock.calls.at(-1)?.[2]).toBe('never')
  })

  it('set aside what is saved, say what was, and give it back', async () => {
    await at(NeedsPane)
    const aside = vi.spyOn(api, 'setAside').mockResolvedValue({
      revision: 'r1',
      state: 'aside',
      elsewhere: [],
      aside: [{ wool: 1, name: 'Heather dusk', g: 8.2 }],
      used: [],
    })
    vi.spyOn(api, 'release').mockResolvedValue(open)
    table.figure.change((d) => (d.name = 'Changed'))
    await button('Set the wool aside').trigger('click')
    await flushPromises()
    expect(vi.mocked(api.save).mock.invocationCallOrder[0]!).toBeLessThan(aside.mock.invocationCallOrder[0]!)
    expect(text()).toContain('Set aside: 8.2 g Heather dusk.')
    await button('Give it back').trigger('click')
    await flushPromises()
    expect(text()).not.toContain('Set aside:')
  })

  it('tell what was refused, and keep what there was', async () => {
    await at(NeedsPane)
    vi.spyOn(api, 'setAside').mockRejectedValue(new Refusal(422, 'There is no wool number 9 in the stash any more.'))
    await button('Set the wool aside').trigger('click')
    await flushPromises()
    expect(table.wrapper.find('.v-alert').text()).toContain('no wool number 9')
    expect(text()).toContain('You need about 6.0 g')
  })

  it('report planned, used and left over once the figure is finished', async () => {
    await at(
      NeedsPane,
      supply(),
      {},
      {
        revision: 'r1',
        state: 'used',
        elsewhere: [],
        aside: [],
        used: [
          { wool: 1, name: 'Heather dusk', plannedG: 6, usedG: 5.5, sparedG: 0.5 },
          { wool: 2, name: 'Oat', plannedG: 1, usedG: 1.3, sparedG: -0.3 },
        ],
      },
    )
    const cells = table.wrapper.findAll('.used tbody tr').map((r) => r.findAll('td').map((c) => c.text()))
    expect(cells).toEqual([
      ['Heather dusk', '6.0 g', '5.5 g', '0.50 g'],
      ['Oat', '1.00 g', '1.30 g', '0.30 g more'],
    ])
    expect(button('Set the wool aside')).toBeUndefined()
  })
})

describe('finishing', () => {
  it('takes what was weighed, with a comma, and refuses nonsense before it is sent', async () => {
    await at(FinishDialog, supply(), { modelValue: false })
    const finish = vi.spyOn(api, 'finishWool').mockResolvedValue({ ...open, state: 'used' })
    await table.wrapper.setProps({ modelValue: true })
    await flushPromises()
    const field = document.querySelector<HTMLInputElement>('input')!
    const type = async (value: string) => {
      field.value = value
      field.dispatchEvent(new Event('input'))
      await nextTick()
    }
    const take = () => [...document.querySelectorAll('button')].find((b) => b.textContent?.includes('Take it out'))!
    await type('some')
    expect(take().hasAttribute('disabled')).toBe(true)
    await type('5,5')
    take().click()
    await flushPromises()
    expect(finish).toHaveBeenCalledWith(7, { 1: 5.5 })
  })
})

describe('colours', () => {
  it('say how near each comes, and what is in the stash for none of them', async () => {
    await at(
      ColourMixes,
      supply({
        conflicts: [
          {
            colours: ['fur', 'ink'],
            drawn: 40,
            felted: 8,
            text: 'Fur and Ink differ by 40 in the drawing and by 8 in these wools.',
          },
        ],
      }),
    )
    expect(text()).toContain('Heather dusk: same (1.2)')
    expect(text()).toContain('nothing like it in the stash. Mix it, or buy it.')
    expect(text()).toContain('Fur and Ink differ by 40')
  })

  it('say what they are shaded with in the drawing', async () => {
    await at(ColourMixes, supply())
    expect(text()).not.toContain('Shaded')
    table.figure.change((d) => (d.colours[0]!.shades = [{ name: 'Dark violet', hex: '#3a2050', share: 0.213 }]))
    await nextTick()
    expect(text().replace(/\s+/g, ' ')).toContain('Shaded: dark violet on 21 %')
  })

  it('name a wool that is gone, and go back to the nearest on demand', async () => {
    await at(
      ColourMixes,
      supply({
        matches: [
          match({ isChosen: true, shares: [], difference: null, nearness: 'nothing like it', gone: ['Old teal'] }),
        ],
      }),
    )
    expect(text()).toContain('Old teal is not in the stash any more')
    table.figure.change((d) => (d.colours[0]!.mix = [{ wool: 'Old teal', percent: 100 }]))
    await button('Nearest wool again').trigger('click')
    expect(table.figure.document?.colours[0]?.mix).toBeUndefined()
  })
})

describe('mixes', () => {
  const recipe: Recipe = {
    wools: [
      { wool: 1, name: 'Snow', hex: '#ffffff', percent: 60, teasing: 'tear', g: 3.6, freeG: 2 },
      { wool: 2, name: 'Harbour', hex: '#38556a', percent: 40, teasing: 'pull', g: 2.4, freeG: 7 },
    ],
    hex: '#8fa3b8',
    difference: 1.4,
    nearness: 'same',
    isCorrected: true,
    isEnough: false,
  }
  async function opened(more: Partial<Match> = {}) {
    vi.spyOn(api, 'recipes').mockResolvedValue({ recipes: [recipe] })
    await at(RecipeDialog, supply(), { modelValue: true, match: match(more), grams: 6 })
    await flushPromises()
  }

  it('are looked for with the grams that are needed, and taken into the figure as one step', async () => {
    await opened()
    // With the figure, whose other colours count on wool as well.
    expect(vi.mocked(api.recipes).mock.calls[0]).toEqual([
      '#8a5f9f',
      6,
      3,
      7,
      { document: table.figure.document, colour: 'fur' },
    ])
    const words = document.body.textContent!
    expect(words).toContain('by your own swatch')
    expect(words).toContain('only 2.00 g free')
    ;[...document.querySelectorAll('button')].find((b) => b.textContent === 'Take this mix')!.click()
    await nextTick()
    expect(table.figure.document?.colours[0]?.mix).toEqual([
      { wool: 'Snow', percent: 60 },
      { wool: 'Harbour', percent: 40 },
    ])
    table.figure.undo()
    expect(table.figure.document?.colours[0]?.mix).toBeUndefined()
  })

  it('learn from what a mix became, and only from a mix', async () => {
    await opened()
    expect(document.body.textContent).not.toContain('What your present mix became')
    table.wrapper.unmount()
    await opened({ shares: recipe.wools })
    const swatch = vi.spyOn(api, 'addSwatch').mockResolvedValue({ id: 1 })
    const field = document.querySelector<HTMLInputElement>('.hex input')!
    field.value = '#90a0b0'
    field.dispatchEvent(new Event('input'))
    await nextTick()
    document.querySelector<HTMLFormElement>('form.swatching')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
    expect(swatch).toHaveBeenCalledWith({ 1: 60, 2: 40 }, '#90a0b0')
    expect(document.body.textContent).toContain('Noted.')
  })

  it('say what was refused', async () => {
    vi.spyOn(api, 'recipes').mockRejectedValue(new Refusal(422, 'The stash cannot be read.'))
    await at(RecipeDialog, supply(), { modelValue: true, match: match(), grams: 6 })
    await flushPromises()
    expect(document.body.textContent).toContain('The stash cannot be read.')
  })
})

describe('portions', () => {
  it('are listed with twins first, and printed on the paper that was chosen', async () => {
    await at(
      PortionSheet,
      supply({
        wisps: [{ detail: 'eye', colour: 'ink', mg: 6, count: 2, text: 'a strand of 30 mm' }],
        sets: [{ on: 'head', colour: 'ink', mg: 12, ratio: [1, 1], details: ['eye', 'eye'] }],
        coverings: [
          {
            part: 'body',
            way: 'loops',
            count: 1,
            pieces: 900,
            g: 3,
            metres: 7.5,
            areaCm2: 0,
            filmG: 0,
            text: '900 loops of 5 mm.',
          },
        ],
      }),
    )
    for (const words of [
      'Split in two equal pieces of 0.30 g.',
      'Eyex 2 10 mg',
      'Together on Head: 10 mg ink, split 1 : 1 for eye, eye.',
      '900 loops of 5 mm.',
      '3.00 g, 7.50 m',
    ])
      expect(text()).toContain(words)
    const sheet = vi.spyOn(api, 'portionsSheet').mockRejectedValue(new Refusal(500, 'The printer is out.'))
    await button('Print the sheet').trigger('click')
    await flushPromises()
    expect(sheet.mock.calls[0]?.slice(1)).toEqual([7, 'a4'])
    expect(text()).toContain('The printer is out.')
  })

  it('show the clump of the chosen one, and say whether this screen was measured', async () => {
    await at(PortionSheet)
    expect(table.wrapper.find('figure svg').attributes('aria-label')).toContain('Loose 54 × 54 mm')
    expect(text()).toContain('About true size')
  })
})

describe('a split by ratio', () => {
  it('is reckoned by PHP from what was typed, comma and colon', async () => {
    await at(SplitTool)
    const split = vi.spyOn(api, 'split').mockResolvedValue({ grams: [3, 2, 2.5] })
    const [grams, ratio] = table.wrapper.findAll('input')
    await grams!.setValue('7,5')
    await ratio!.setValue('3:2 : 2,5')
    await table.wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(split).toHaveBeenCalledWith(7.5, [3, 2, 2.5])
    expect(text()).toContain('3.00 g + 2.00 g + 2.50 g')
    await ratio!.setValue('three')
    await table.wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(text()).toContain('Write grams, and shares such as 3 : 2 : 2.')
    expect(split).toHaveBeenCalledTimes(1)
  })
})

describe('the shopping list', () => {
  const list = {
    lines: [
      {
        name: 'Hayloft',
        hex: '#eecb86',
        days: 3,
        for: ['Straw'],
        needG: 1.9,
        difference: 3.1,
        price: 2.1,
        g: 10,
        packs: [{ packG: 10, price: 2.1, count: 1 }],
      },
    ],
    missing: [{ name: 'Ink', needG: 0.05, why: 'The shop has nothing like it: mix it from what you have.' }],
    price: 2.1,
    sending: 4.9,
    days: 3,
    closed: '',
  }

  it('shows packs, price and sending, and what the shop has not', async () => {
    vi.spyOn(api, 'shopping').mockResolvedValue(list)
    await at(ShoppingPane)
    await flushPromises()
    for (const words of [
      '1 x 10 g',
      '1.90 g lacking; differs by 3.1',
      '50 mg lacking. The shop has nothing like it',
      'with $4.90 for sending; all there in 3 days',
      '$7.00',
    ])
      expect(text()).toContain(words)
  })

  it('is printed on the paper that was chosen elsewhere, and the next time on it too', async () => {
    vi.spyOn(api, 'shopping').mockResolvedValue(list)
    const sent = vi.spyOn(api, 'shoppingFile').mockRejectedValue(new Refusal(500, 'The printer is out.'))
    await at(PortionSheet)
    table.wrapper.findComponent(PaperSelect).findComponent({ name: 'VSelect' }).vm.$emit('update:modelValue', 'letter')
    await at(ShoppingPane)
    await flushPromises()
    await button('Print the list').trigger('click')
    await flushPromises()
    expect(sent.mock.calls[0]?.at(-1)).toBe('letter')
    expect(localStorage.getItem('impa:paper')).toBe('letter')
    paperSize.value = 'a4'
  })

  it('says that nothing is lacking, that the shop is closed, and that asking failed', async () => {
    const asked = vi.spyOn(api, 'shopping').mockResolvedValue({ ...list, lines: [], missing: [], price: 0, sending: 0 })
    await at(ShoppingPane)
    await flushPromises()
    expect(text()).toContain('Nothing is lacking')
    asked.mockResolvedValue({ ...list, lines: [], closed: 'The shop does not answer.' })
    await useSupply().reckon()
    await flushPromises()
    asked.mockRejectedValueOnce(new Refusal(0, 'Impa does not answer.'))
    useSupply().supply = supply()
    await flushPromises()
    expect(table.wrapper.find('.v-alert').text()).toContain('Impa does not answer.')
  })
})
