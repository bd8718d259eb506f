import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { Advice, FaceGrid, FaceWork, Laying, Mend } from '../../api/types/answers'
import { api, Refusal } from '../../api/client'
import { onTable, plain, type OnTable } from '../../../../tests/Support/onTable'
import AfarView from './AfarView.vue'
import DetailPanel from './DetailPanel.vue'
import CopyDialog from './CopyDialog.vue'
import FaceStation from './FaceStation.vue'
import HeadBoard from './board/HeadBoard.vue'
import LayingGuide from './LayingGuide.vue'
import MarksPane from './MarksPane.vue'
import MeasureLine from './board/MeasureLine.vue'
import NeedleTags from './board/NeedleTags.vue'
import NeedleView from './board/NeedleView.vue'
import PiecesPane from './PiecesPane.vue'

const laying = (key: string, more: Partial<Laying> = {}): Laying => ({
  key,
  woolMg: 12,
  wool: '12 mg each: a strand of 30 mm',
  needle: '42, one, very shallow',
  marks: ['its middle: 9.2 mm out on both sides, 39.9 mm down'],
  stabs: ['Tack it at the top', 'at the bottom', 'The middle last'],
  proudMm: 0,
  check: 'Compare both.',
  undo: 'Lift it out.',
  ...more,
})
const faced = () => {
  const document = plain()
  document.details!.push({
    key: 'nose',
    name: 'Nose',
    role: 'nose',
    on: 'head',
    kind: 'disc',
    widthMm: 6,
    heightMm: 5,
    colour: 'ink',
    xMm: 0,
    yMm: -4,
  })
  return document
}
const board = {
  plan: {
    parts: [],
    details: [
      { key: 'eye', count: 2, woolMg: 6, marks: { acrossMm: 5, downMm: 20, pinMm: 5 }, crisp: 'soft', difference: 12 },
      { key: 'nose', count: 1, woolMg: 9, marks: null, crisp: 'crisp', difference: 40 },
    ],
    face: 'head',
    notes: [{ code: 'low-contrast', at: '/details/0', text: 'Eye reads at 12.' }],
    wool: [],
    steps: [],
    balance: {},
    minutes: { hands: 1, elapsed: 1 },
  },
  drawing: { parts: {}, details: {} },
} as never
const mend = (text: string, more: Partial<Mend> = {}): Mend => ({
  text,
  set: {},
  add: [],
  remove: [],
  keep: '',
  ...more,
})
const advice: Record<string, Advice[]> = {
  eye: [
    {
      code: 'low-contrast',
      why: 'ink on fur reads at 12; 20 is crisp',
      isFault: false,
      mends: [
        mend('rim it in white, 1 mm all round', {
          set: { layer: 2 },
          add: [
            {
              key: 'eye-rim',
              name: 'Rim',
              role: 'other',
              on: 'head',
              kind: 'disc',
              colour: 'fur',
              layer: 1,
              widthMm: 6,
            },
          ],
        }),
        mend('use a glossy eye of 4.0 mm', { set: { kind: 'eye', method: 'ready-made', widthMm: 4 } }),
        mend('keep it in size', { keep: 'size' }),
        mend('make the two one pair', { remove: ['nose'] }),
      ],
    },
  ],
}
const grid = (): FaceGrid => ({
  stepMm: 5,
  across: [],
  down: [],
  crownMm: 15,
  footMm: -15,
  girth: { mm: 94.2, yMm: 0, downMm: 23.6 },
  guides: [
    {
      key: 'cute',
      why: 'The high forehead looks young.',
      whyApart: 'Close to the nose.',
      bands: [{ name: 'eyes', highMm: -1, lowMm: -4 }],
      eyes: { fromMm: 4, toMm: 6 },
    },
  ],
})
const work = (keys: string[], more: Partial<FaceWork> = {}): FaceWork => ({
  order: keys,
  advice: {},
  evenness: { levelMm: 0, asideMm: 0.4, eyeLineMm: -2 },
  ...more,
})
const anchors = [
  { key: 'crown', name: 'the crown', xMm: 0, yMm: 15 },
  { key: 'nose', name: 'Nose', xMm: 0, yMm: -4 },
]
let table: OnTable
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
})
const text = () => table.wrapper.text().replace(/\s+/g, ' ')
const button = (words: string) => table.wrapper.findAll('button').find((b) => b.text() === words)!

describe('how a face is laid', () => {
  it('is read one detail at a time, and chooses it on the head', async () => {
    vi.spyOn(api, 'laying').mockResolvedValue({
      laying: [laying('nose', { marks: ['its middle: on the middle line, 44.0 mm down'] }), laying('eye')],
    })
    table = await onTable(LayingGuide, { part: 'head' }, faced(), board)
    await flushPromises()
    expect(table.wrapper.find('h2').text()).toContain('Nose')
    expect(text()).toContain('on the middle line, 44.0 mm down')
    await table.wrapper.find('[aria-label="The next one"]').trigger('click')
    expect(table.wrapper.find('h2').text()).toContain('Eye')
    expect(table.figure.selection).toEqual({ kind: 'detail', key: 'eye' })
    await table.wrapper.find('[aria-label="The next one"]').trigger('click')
    expect(text()).toContain('1 of 2')
    expect(table.wrapper.findAll('.stabs li').map((l) => l.text())).toEqual([
      'Tack it at the top',
      'at the bottom',
      'The middle last',
    ])
  })

  it('follows what is chosen on the head, and says when there is nothing', async () => {
    const asked = vi.spyOn(api, 'laying').mockResolvedValue({ laying: [laying('nose'), laying('eye')] })
    table = await onTable(LayingGuide, { part: 'head' }, faced(), board)
    await flushPromises()
    table.figure.selection = { kind: 'detail', key: 'eye' }
    await nextTick()
    expect(table.wrapper.find('h2').text()).toContain('Eye')
    asked.mockResolvedValue({ laying: [] })
    await table.wrapper.setProps({ part: 'body' })
    await flushPromises()
    expect(text()).toContain('Nothing to lay yet.')
    asked.mockRejectedValue(new Refusal(422, 'no'))
    await table.wrapper.setProps({ part: 'head' })
    await flushPromises()
    expect(text()).toContain('Nothing to lay yet.')
  })
})

describe('what would make a detail crisp', () => {
  it('is offered beside it instead of the bare warning, and taken as one step', async () => {
    table = await onTable(DetailPanel, { advice }, faced(), board)
    table.figure.selection = { kind: 'detail', key: 'eye' }
    await nextTick()
    expect(text()).toContain('Ink on fur reads at 12; 20 is crisp.')
    expect(text()).not.toContain('Eye reads at 12.')
    await button('Rim it in white, 1 mm all round').trigger('click')
    await button('Use a glossy eye of 4.0 mm').trigger('click')
    const keep = vi.spyOn(api, 'keep').mockResolvedValue({ set: { keep: 'size', xMm: 4.5 } })
    await button('Keep it in size').trigger('click')
    await flushPromises()
    expect(keep.mock.calls[0]?.slice(1)).toEqual(['eye', 'size'])
    await button('Make the two one pair').trigger('click')
    const asked = vi
      .mocked(api.edit)
      .mock.calls.map((c) => [c[1], c[2] as { set: object; add: { key: string }[]; remove: string[] }] as const)
    expect(asked.map(([act]) => act)).toEqual(['mend', 'mend', 'mend', 'mend'])
    expect(asked[0]?.[1]).toMatchObject({ key: 'eye', set: { layer: 2 }, add: [{ key: 'eye-rim' }], remove: [] })
    expect(asked[1]?.[1]).toMatchObject({ set: { kind: 'eye', method: 'ready-made', widthMm: 4 }, add: [] })
    expect(asked[2]?.[1]).toMatchObject({ set: { keep: 'size', xMm: 4.5 } })
    expect(asked[3]?.[1]).toMatchObject({ key: 'eye', remove: ['nose'] })
  })

  it('is set aside as meant so, kept with the detail, and asked for again', async () => {
    table = await onTable(DetailPanel, { advice }, faced(), board)
    table.figure.selection = { kind: 'detail', key: 'eye' }
    await nextTick()
    await button('Keep it like this').trigger('click')
    await button('Keep it like this').trigger('click')
    expect(table.figure.details[0]?.meant).toEqual(['low-contrast'])
    expect(text()).toContain('Kept like this: close to its ground in colour.')
    await button('Advise again').trigger('click')
    expect(table.figure.details[0]?.meant).toBeUndefined()
    await table.wrapper.setProps({ advice: { eye: [{ ...advice.eye![0]!, isFault: true }] } })
    expect(text()).not.toContain('Keep it like this')
  })

  it('says why it could not be reckoned, and changes nothing', async () => {
    table = await onTable(DetailPanel, { advice }, faced(), board)
    table.figure.selection = { kind: 'detail', key: 'eye' }
    await nextTick()
    vi.spyOn(api, 'keep').mockRejectedValue(new Refusal(422, 'There is no such detail in this figure.'))
    const before = JSON.stringify(table.figure.document)
    await button('Keep it in size').trigger('click')
    await flushPromises()
    expect(table.figure.trouble).toBe('There is no such detail in this figure.')
    expect(JSON.stringify(table.figure.document)).toBe(before)
  })
})

describe('from afar', () => {
  it('shows the face from three distances, and again when it changes', async () => {
    vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:seen', revokeObjectURL: () => {} }))
    const afar = vi.spyOn(api, 'afar').mockResolvedValue(new Blob(['png']))
    table = await onTable(AfarView, { part: 'head' }, faced(), board)
    await flushPromises()
    expect(table.wrapper.findAll('img').map((i) => i.attributes('alt'))).toEqual(['From 30 cm', 'From 1 m', 'From 3 m'])
    expect(afar.mock.calls.map((c) => c[2])).toEqual([0.3, 1, 3])
    table.figure.changeDetail('nose', (d) => (d.widthMm = 8))
    await flushPromises()
    expect(afar).toHaveBeenCalledTimes(6)
    afar.mockRejectedValue(new Refusal(422, 'There is no such part in this figure.'))
    await table.wrapper.setProps({ part: 'nowhere' })
    await flushPromises()
    expect(text()).toContain('There is no such part in this figure.')
  })
})

describe('from mark to mark', () => {
  it('is measured by calipers and by tape, from one of a pair to the other as well', async () => {
    const between = vi
      .spyOn(api, 'between')
      .mockResolvedValueOnce({ pinMm: 10, tapeMm: 10.7 })
      .mockRejectedValueOnce(new Refusal(422, 'One of the two places is not on the part as seen from the front.'))
    table = await onTable(MeasureLine, { part: 'head' }, faced(), board)
    const [from, to] = table.wrapper.findAllComponents({ name: 'VSelect' })
    expect((from!.props('items') as { title: string }[]).map((i) => i.title)).toEqual([
      'the middle of the part',
      'Eye, right',
      'Eye, left',
      'Nose',
    ])
    from!.vm.$emit('update:modelValue', 'eye')
    to!.vm.$emit('update:modelValue', 'eye twin')
    await flushPromises()
    expect(between.mock.calls[0]?.slice(1)).toEqual([
      'head',
      [
        [5, 0],
        [-5, 0],
      ],
    ])
    expect(table.wrapper.find('[role=status]').text()).toBe('10 mm by calipers, 10.7 mm by tape')
    to!.vm.$emit('update:modelValue', 'nose')
    await flushPromises()
    expect(table.wrapper.find('[role=status]').text()).toContain('not on the part')
  })
})

describe('several details', () => {
  it('are set level, the first one chosen stays', async () => {
    table = await onTable(DetailPanel, {}, faced(), board)
    table.figure.choose('eye', false, 'detail')
    table.figure.choose('nose', true, 'detail')
    await nextTick()
    expect(text()).toContain('2 chosen')
    await button('On one level').trigger('click')
    expect(table.figure.details.map((d) => d.yMm)).toEqual([0, 0])
  })

  it('of a pair are parted by PHP', async () => {
    table = await onTable(DetailPanel, {}, faced(), board)
    table.figure.choose('eye', false, 'detail')
    await nextTick()
    await button('Edit the two sides separately').trigger('click')
    expect(vi.mocked(api.edit).mock.calls[0]?.slice(1)).toEqual(['part-pair', { key: 'eye' }])
  })
})

describe('what a detail is', () => {
  it('is said by the felter and kept with it, whatever it is called', async () => {
    table = await onTable(DetailPanel, {}, faced(), board)
    table.figure.choose('nose', false, 'detail')
    await nextTick()
    const field = () => table.wrapper.findAllComponents({ name: 'VSelect' }).find((s) => s.props('label') === 'It is')!
    expect(field().props('modelValue')).toBe('nose')
    field().vm.$emit('update:modelValue', 'eye')
    await nextTick()
    expect(table.figure.details[1]!.role).toBe('eye')
    expect(field().props('modelValue')).toBe('eye')
  })
})

describe('the pieces', () => {
  const piece = (key: string, size: number) => ({
    key,
    name: 'Pupil',
    role: 'pupil' as const,
    on: 'head',
    kind: 'disc' as const,
    widthMm: 20 * size,
    colour: 'ink',
    xMm: 6,
    mirror: true,
    piece: { key: 'open-eyes', kind: 'open-eyes', values: { size } },
  })
  const put = () =>
    vi.spyOn(api, 'putPiece').mockImplementation((document, _part, _kind, values) =>
      Promise.resolve({
        document: {
          ...document,
          details: [...(document.details ?? []).filter((d) => !d.piece), piece('open-eyes-pupil', values.size ?? 0.2)],
        },
        key: 'open-eyes',
      }),
    )
  it('are put on the head, and varied as one step for each pull of a slider', async () => {
    vi.spyOn(api, 'pieces').mockResolvedValue({
      pieces: [
        {
          kind: 'open-eyes',
          name: 'Open eyes',
          sliders: [{ key: 'size', name: 'Size', from: 0.1, to: 0.4, usual: 0.2, step: 0.01 }],
          sample: [{ ...piece('a', 0.2), hex: '#222' }],
        },
      ],
    })
    const asked = put()
    table = await onTable(PiecesPane, { part: 'head' }, faced(), board)
    await flushPromises()
    await button('Open eyes').trigger('click')
    await flushPromises()
    expect(table.figure.selection).toEqual({ kind: 'detail', key: 'open-eyes-pupil' })
    const steps = table.figure.past.length
    const slider = table.wrapper.find('input[type=range]')
    const pull = async (value: string) => {
      ;(slider.element as HTMLInputElement).value = value
      await slider.trigger('input')
      await flushPromises()
    }
    for (const value of ['0.25', '0.3']) await pull(value)
    expect(asked.mock.calls.at(-1)?.slice(1)).toEqual(['head', 'open-eyes', { size: 0.3 }, 'open-eyes'])
    expect(table.figure.details.find((d) => d.key === 'open-eyes-pupil')?.widthMm).toBe(6)
    expect(table.figure.past.length).toBe(steps + 1)
    await slider.trigger('change')
    await pull('0.35')
    expect(table.figure.past.length).toBe(steps + 2)
    table.figure.undo()
    table.figure.undo()
    expect(table.figure.details.find((d) => d.key === 'open-eyes-pupil')?.widthMm).toBe(4)
  })

  it('say why where they do not come', async () => {
    vi.spyOn(api, 'pieces').mockRejectedValue(new Refusal(0, 'Impa does not answer.'))
    table = await onTable(PiecesPane, { part: 'head' }, faced(), board)
    await flushPromises()
    expect(text()).toContain('Impa does not answer.')
  })
})

describe('a face copied', () => {
  it('comes from another figure, onto this head', async () => {
    vi.spyOn(api, 'shelf').mockResolvedValue({
      figures: [{ id: 9, name: 'Other', revision: 1, totalG: 1, handsMinutes: 1, steps: 1, done: 0, changedAt: '' }],
      page: 1,
      pages: 1,
      count: 1,
    })
    table = await onTable(CopyDialog, { modelValue: false, part: 'head' }, faced(), board)
    const other = { ...faced(), name: 'Other' }
    vi.spyOn(api, 'figure').mockResolvedValue({ id: 9, revision: 1, picture: null, document: other })
    await table.wrapper.setProps({ modelValue: true })
    await flushPromises()
    const click = async (words: string) => {
      ;[...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === words)!.click()
      await flushPromises()
    }
    await click('Other')
    const copy = vi
      .spyOn(api, 'copyFace')
      .mockRejectedValueOnce(new Refusal(422, 'There is nothing on head that could be copied.'))
      .mockResolvedValueOnce({ document: { ...faced(), details: [] } })
    await click('Copy it')
    expect(document.body.textContent).toContain('There is nothing on head that could be copied.')
    await click('Copy it')
    expect(copy.mock.calls.at(-1)?.slice(1)).toEqual(['head', 9, 'head', true])
    expect(table.figure.details).toEqual([])
  })
})

describe('marks', () => {
  it('are told from the crown, or from any other anchor with their sign', async () => {
    const asked = vi
      .spyOn(api, 'faceMarks')
      .mockResolvedValue({ marks: { eye: { acrossMm: 5.2, downMm: -4.4, pinMm: 6 }, nose: null }, anchors })
    table = await onTable(MarksPane, { part: 'head', work: work(['nose', 'eye']), grid: grid() }, faced(), board)
    await flushPromises()
    expect(text()).toContain('Level within 0 mm, even within 0.4 mm. Girth 94 mm, at 23.5 mm down.')
    table.wrapper.findComponent({ name: 'VSelect' }).vm.$emit('update:modelValue', 'nose')
    await flushPromises()
    expect(asked.mock.calls.map((c) => c[2])).toEqual(['crown', 'nose'])
    expect(
      table.wrapper
        .findAll('tbody tr')[1]!
        .findAll('td')
        .map((c) => c.text().replace(/\s+/g, ' ')),
    ).toEqual(['2', 'Eye x 2', '+5.2', '-4.4', 'soft'])
    // The nose is taken away: measured from the crown again.
    asked
      .mockRejectedValueOnce(new Refusal(422, 'There is nothing on this part that is called so to measure from.'))
      .mockResolvedValue({ marks: {}, anchors: anchors.slice(0, 1) })
    table.figure.change((d) => (d.details = d.details?.filter((x) => x.key !== 'nose')))
    await flushPromises()
    expect(asked.mock.calls.at(-1)?.[2]).toBe('crown')
    expect(table.wrapper.find('th:nth-child(4)').text()).toBe('Down')
  })
})

describe('needles at hand', () => {
  it('are kept as they are ticked, one at least', async () => {
    vi.spyOn(api, 'needles').mockResolvedValue({
      revision: 'r1',
      gauges: [36, 38],
      sold: [36, 38],
      kinds: [],
      finest: 38,
      box: [],
      last: [],
    })
    const kept = vi.spyOn(api, 'keepNeedles').mockImplementation((gauges) =>
      Promise.resolve({
        revision: 'r2',
        gauges,
        sold: [36, 38],
        kinds: [],
        finest: Math.max(...gauges),
        box: [],
        last: [],
      }),
    )
    table = await onTable(NeedleTags, {}, faced(), board)
    await flushPromises()
    await button('38').trigger('click')
    await flushPromises()
    expect(kept).toHaveBeenCalledWith([36], 'r1')
    expect(table.wrapper.emitted('changed')).toHaveLength(1)
    await button('36').trigger('click')
    await flushPromises()
    expect(text()).toContain('keep one at least')
    expect(kept).toHaveBeenCalledTimes(1)
  })
})

describe("through the needle's eye", () => {
  it('the stabs are numbered, and what comes later is only outlined', async () => {
    vi.spyOn(api, 'needlesEye').mockResolvedValue({
      reachMm: 5,
      slantDeg: 20,
      outlines: [
        {
          key: 'eye',
          colour: 'ink',
          isLine: false,
          isLater: false,
          widthMm: 4,
          loops: [
            [
              [-2, -2],
              [2, -2],
              [0, 2],
            ],
          ],
        },
        {
          key: 'spark',
          colour: 'fur',
          isLine: false,
          isLater: true,
          widthMm: 1,
          loops: [
            [
              [0, 0],
              [1, 0],
              [0, 1],
            ],
          ],
        },
      ],
      stabs: [
        { n: 1, xMm: 0, yMm: 1.6 },
        { n: 2, xMm: 0, yMm: -1.6 },
      ],
    })
    table = await onTable(NeedleView, { detail: 'eye' }, faced(), board)
    await flushPromises()
    expect(table.wrapper.findAll('text').map((t) => t.text())).toEqual(['1', '2'])
    expect(table.wrapper.findAll('.later')).toHaveLength(1)
    expect(text()).toContain('tilt the head by 20°')
    vi.spyOn(api, 'needlesEye').mockRejectedValue(new Refusal(422, 'off'))
    await table.wrapper.setProps({ detail: 'nose' })
    await flushPromises()
    expect(table.wrapper.find('svg').exists()).toBe(false)
  })
})

describe('the head', () => {
  const head = async (more: Record<string, unknown> = {}, document = faced()) =>
    onTable(
      HeadBoard,
      {
        part: document.parts.find((p) => p.key === 'head'),
        grid: grid(),
        flipped: false,
        upsideDown: false,
        order: ['nose', 'eye'],
        faults: [],
        lines: ['middle', 'half', 'thirds', 'eyes'],
        eyeLine: -2,
        ...more,
      },
      document,
      board,
    )
  it('marks a detail that cannot be made, numbers the others, and shows what was', async () => {
    table = await head({ faults: ['nose'] })
    expect(table.wrapper.findAll('.tag + text').map((t) => t.text())).toEqual(['2', '!'])
    expect(table.wrapper.findAll('.third')).toHaveLength(2)
    expect(table.wrapper.find('.eyes').attributes('d')).toContain(' 2')
    await table.wrapper.setProps({
      was: [{ key: 'old', name: 'Old', role: 'other', on: 'head', kind: 'disc', widthMm: 3, colour: 'ink' }],
    })
    expect(table.wrapper.findAll('[data-detail]').map((d) => d.attributes('data-detail'))).toEqual(['old'])
  })

  it("chooses several with Shift, and lets a line's points be added and taken out", async () => {
    const document = faced()
    document.details!.push({
      key: 'mouth',
      name: 'Mouth',
      role: 'mouth',
      on: 'head',
      kind: 'line',
      widthMm: 1.5,
      widthsMm: [1, 2, 1],
      pointsMm: [
        [-6, -6],
        [0, -8],
        [6, -6],
      ],
      colour: 'ink',
    })
    table = await head({}, document)
    await table.wrapper.find('[data-detail=eye]').trigger('pointerdown', { shiftKey: true })
    await table.wrapper.find('[data-detail=nose]').trigger('pointerdown', { shiftKey: true })
    expect(table.figure.chosenDetails).toEqual(['eye', 'nose'])
    table.figure.choose('mouth', false, 'detail')
    await nextTick()
    expect(table.wrapper.findAll('.point')).toHaveLength(3)
    await table.wrapper.find('.between').trigger('click')
    const mouth = () => table.figure.details.find((d) => d.key === 'mouth')!
    expect(mouth().pointsMm).toEqual([
      [-6, -6],
      [-3, -7],
      [0, -8],
      [6, -6],
    ])
    expect(mouth().widthsMm).toEqual([1, 1.5, 2, 1])
    expect(table.wrapper.emitted('update:point')?.at(-1)).toEqual([1])
    window.document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Delete', bubbles: true }))
    await nextTick()
    expect(mouth().pointsMm).toHaveLength(3)
  })

  it('comes near to the chosen detail with Z, and back', async () => {
    table = await head()
    const wide = () => Number(table.wrapper.find('svg').attributes('viewBox')!.split(' ')[2])
    const whole = wide()
    table.figure.choose('eye', false, 'detail')
    window.document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'z', bubbles: true }))
    await nextTick()
    expect(wide()).toBeLessThan(whole / 1.5)
    window.document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'z', bubbles: true }))
    await nextTick()
    expect(wide()).toBe(whole)
  })
})

describe('the face station', () => {
  it('numbers marks in the order in which they are laid', async () => {
    vi.spyOn(api, 'face').mockResolvedValue(grid())
    vi.spyOn(api, 'faceAdvice').mockResolvedValue(work(['nose', 'eye']))
    table = await onTable(FaceStation, {}, faced(), board)
    await flushPromises()
    const rows = table.wrapper.findAll('tbody tr').map((r) => r.findAll('td').map((c) => c.text().replace(/\s+/g, ' ')))
    expect(rows).toEqual([
      ['1', 'Nose', 'off', 'off', 'crisp'],
      ['2', 'Eye x 2', '5', '20', 'soft'],
    ])
    vi.spyOn(api, 'laying').mockResolvedValue({ laying: [laying('nose'), laying('eye')] })
    await table.wrapper.findAll('[role=tab]')[1]!.trigger('click')
    await flushPromises()
    expect(text()).toContain('1 of 2')
    expect(table.wrapper.findComponent(LayingGuide).exists()).toBe(true)
  })

  it('lays a guide over the head, with its reason, and takes it off again', async () => {
    vi.spyOn(api, 'face').mockResolvedValue(grid())
    vi.spyOn(api, 'faceAdvice').mockResolvedValue(work([]))
    table = await onTable(FaceStation, {}, faced(), board)
    await flushPromises()
    const guide = table.wrapper.findAllComponents({ name: 'VSelect' }).find((s) => s.props('label') === 'Guide')!
    expect(table.wrapper.find('.band').exists()).toBe(false)
    guide.vm.$emit('update:modelValue', 'cute')
    await nextTick()
    expect(table.wrapper.find('.band rect').attributes()).toMatchObject({ y: '1', height: '3' })
    expect(text()).toContain('The high forehead looks young.')
    guide.vm.$emit('update:modelValue', '')
    await nextTick()
    expect(table.wrapper.find('.band').exists()).toBe(false)
  })

  it('stands without its order where PHP does not answer', async () => {
    vi.spyOn(api, 'face').mockRejectedValue(new Refusal(0, 'no'))
    vi.spyOn(api, 'faceAdvice').mockRejectedValue(new Refusal(0, 'no'))
    table = await onTable(FaceStation, {}, faced(), board)
    await flushPromises()
    expect(table.wrapper.findAll('tbody tr')).toHaveLength(2)
  })
})
