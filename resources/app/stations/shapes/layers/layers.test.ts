import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { SewnPattern, Things } from '../../../api/types/answers'
import { api, Refusal } from '../../../api/client'
import type { Figure } from '../../../api/types/figure'
import type { ImpaFlat } from '../../../api/types/flat'
import { onTable, plain, type OnTable } from '../../../../../tests/Support/onTable'
import SewingDialog from '../dialogs/SewingDialog.vue'
import ThingsDialog from '../dialogs/ThingsDialog.vue'
import LayersView from './LayersView.vue'

const square = (left: number, low: number, size: number): [number, number][] => [
  [left, low],
  [left + size, low],
  [left + size, low + size],
  [left, low + size],
]
const layer = (part: string, level: number, outlineMm: [number, number][]): ImpaFlat['layers'][number] => ({
  part,
  name: part,
  isTwin: false,
  colour: 'fur',
  level,
  areaCm2: 4,
  rimMm: 80,
  outlineMm,
  rimsMm: level ? [outlineMm] : [outlineMm, square(20, 20, 10)],
  laidMm: [20, 20],
  on: level ? ['body'] : [],
  stitches: level ? 27 : 0,
  threadMm: level ? 500 : 0,
})
const flat = (more: Partial<ImpaFlat> = {}): ImpaFlat => ({
  format: 'impa-flat',
  version: 1,
  figure: 'Test',
  way: 'sheet',
  shrink: 0,
  laidTimes: 1,
  overlapMm: 3,
  layers: [layer('body', 0, square(-40, 0, 80)), layer('head', 1, square(-10, 20, 20))],
  openings: [{ key: 'hole', outlineMm: square(20, 20, 10), rimMm: 40 }],
  eyeHoles: [{ key: 'eye-right', name: 'Right eye hole', pointsMm: square(20, 30, 20) }],
  cords: [],
  embroidery: [],
  thread: { stitch: 'whip', stitchMm: 3, stitches: 27, threadMm: 1500, needlefuls: 3 },
  ribbon: {
    widthMm: 0,
    lengthMm: 0,
    holeMm: 0,
    holesMm: [],
    totalMm: 0,
    suggested: {
      ties: [
        [-30, 40],
        [30, 40],
      ],
      top: [[0, 70]],
    },
  },
  sheet: { widthMm: 210, heightMm: 297, hasGrain: false },
  sheets: [
    {
      colour: 'fur',
      trouble: null,
      sheets: 2,
      lengthMm: 60,
      waste: 0.2,
      placed: [
        { name: 'body', sheet: 0, outlineMm: square(0, 0, 80), cutsMm: [square(60, 60, 10)] },
        { name: 'head', sheet: 1, outlineMm: square(0, 0, 20), cutsMm: [] },
      ],
    },
  ],
  notes: [{ code: 'torn-hole', text: 'Hole 1 would tear.' }],
  ...more,
})
const layered = (): Figure => ({ ...plain(), flat: { way: 'sheet', stitch: 'whip' } })

let table: OnTable
const text = () => document.body.textContent!.replace(/\s+/g, ' ')
const doc = () => table.figure.document!
async function shown(page: 'apart' | 'sheets'): Promise<void> {
  vi.spyOn(api, 'flat').mockResolvedValue(flat())
  table = await onTable(LayersView, { page }, layered())
  await flushPromises()
}
beforeEach(() => localStorage.clear())
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
})

describe('layers pulled apart', () => {
  it('lift by their level, the ground below, holes open in what they go through alone', async () => {
    await shown('apart')
    const [ground, head] = [...document.querySelectorAll('.layer')].map((p) => p.getAttribute('d')!)
    expect(ground!.match(/M/g)).toHaveLength(2)
    expect(head!.match(/M/g)).toHaveLength(1)
    const tops = () =>
      [...document.querySelectorAll('.layer')].map((p) => Number(p.getAttribute('d')!.split(' ')[1]!.split('L')[0]))
    const apart = tops()
    await table.wrapper.find('input[aria-label="How far apart"]').setValue('0')
    const together = tops()
    expect(apart[0]).toBe(together[0])
    expect(apart[1]!).toBeLessThan(together[1]! - 20)
  })

  it('say thread, stitches and what would go wrong; choosing one chooses its part', async () => {
    await shown('apart')
    expect(text()).toContain('1.50 m')
    expect(text()).toContain('in 3 needlefuls')
    expect(text()).toContain('27 stitches')
    expect(text()).toContain('Hole 1 would tear.')
    document.querySelectorAll('.layer')[1]!.dispatchEvent(new MouseEvent('click', { bubbles: true }))
    expect(table.figure.selectedPart?.key).toBe('head')
  })

  it('take their ribbon where the answer says it holds, and leave it off again', async () => {
    await shown('apart')
    const ribbon = table.wrapper.findAllComponents({ name: 'VSelect' }).find((s) => s.props('label') === 'Ribbon')!
    ribbon.vm.$emit('update:modelValue', 'ties')
    await flushPromises()
    expect(doc().flat!.ribbon).toEqual({
      widthMm: 8,
      lengthMm: 400,
      holesMm: [
        [-30, 40],
        [30, 40],
      ],
    })
    ribbon.vm.$emit('update:modelValue', 'none')
    expect(doc().flat!.ribbon).toBeUndefined()
    table.figure.undo()
    expect(doc().flat!.ribbon!.holesMm).toHaveLength(2)
  })

  it('of batting draw in by what a piece was measured to', async () => {
    await shown('apart')
    table.figure.change((d) => (d.flat!.way = 'batting'))
    await flushPromises()
    const came = table.wrapper.findAllComponents({ name: 'LengthField' }).find((f) => f.props('label') === 'came out')!
    came.vm.$emit('update:modelValue', 88)
    expect(doc().flat!.measured).toEqual({ laidMm: 100, cameMm: 88 })
    const share = table.wrapper
      .findAllComponents({ name: 'LengthField' })
      .find((f) => f.props('label') === 'Draws in by')!
    share.vm.$emit('update:modelValue', 5)
    expect(doc().flat!.measured).toBeUndefined()
    expect(doc().flat!.shrink).toBe(0.05)
  })

  it('get eye holes where they are suggested, and close them again', async () => {
    await shown('apart')
    const press = (name: string) =>
      [...document.querySelectorAll('button')]
        .find((b) => b.textContent!.trim() === name || b.getAttribute('aria-label') === name)!
        .click()
    press('Add eye holes')
    await flushPromises()
    expect(doc().flat!.openings!.map((o) => o.key)).toEqual(['eye-right'])
    expect(text()).toContain('Right eye hole 20 × 20 mm')
    press('Close Right eye hole')
    expect(doc().flat!.openings).toEqual([])
  })

  it('of other stuff draw in by their own share again', async () => {
    await shown('apart')
    table.figure.change((d) => (d.flat!.shrink = 0.2))
    const way = table.wrapper.findAllComponents({ name: 'VSelect' }).find((s) => s.props('label') === 'Layers of')!
    way.vm.$emit('update:modelValue', 'batting')
    expect(doc().flat).toEqual({ way: 'batting', stitch: 'whip' })
  })
})

it('draws a sheet for each that is cut, with the pieces on it, and keeps the size of sheets at hand', async () => {
  await shown('sheets')
  const sheets = [...document.querySelectorAll('.sheets li')]
  expect(sheets.map((s) => s.querySelectorAll('.piece').length)).toEqual([1, 1])
  expect(sheets[0]!.textContent).toContain('Fur, 1 of 2')
  expect(sheets[1]!.textContent!.replace(/\s+/g, ' ')).toContain('237 mm stay whole')
  const wide = table.wrapper.findAllComponents({ name: 'LengthField' }).find((f) => f.props('label') === 'Sheet, wide')!
  wide.vm.$emit('update:modelValue', 300)
  await flushPromises()
  expect(vi.mocked(api.flat).mock.lastCall![1]).toEqual({ widthMm: 300, heightMm: 297, hasGrain: false })
  expect(JSON.parse(localStorage.getItem('impa:felt')!)).toMatchObject({ widthMm: 300 })
})

it('shows a pattern, its seams and stuffing of both of a pair, and says what has none', async () => {
  const pattern: SewnPattern = {
    part: 'ear',
    name: 'Ear',
    parts: 2,
    pieces: [
      { name: 'Side', of: 'felt', count: 1, outlineMm: square(0, 0, 20), cutMm: square(-3, -3, 26), cutCm2: 6.8 },
    ],
    seams: [{ name: 'Side seam', lengthMm: 30, stitches: 10, threadMm: 200 }],
    threadMm: 200,
    stuffingG: 0.5,
  }
  vi.spyOn(api, 'pattern').mockResolvedValue(pattern)
  table = await onTable(SewingDialog, { modelValue: false, part: plain().parts[2] }, plain())
  await table.wrapper.setProps({ modelValue: true })
  await flushPromises()
  expect(text()).toContain('2 × Side')
  expect(text()).toContain('400 mm')
  expect(text()).toContain('1.00 g')
  vi.mocked(api.pattern).mockRejectedValue(new Refusal(422, 'There is no pattern for that here.'))
  table.figure.change((d) => (d.name = 'Other'))
  await flushPromises()
  expect(text()).toContain('There is no pattern for that here.')
})

describe('things it has with it', () => {
  const things: Things = {
    things: [{ name: 'lamp', parts: ['ear'], holder: 'head', widthMm: 8, heightMm: 12, times: 0.4, isLost: true }],
  }
  async function opened(): Promise<void> {
    vi.spyOn(api, 'things').mockResolvedValue(things)
    vi.spyOn(api, 'shelf').mockResolvedValue({
      figures: [{ id: 9, name: 'Broom' }],
      pages: 1,
    } as unknown as Awaited<ReturnType<typeof api.shelf>>)
    table = await onTable(ThingsDialog, { modelValue: false }, plain())
    await table.wrapper.setProps({ modelValue: true })
    await flushPromises()
  }

  it('are listed with their size against what holds them, and made larger by what is typed', async () => {
    await opened()
    expect(text()).toContain('0.4 times as large as head is thick')
    expect(text()).toContain('it is lost there')
    const edit = vi.spyOn(api, 'edit').mockResolvedValue({ document: plain(), kind: 'part', key: 'ear' })
    const high = table.wrapper.findAllComponents({ name: 'LengthField' }).find((f) => f.props('label') === 'High')!
    high.vm.$emit('update:modelValue', 24)
    await flushPromises()
    expect(edit.mock.lastCall!.slice(1)).toEqual(['resize', { thing: 'lamp', times: 2 }])
  })

  it('come from the shelf, and go back onto it as figures of their own', async () => {
    await opened()
    const edit = vi.spyOn(api, 'edit').mockResolvedValue({ document: plain(), kind: 'part', key: 'ear' })
    const from = table.wrapper
      .findAllComponents({ name: 'VSelect' })
      .find((s) => s.props('label') === 'From the shelf')!
    from.vm.$emit('update:modelValue', 9)
    await flushPromises()
    const press = (name: string) =>
      [...document.querySelectorAll('button')].find((b) => b.textContent!.trim() === name)!.click()
    press('Bring it in')
    await flushPromises()
    expect(edit.mock.lastCall![1]).toBe('put')
    expect(edit.mock.lastCall![2]).toMatchObject({ from: 9, how: 'held', name: 'Broom', heightMm: 20 })
    expect(text()).toContain('Broom is in.')
    vi.spyOn(api, 'takenThing').mockResolvedValue({ document: plain() })
    const lay = vi.spyOn(api, 'lay').mockResolvedValue({ document: plain() } as Awaited<ReturnType<typeof api.lay>>)
    press('Keep for another')
    await flushPromises()
    expect(lay).toHaveBeenCalledOnce()
    expect(text()).toContain('lies on the shelf as a figure of its own')
  })
})
