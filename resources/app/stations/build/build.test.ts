import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { Diary, School } from '../../api/types/answers'
import { api, Refusal } from '../../api/client'
import type { Figure } from '../../api/types/figure'
import type { WorkStep } from '../../api/types/steps'
import { useDrying } from '../../state/drying'
import { late } from '../../../../tests/Support/late'
import { onTable, plain, type OnTable } from '../../../../tests/Support/onTable'
import BuildStation from './BuildStation.vue'

const step = (key: string, kind: WorkStep['kind'], title: string, more: Partial<WorkStep> = {}): WorkStep => ({
  key,
  kind,
  stage: 'insides',
  title,
  text: `Do ${key}. Then look.`,
  part: 'body',
  detail: '',
  after: [],
  because: [],
  tight: null,
  amiss: null,
  minutes: 10,
  lowMinutes: 6,
  highMinutes: 17,
  waitMinutes: 0,
  canBePutDown: true,
  needle: {
    gauge: 36,
    wantedGauge: 36,
    holder: 3,
    stab: 'deep',
    depthMm: 20,
    angleDeg: 90,
    stabs: { low: 680, likely: 1000, high: 1470 },
  },
  pad: 'for dark colours',
  mix: null,
  weigh: [],
  wantedG: 0,
  withinG: 0.02,
  look: 'It springs back.',
  measureMm: null,
  wrong: { sign: 'A dent.', cure: 'Stab round it.' },
  cautions: ['Eyes on the needle.'],
  ...more,
})
const weigh = (material: string, colour: string | null, g: number, pieces: number, layersG = [g]) => ({
  number: 'cover' as const,
  part: 'body',
  material,
  colour,
  name: colour ?? 'core wool',
  isCut: false,
  g,
  pieces,
  layersG,
  fluffG: 0,
})
const steps = [
  step('portion', 'portion', 'Set portions aside', {
    part: '',
    needle: null,
    weigh: [weigh('wool', 'fur', 0.3, 2), weigh('core-wool', null, 6, 1, [1, 2, 3])],
  }),
  step('core:body', 'core', 'Core: Body', { measureMm: { w: 34, h: 34, d: 34 } }),
  step('eye', 'detail', 'Eye', {
    part: 'head',
    detail: 'eye',
    needle: { ...step('x', 'core', 'x').needle!, gauge: 38, wantedGauge: 42, holder: 1, angleDeg: 60 },
    waitMinutes: 20,
    canBePutDown: false,
    after: ['core:body'],
  }),
  step('join:ear', 'join', 'Join ear to head', {
    after: ['eye'],
    because: [{ after: 'eye', text: 'Before the ear: it would be in the way of the right eye.' }],
  }),
]
const emptyDiary: Diary = { minutes: 0, plannedMinutes: 40, took: 'nothing', steps: [], tipsMissing: 0, sittings: [] }
let table: OnTable
let done: string[]
let present: string

const schools: School[] = [
  {
    question: 'face',
    title: 'Face or limbs first',
    options: [{ value: 'loose-head', title: 'face on the loose head', reason: 'Best reach.' }],
    now: 'loose-head',
  },
  {
    question: 'join',
    title: 'Joins',
    options: [{ value: 'slit', title: 'into a slit', reason: 'It holds.' }],
    now: '',
  },
]

async function opened(document = plain()): Promise<void> {
  done = []
  present = ''
  const answer = () => ({ done, present })
  vi.spyOn(api, 'mark').mockImplementation((_id, key, isDone) => {
    done = isDone ? [...done, key] : done.filter((k) => k !== key)
    return Promise.resolve(answer())
  })
  vi.spyOn(api, 'present').mockImplementation((_id, key) => {
    present = key
    return Promise.resolve(answer())
  })
  vi.spyOn(api, 'build').mockResolvedValue({
    sheet: {
      format: 'impa-steps',
      version: 1,
      figure: 'Test',
      school: 'loose-head',
      steps: document.parts.length ? steps : [],
    },
    schools,
  })
  vi.spyOn(api, 'stepPicture').mockResolvedValue({ svg: '<svg xmlns="http://www.w3.org/2000/svg"/>' })
  vi.spyOn(api, 'needles').mockResolvedValue({
    revision: 'r1',
    gauges: [36],
    sold: [36],
    kinds: [],
    finest: 36,
    box: [],
    last: [36],
  })
  vi.spyOn(api, 'diary').mockResolvedValue(emptyDiary)
  vi.spyOn(api, 'logTime').mockResolvedValue(emptyDiary)
  table = await onTable(BuildStation, {}, document)
  vi.spyOn(api, 'steps').mockImplementation(() => Promise.resolve(answer()))
  await flushPromises()
  await nextTick()
}
const title = () => table.wrapper.find('main h1').text()
const text = () => table.wrapper.text().replace(/\s+/g, ' ')
const button = (words: string) => table.wrapper.findAll('button').find((b) => b.text() === words)!
const press = async (key: string, at: EventTarget = document.body) => {
  at.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
  await flushPromises()
}
/** Goes on by faked time, a look at the clock every ten seconds: sooner than with one each second. */
async function pass(minutes: number): Promise<void> {
  for (let passed = 0; passed <= minutes * 60; passed += 10) {
    vi.setSystemTime(Date.now() + 9_000)
    await vi.advanceTimersByTimeAsync(1_000)
  }
}

beforeEach(() => {
  sessionStorage.clear()
  useDrying().clocks.value = []
})
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
  vi.useRealTimers()
})

describe('one step at a time', () => {
  it('begins with what to weigh, how to divide it, and in which layers', async () => {
    await opened()
    expect(title()).toBe('Set portions aside')
    expect(text()).toContain('Weigh 0.60 g fur. Split in two: 0.30 g each.')
    expect(text()).toContain('Weigh 6.0 g core wool. In layers of 1.00 g, 2.00 g, 3.00 g.')
    expect(text()).toContain('Step 1 of 4')
    expect(text()).toContain('40 min left')
  })

  it('goes on by the space bar, a foot switch and its button, each step with needle, depth, stabs, look and cure', async () => {
    await opened()
    await press(' ')
    expect(title()).toBe('Core: Body')
    expect(text()).toContain('36, 3 in the holder')
    expect(text()).toContain('the side for dark colours')
    expect(text()).toContain('your last: get a spare')
    expect(text()).toContain('deep to 20 mm, straight in, straight out; 700 to 1500 stabs')
    expect(text()).toContain('It springs back.34 × 34 × 34 mm')
    expect(text()).toContain('A dent. Stab round it.')
    await table.wrapper.find('.next').trigger('click')
    await flushPromises()
    expect(title()).toBe('Eye')
    expect(text()).toContain('38 (42 would suit better)')
    expect(text()).toContain('slanting 60°')
    expect(text()).toContain('then 20 min drying, in one go')
    expect(done).toEqual(['portion', 'core:body'])
    await press('Enter')
    await press(' ')
    expect(title()).toBe('It is finished')
    expect(text()).toContain('look for broken tips')
  })

  it('shows the drawing of the step that lies open', async () => {
    await opened()
    await press(' ')
    expect(vi.mocked(api.stepPicture).mock.lastCall?.[1]).toBe('core:body')
    expect(table.wrapper.find('.drawing img').attributes('alt')).toBe(
      'Core: Body: the piece, lit, with needles where they go in',
    )
  })

  it('says why a step comes where it does, at both of the two', async () => {
    await opened()
    const why = 'Before the ear: it would be in the way of the right eye.'
    await table.wrapper.findAll('.steps button.plain')[2]!.trigger('click')
    await flushPromises()
    expect(text()).toContain(why)
    await table.wrapper.findAll('.steps button.plain')[3]!.trigger('click')
    await flushPromises()
    expect(text()).toContain(why)
    expect(text()).toContain('First: Eye.')
  })

  it('takes no space bar from a button or a field', async () => {
    await opened()
    await press(' ', table.wrapper.find('.next').element)
    await press(' ', table.wrapper.find('input[type=checkbox]').element)
    expect(done).toEqual([])
  })

  it('looks ahead at a step on every device, and takes a mark back', async () => {
    await opened()
    await table.wrapper.findAll('.steps button.plain')[2]!.trigger('click')
    await flushPromises()
    expect(title()).toBe('Eye')
    expect(present).toBe('eye')
    await press('PageUp')
    expect(title()).toBe('Core: Body')
    await table.wrapper.findAll('input[type=checkbox]')[0]!.trigger('change')
    await flushPromises()
    expect(done).toEqual(['portion'])
    await table.wrapper.findAll('.steps button.plain')[0]!.trigger('click')
    await flushPromises()
    await button('Mark as not done').trigger('click')
    await flushPromises()
    expect(done).toEqual([])
    expect(title()).toBe('Set portions aside')
  })

  it('goes on where another device has gone on', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    await opened()
    done = ['portion', 'core:body']
    await vi.advanceTimersByTimeAsync(10_500)
    await flushPromises()
    expect(title()).toBe('Eye')
  })

  it('says what to do first where there is nothing to build', async () => {
    await opened({ ...plain(), parts: [], details: [] })
    expect(title()).toBe('Nothing to build yet')
  })
})

describe('the order', () => {
  const choose = async (label: string, value: string) => {
    const field = table.wrapper.findAllComponents({ name: 'VSelect' }).find((s) => s.props('label') === label)!
    field.vm.$emit('update:modelValue', value)
    await flushPromises()
  }

  it('is changed by the school, says what moved until the next step, and can be undone', async () => {
    await opened()
    const chosen = vi.spyOn(api, 'chooseSchool').mockImplementation((sent) =>
      Promise.resolve({
        document: { ...sent, school: { face: 'limbs-first' } },
        changed: 'Limbs first: 3 steps changed places.',
      }),
    )
    await choose('Face or limbs first', 'limbs-first')
    expect(chosen.mock.lastCall?.slice(1)).toEqual(['face', 'limbs-first'])
    expect(table.figure.document?.school?.face).toBe('limbs-first')
    expect(text()).toContain('Limbs first: 3 steps changed places.')
    table.figure.undo()
    await flushPromises()
    expect(table.figure.document?.school?.face).toBeUndefined()
    await press(' ')
    expect(text()).not.toContain('3 steps changed places')
  })

  it('folds the other questions away, and says of one that is answered part by part, or why an answer cannot be', async () => {
    await opened()
    expect(text()).not.toContain('Joins')
    await button('More ways of working').trigger('click')
    expect(text()).toContain('Each part its own way.')
    vi.spyOn(api, 'chooseSchool').mockRejectedValue(new Refusal(422, 'No part of this figure is long enough.'))
    await choose('Joins', 'slit')
    expect(text()).toContain('No part of this figure is long enough.')
    await button('Fewer ways of working').trigger('click')
    expect(text()).not.toContain('Joins')
  })

  it("goes back to Impa's order after a move that is still on its way, and undo takes that move back", async () => {
    await opened()
    await press(' ')
    const putOff = () => table.wrapper.find('[aria-label="Put off"]').trigger('click')
    const [first, second] = [late<{ document: Figure }>(), late<{ document: Figure }>()]
    const pull = vi.spyOn(api, 'pullStep').mockReturnValueOnce(first.promise).mockReturnValueOnce(second.promise)
    const moved = () => ({ ...table.figure.document!, work: { pulled: [{ step: 'core:body', after: 'eye' }] } })
    const pulled = () => (table.figure.document?.work as { pulled?: object[] } | undefined)?.pulled
    await putOff()
    first.come({ document: moved() })
    await flushPromises()
    expect(pulled()).toHaveLength(1)
    await putOff()
    await button("Back to Impa's order").trigger('click')
    second.come({ document: moved() })
    await flushPromises()
    expect(pull).toHaveBeenCalledTimes(2)
    expect(pulled()).toBeUndefined()

    const third = late<{ document: Figure }>()
    pull.mockReturnValueOnce(third.promise)
    await putOff()
    table.figure.undo()
    third.come({ document: moved() })
    await flushPromises()
    expect(pulled()).toBeUndefined()
  })

  it('pulls a step forward, or says why that cannot be', async () => {
    await opened()
    await press(' ')
    const pull = vi
      .spyOn(api, 'pullStep')
      .mockRejectedValueOnce(new Refusal(422, '"Set portions aside" must be done before "Core: Body".'))
    await table.wrapper.find('[aria-label="Pull forward"]').trigger('click')
    await flushPromises()
    expect(pull.mock.lastCall?.slice(1)).toEqual(['core:body', true])
    expect(text()).toContain('must be done before "Core: Body"')
    pull.mockImplementation((sent) =>
      Promise.resolve({ document: { ...sent, work: { pulled: [{ step: 'a', after: 'b' }] } } }),
    )
    await table.wrapper.find('[aria-label="Put off"]').trigger('click')
    await flushPromises()
    expect(pull.mock.lastCall?.slice(1)).toEqual(['core:body', false])
    await button("Back to Impa's order").trigger('click')
    expect(table.figure.document?.work).toEqual({})
  })

  it('folds away and comes back by a key', async () => {
    await opened()
    await press('o')
    expect(table.wrapper.find('.order').exists()).toBe(false)
    await press('o')
    expect(table.wrapper.find('.order').exists()).toBe(true)
  })
})

describe('what dries', () => {
  it('runs a clock that is kept, and that what needs it is told of', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    await opened()
    await press(' ')
    await press(' ')
    await press(' ')
    expect(title()).toBe('Join ear to head')
    expect(useDrying().clocks.value).toMatchObject([{ figure: 7, step: 'eye', title: 'Eye' }])
    await vi.advanceTimersByTimeAsync(1_000)
    expect(text()).toContain('What it needs dries 20 min more.')
    vi.setSystemTime(Date.now() + 20 * 60_000)
    await vi.advanceTimersByTimeAsync(1_000)
    expect(text()).not.toContain('min more')
    expect(JSON.parse(localStorage.getItem('impa:drying')!)).toHaveLength(1)
  })
})

describe('the clock', () => {
  it('counts at the step, and tells the log every 20 seconds, when a step ends and when she leaves', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    await opened()
    await button('Begin').trigger('click')
    await vi.advanceTimersByTimeAsync(21_000)
    await flushPromises()
    const log = vi.mocked(api.logTime)
    expect(log.mock.calls.map((c) => c[1])).toEqual(['portion'])
    await press(' ')
    await vi.advanceTimersByTimeAsync(5_000)
    table.wrapper.unmount()
    await flushPromises()
    const told = log.mock.calls.map(([, key, from, to]) => [key, Math.round((to - from) / 1000)])
    expect(told.map(([key]) => key)).toContain('core:body')
    expect(told.reduce((sum, [, s]) => sum + Number(s), 0)).toBeGreaterThanOrEqual(25)
    expect(localStorage.getItem('impa:work:7')).toBe('[]')
  })

  it('keeps what the server could not take, and tells it later', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    await opened()
    vi.mocked(api.logTime).mockRejectedValueOnce(new Refusal(0, 'Impa does not answer.'))
    await button('Begin').trigger('click')
    await vi.advanceTimersByTimeAsync(21_000)
    await flushPromises()
    expect(JSON.parse(localStorage.getItem('impa:work:7')!)).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(21_000)
    await flushPromises()
    expect(localStorage.getItem('impa:work:7')).toBe('[]')
    expect(vi.mocked(api.logTime)).toHaveBeenCalledTimes(3)
  })

  it.each([401, 408, 419, 425, 429, 500, 503, 507])('loses no minute to a %d: it is told again', async (status) => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    await opened()
    vi.mocked(api.logTime).mockRejectedValueOnce(new Refusal(status, 'Not now.'))
    await button('Begin').trigger('click')
    await vi.advanceTimersByTimeAsync(21_000)
    await flushPromises()
    expect(JSON.parse(localStorage.getItem('impa:work:7')!)).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(21_000)
    await flushPromises()
    expect(localStorage.getItem('impa:work:7')).toBe('[]')
    const told = vi.mocked(api.logTime).mock.calls.map(([, , from, to]) => Math.round((to - from) / 1000))
    // The first was told twice, and is one.
    expect(told).toHaveLength(3)
    expect(told[0]).toBe(told[1])
  })

  it('says what the log refuses, and does not tell it for ever', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    await opened()
    vi.mocked(api.logTime).mockRejectedValueOnce(new Refusal(422, 'The clock ran on for 9 hours.'))
    await button('Begin').trigger('click')
    await vi.advanceTimersByTimeAsync(21_000)
    await flushPromises()
    expect(text()).toContain('The clock ran on for 9 hours.')
    expect(localStorage.getItem('impa:work:7')).toBe('[]')
  })

  it('stops by itself when it was left running: half an hour of it counts', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    await opened()
    await button('Begin').trigger('click')
    await pass(46)
    await flushPromises()
    expect(text()).toContain('left running')
    const told = vi.mocked(api.logTime).mock.calls.reduce((sum, [, , from, to]) => sum + to - from, 0)
    expect(told / 60_000).toBeCloseTo(30, 1)
  })

  it('counts nothing while the device sleeps', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    await opened()
    await button('Begin').trigger('click')
    await vi.advanceTimersByTimeAsync(10_000)
    vi.setSystemTime(Date.now() + 8 * 3_600_000)
    await vi.advanceTimersByTimeAsync(1_000)
    await flushPromises()
    expect(text()).toContain('This device slept')
    const told = vi.mocked(api.logTime).mock.calls.reduce((sum, [, , from, to]) => sum + to - from, 0)
    expect(told).toBeLessThan(12_000)
  })
})

describe('the log', () => {
  it('keeps a note and a broken needle with the step', async () => {
    await opened()
    await press(' ')
    const kept = vi.spyOn(api, 'logEntry').mockResolvedValue(emptyDiary)
    await button('Needle broke').trigger('click')
    expect(kept).not.toHaveBeenCalled()
    await table.wrapper.find('.broken input').setValue('near the neck')
    await button('Not found yet').trigger('click')
    await flushPromises()
    expect(kept.mock.calls.map((c) => c[1])).toMatchObject([
      { kind: 'broken', step: 'core:body', gauge: 36, text: 'A 36 broke: near the neck' },
    ])
    await button('Note').trigger('click')
    await table.wrapper.find('textarea').setValue('Softer on the left')
    await table.wrapper.find('.log form').trigger('submit')
    await flushPromises()
    expect(kept.mock.lastCall?.[1]).toMatchObject({ kind: 'note', text: 'Softer on the left' })
    vi.spyOn(api, 'picture').mockResolvedValue({ id: 12, widthPx: 10, heightPx: 10 })
    const camera = table.wrapper.find('[aria-label="Photo of this step"]')
    Object.defineProperty(camera.element, 'files', { value: [new File(['x'], 'photo.png')] })
    await camera.trigger('change')
    await flushPromises()
    expect(kept.mock.lastCall?.[1]).toMatchObject({ kind: 'photo', picture: 12 })
  })
})

describe('a broken needle', () => {
  const entry = (kind: 'broken' | 'found', uuid: string, at: number) => ({
    uuid,
    kind,
    step: 'core:body',
    text: kind === 'broken' ? 'A 36 broke' : '',
    grams: null,
    gauge: kind === 'broken' ? 36 : null,
    picture: null,
    at,
  })
  const diary = (tipsMissing: number, entries: ReturnType<typeof entry>[]) => ({
    ...emptyDiary,
    tipsMissing,
    sittings: [{ from: 1, to: 2, minutes: 0, steps: [], entries, changed: [] }],
  })

  it('is shown at its step until its tip is found, and space means the step again', async () => {
    await opened()
    await press(' ')
    const kept = vi.spyOn(api, 'logEntry').mockResolvedValue(diary(1, [entry('broken', 'aaaaaaaa-1', 1)]) as never)
    await button('Needle broke').trigger('click')
    await button('Not found yet').trigger('click')
    await flushPromises()
    expect(text()).toContain('A tip may still be in it: not safe yet.')
    expect(document.activeElement?.textContent).toContain('Done, next')
    kept.mockResolvedValue(diary(0, [entry('broken', 'aaaaaaaa-1', 1), entry('found', 'bbbbbbbb-1', 2)]) as never)
    await button('Tip found').trigger('click')
    await flushPromises()
    expect(kept.mock.lastCall?.[1]).toMatchObject({ kind: 'found', step: 'core:body' })
    expect(text()).toContain('The tip was found.')
    const dropped = vi.spyOn(api, 'dropEntry').mockResolvedValue(diary(0, []) as never)
    await button('Take back').trigger('click')
    await flushPromises()
    expect(dropped.mock.calls.map((c) => c[1])).toEqual(['bbbbbbbb-1', 'aaaaaaaa-1'])
    expect(text()).not.toContain('A 36 broke')
  })

  it('is not noted where it did not break after all', async () => {
    await opened()
    await press(' ')
    const kept = vi.spyOn(api, 'logEntry').mockResolvedValue(emptyDiary)
    await button('Needle broke').trigger('click')
    await button('It did not break').trigger('click')
    await flushPromises()
    expect(kept).not.toHaveBeenCalled()
    expect(document.activeElement?.textContent).toContain('Done, next')
  })
})

describe('the rest', () => {
  it('is due half an hour after the first step, is kept over a reload, and begins anew', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    await opened()
    expect(text()).toContain('The clock starts with your first step')
    await press(' ')
    await pass(29)
    expect(text()).toContain('29 min at work')
    table.wrapper.unmount()
    await opened()
    await vi.advanceTimersByTimeAsync(61_000)
    expect(text()).toContain('stretch hands and wrists')
    await button('I have rested').trigger('click')
    expect(text()).toContain('The clock starts with your first step')
  })
})
