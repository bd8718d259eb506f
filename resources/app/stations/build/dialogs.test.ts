import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { Diary } from '../../api/types/answers'
import { api, Refusal } from '../../api/client'
import type { Figure } from '../../api/types/figure'
import type { Schedule } from '../../api/types/schedule'
import type { WorkStep } from '../../api/types/steps'
import DryingClocks from '../../shell/DryingClocks.vue'
import { useDrying } from '../../state/drying'
import { onTable, plain, type OnTable, withComponents } from '../../../../tests/Support/onTable'
import WireLines from '../shapes/board/WireLines.vue'
import WiresDialog from '../shapes/dialogs/WiresDialog.vue'
import DiaryDialog from './DiaryDialog.vue'
import EveningsDialog from './EveningsDialog.vue'
import NeedleBox from './NeedleBox.vue'

let table: OnTable | null = null
afterEach(() => {
  table?.wrapper.unmount()
  table = null
  vi.restoreAllMocks()
  vi.useRealTimers()
  useDrying().clocks.value = []
})
/** What a dialog says: it is put at the end of the page. */
const says = () => window.document.body.textContent!.replace(/\s+/g, ' ')
const named = (label: string) => window.document.querySelector<HTMLElement>(`[aria-label="${label}"]`)!
const button = (words: string) =>
  [...window.document.querySelectorAll('button')].find((b) => b.textContent!.trim() === words)!

const steps = [
  { key: 'core:body', kind: 'core', stage: 'insides', title: 'Core: Body' },
  { key: 'eye', kind: 'detail', stage: 'face', title: 'Eye' },
] as WorkStep[]
const schedule: Schedule = {
  format: 'impa-schedule',
  version: 1,
  figure: 'Test',
  sittingMinutes: 60,
  leastSittingMinutes: 15,
  days: ['tue'],
  by: '2026-12-02',
  handsMinutes: 70,
  lowMinutes: 45,
  highMinutes: 110,
  elapsedMinutes: 80,
  lowerBoundMinutes: 75,
  sittings: [
    {
      start: '2026-12-01T19:00:00',
      end: '2026-12-01T20:00:00',
      minutes: 60,
      steps: [
        { key: 'core:body', startMinute: 0, endMinute: 30 },
        { key: 'eye', startMinute: 35, endMinute: 60 },
      ],
      rests: [{ startMinute: 30, endMinute: 35 }],
    },
    { start: '2026-12-08T19:00:00', end: '2026-12-08T19:20:00', minutes: 20, steps: [], rests: [] },
  ],
  drying: [{ key: 'eye', startMinute: 60, endMinute: 80, sitting: 0 }],
  sittingsMissing: 1,
  helps: [
    { kind: 'softer', text: 'Felt everything one step softer.', gainMinutes: 12 },
    { kind: 'sittings', text: 'Sit down once more before then.', gainMinutes: 0 },
  ],
}

describe('evenings', () => {
  it('say how long and how many, what helps where it is late, and lead to a step', async () => {
    const ask = vi.spyOn(api, 'schedule').mockResolvedValue(schedule)
    table = await onTable(EveningsDialog, { modelValue: true, steps })
    await table.wrapper.setProps({ modelValue: false })
    await table.wrapper.setProps({ modelValue: true })
    await flushPromises()
    expect(says()).toContain('About 1 h 10 min of work (45 min to 1 h 50 min), 2 sittings, 1 h 20 min with rests')
    expect(says()).toContain('less than 1 h 15 min cannot be.')
    expect(says()).toMatch(/Not ready by .*: 1 sitting too many\. What helps:/)
    expect(says()).toContain('Felt everything one step softer. 12 min less.')
    // Each in the colour of its stage, which the legend names.
    const tinted = (name: string) => named(name).getAttribute('style') ?? ''
    expect(tinted('Core: Body, 30 min')).toContain('--v-theme-thread')
    expect(tinted('Eye, 25 min')).toContain('--v-theme-warning')
    named('Eye, 25 min').click()
    await flushPromises()
    expect(table.wrapper.emitted('look')).toEqual([['eye']])
    expect(ask.mock.lastCall?.[1]).toMatchObject({ sitting: 90, days: ['tue', 'thu'], at: '19:00' })
  })

  it('say why they cannot be, in the words that came', async () => {
    vi.spyOn(api, 'schedule').mockRejectedValue(new Refusal(422, 'A sitting of 3 minutes is too short.'))
    table = await onTable(EveningsDialog, { modelValue: false, steps })
    await table.wrapper.setProps({ modelValue: true })
    await flushPromises()
    expect(says()).toContain('A sitting of 3 minutes is too short.')
  })
})

const entry = (uuid: string, kind: Diary['sittings'][0]['entries'][0]['kind'], more = {}) => ({
  uuid,
  kind,
  step: 'core:body',
  text: '',
  grams: null,
  gauge: null,
  picture: null,
  at: Date.UTC(2026, 10, 26, 19, 5),
  ...more,
})
const diary = (entries: Diary['sittings'][0]['entries'], tipsMissing = 0): Diary => ({
  minutes: 30,
  plannedMinutes: 60,
  took: 'longer',
  tipsMissing,
  steps: [
    { key: 'core:body', title: 'Core: Body', planned: 20, done: 30 },
    { key: 'eye', title: 'Eye', planned: 40, done: 0 },
  ],
  sittings: [
    {
      from: Date.UTC(2026, 10, 26, 19, 0),
      to: Date.UTC(2026, 10, 26, 19, 30),
      minutes: 30,
      steps: [{ key: 'core:body', minutes: 30 }],
      entries,
      changed: ['Ear changed'],
    },
  ],
})

describe('the diary', () => {
  it('holds what it took against the plan, and warns of a tip that was not found', async () => {
    const told = diary([entry('u1', 'weighed', { grams: 7.4 }), entry('u2', 'broken', { text: 'A 36 broke' })], 1)
    table = await onTable(DiaryDialog, { modelValue: true, diary: told })
    await flushPromises()
    expect(says()).toContain('30 min so far, longer than planned for these steps (20 min).')
    expect(says()).toContain('Core: Body (30 min).')
    expect(says()).toContain('Weighed: 7.4 g')
    expect(says()).toContain('Ear changed.')
    expect(says()).toContain('it is not safe yet')
    expect(named('Diary').querySelector('img')).toBeNull()
    const found = vi.spyOn(api, 'logEntry').mockResolvedValue(diary([]))
    button('Tip found').click()
    await flushPromises()
    expect(found.mock.lastCall?.[1]).toMatchObject({ kind: 'found' })
    expect(table.wrapper.emitted('changed')).toHaveLength(1)
    await table.wrapper.setProps({ diary: diary([entry('u2', 'broken'), entry('u3', 'found')]) })
    expect(says()).not.toContain('it is not safe yet')
  })

  it('takes a note out, and says where nothing is logged yet', async () => {
    table = await onTable(DiaryDialog, { modelValue: true, diary: diary([entry('u1', 'note', { text: 'Softer' })]) })
    await flushPromises()
    const dropped = vi.spyOn(api, 'dropEntry').mockResolvedValue(diary([]))
    button('Take out').click()
    await flushPromises()
    expect(dropped).toHaveBeenCalledWith(7, 'u1')
    await table.wrapper.setProps({ diary: diary([entry('u4', 'photo', { picture: 12 })]) })
    expect(window.document.querySelector('.photo img')?.getAttribute('src')).toBe('/api/pictures/12')
    await table.wrapper.setProps({
      diary: { minutes: 0, plannedMinutes: 0, took: 'nothing', steps: [], tipsMissing: 0, sittings: [] },
    })
    expect(says()).toContain('Nothing is logged yet')
  })
})

describe('the box of needles', () => {
  it('counts what is left of each gauge and kind', async () => {
    const told = {
      revision: 'r1',
      gauges: [36],
      sold: [36, 38],
      kinds: ['triangle', 'star'],
      finest: 36,
      last: [],
      box: [{ gauge: 36, kind: 'triangle', left: 2 }],
    }
    vi.spyOn(api, 'needles').mockResolvedValue(told)
    const kept = vi.spyOn(api, 'keepBox').mockImplementation((box) => Promise.resolve({ ...told, box }))
    table = await onTable(NeedleBox, { modelValue: false })
    await table.wrapper.setProps({ modelValue: true })
    await flushPromises()
    const field = named('38 star, left') as HTMLInputElement
    field.value = '3'
    field.dispatchEvent(new Event('change'))
    await flushPromises()
    expect(kept.mock.lastCall?.[0]).toEqual([told.box[0], { gauge: 38, kind: 'star', left: 3 }])
    const gone = named('36 triangle, left') as HTMLInputElement
    gone.value = '0'
    gone.dispatchEvent(new Event('change'))
    await flushPromises()
    expect(kept.mock.lastCall?.[0]).toEqual([{ gauge: 38, kind: 'star', left: 3 }])
    expect(table.wrapper.emitted('changed')).toHaveLength(2)
  })
})

describe('what dries', () => {
  it('is told on every page, until it is dry and thanked for', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    useDrying().start({ figure: 7, name: 'Test', step: 'eye', title: 'Eye', until: Date.now() + 2 * 60_000 })
    const wrapper = mount(DryingClocks, {
      global: { plugins: [withComponents()], stubs: { RouterLink: { template: '<a><slot /></a>' } } },
    })
    await vi.advanceTimersByTimeAsync(1000)
    expect(wrapper.text()).toContain('Eye of Test dries 2 min more')
    await vi.advanceTimersByTimeAsync(2 * 60_000)
    expect(wrapper.text()).toContain('is dry')
    await wrapper.find('button').trigger('click')
    expect(wrapper.find('li').exists()).toBe(false)
    wrapper.unmount()
  })
})

describe('wires', () => {
  const wired = (): Figure => ({
    ...plain(),
    wires: [
      {
        key: 'w',
        name: 'Wire',
        pointsMm: [
          [0, 10, 0],
          [10, 20, 5],
        ],
      },
    ],
  })

  it('are drawn and told of: what to cut, what holds, how the stock is cut', async () => {
    vi.spyOn(api, 'armature').mockResolvedValue({
      format: 'impa-armature',
      version: 1,
      figure: 'Test',
      drawn: true,
      wires: [
        {
          key: 'w',
          name: 'Wire',
          count: 1,
          pathMm: [],
          lengthMm: 60,
          cutMm: 80,
          gaugeMm: 1,
          awg: 18,
          material: 'steel',
          doubled: false,
          massG: 0.4,
          freeMm: 30,
          carriesG: 1,
          sagMm: 0.1,
          staysAsBent: true,
          adviceMm: 0.5,
          adviceAwg: 24,
          text: '1.0 mm of bare steel wire holds; 0.5 mm would do.',
          through: [{ part: 'body', holes: [] }],
          ribbonM: 0,
        },
      ],
      cuts: [{ stockMm: 300, pieces: [80], wasteMm: 220 }],
    })
    table = await onTable(WiresDialog, { modelValue: false }, wired())
    await table.wrapper.setProps({ modelValue: true })
    await flushPromises()
    expect(says()).toContain('Cut 80 mm; it runs 60 mm through Body. 1.0 mm of bare steel wire holds; 0.5 mm would do.')
    expect(says()).toContain('220 mm are left over.')
    button('One more point').click()
    await flushPromises()
    expect(vi.mocked(api.edit).mock.lastCall?.slice(1)).toEqual([
      'wire-point',
      { key: table.figure.document?.wires?.[0]?.key },
    ])
    const drawn = vi
      .spyOn(api, 'drawWire')
      .mockImplementation((sent) =>
        Promise.resolve({ document: { ...sent, wires: [...sent.wires!, { ...sent.wires![0]!, key: 'wire-1' }] } }),
      )
    button('A wire of my own').click()
    await flushPromises()
    expect(drawn).toHaveBeenCalledOnce()
    expect(table.figure.document?.wires?.map((w) => w.key)).toEqual(['w', 'wire-1'])
    table.figure.undo()
    button('Take it out').click()
    await flushPromises()
    expect(table.figure.document?.wires).toEqual([])
  })

  it('have points that are dragged in either view', async () => {
    table = await onTable(WireLines, { from: 'right', grip: 2 }, wired())
    const points = () => table!.figure.document?.wires?.[0]?.pointsMm
    const circle = table.wrapper.findAll('circle')[1]!
    // From the right, z runs to the left.
    expect([circle.attributes('cx'), circle.attributes('cy')]).toEqual(['-5', '-20'])
    await circle.trigger('pointerdown', { pointerId: 1 })
    await circle.trigger('pointermove')
    await circle.trigger('pointerup')
    // The stand-in for a browser lays no page out: wherever it is pressed is its corner.
    expect(points()).toEqual([
      [0, 10, 0],
      [10, 0, 0],
    ])
    await circle.trigger('pointermove')
    expect(points()?.[1]).toEqual([10, 0, 0])
  })
})
