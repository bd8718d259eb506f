import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { api } from '../../api/client'
import type { Step } from '../../api/plan'
import { onTable, plain, type OnTable } from '../../../../tests/support/onTable'
import BuildStation from './BuildStation.vue'

const step = (key: string, kind: Step['kind'], more: Partial<Step> = {}): Step => ({
  key,
  kind,
  part: 'body',
  detail: '',
  after: [],
  minutes: 10,
  waitMinutes: 0,
  needle: { gauge: 36, holder: 3, stab: 'deep' },
  weigh: [],
  text: `Do ${key}.`,
  ...more,
})
const steps = [
  step('portion', 'portion', {
    part: '',
    needle: null,
    weigh: [
      { material: 'wool', colour: 'fur', g: 0.3, pieces: 2 },
      { material: 'core-wool', colour: null, g: 6, pieces: 1 },
    ],
  }),
  step('core:body', 'core'),
  step('eye', 'detail', {
    part: 'head',
    detail: 'eye',
    needle: { gauge: 42, holder: 1, stab: 'very shallow' },
    waitMinutes: 20,
  }),
]
const board = {
  plan: { parts: [], details: [], wool: [], steps, notes: [], balance: {}, minutes: { hands: 30, elapsed: 50 } },
  drawing: { parts: {}, details: {} },
} as never
let table: OnTable
let done: string[]

async function opened(document = plain()): Promise<void> {
  done = []
  vi.spyOn(api, 'mark').mockImplementation((_id, key, isDone) => {
    done = isDone ? [...done, key] : done.filter((k) => k !== key)
    return Promise.resolve({ done })
  })
  table = await onTable(BuildStation, {}, document, board)
  await nextTick()
}
const title = () => table.wrapper.find('main h1').text()
const text = () => table.wrapper.text().replace(/\s+/g, ' ')
const press = async (key: string, at: EventTarget = document.body) => {
  at.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
  await flushPromises()
}

beforeEach(() => sessionStorage.clear())
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
  vi.useRealTimers()
})

describe('one step at a time', () => {
  it('begins with what to weigh, and how to divide it', async () => {
    await opened()
    expect(title()).toBe('Set portions aside')
    expect(text()).toContain('Weigh 0.60 g Fur. Split in two: 0.30 g each.')
    expect(text()).toContain('Weigh 6.0 g core wool.')
    expect(text()).toContain('Step 1 of 3')
    expect(text()).toContain('30 min left')
  })

  it('goes on by the space bar and by its button, each step named and its needle told', async () => {
    await opened()
    await press(' ')
    expect(title()).toBe('Core: Body')
    expect(text()).toContain('36, 3 in the holder')
    await table.wrapper.find('.next').trigger('click')
    await flushPromises()
    expect(title()).toBe('Eye')
    expect(text()).toContain('42, one')
    expect(text()).toContain('then 20 min drying')
    expect(done).toEqual(['portion', 'core:body'])
    await press(' ')
    expect(title()).toBe('It is finished')
    expect(text()).toContain('look for broken tips')
  })

  it('takes no space bar from a button or a field', async () => {
    await opened()
    await press(' ', table.wrapper.find('.next').element)
    await press(' ', table.wrapper.find('input[type=checkbox]').element)
    expect(done).toEqual([])
  })

  it('looks ahead at a step, and takes a mark back', async () => {
    await opened()
    await table.wrapper.findAll('.steps button')[2]!.trigger('click')
    expect(title()).toBe('Eye')
    await table.wrapper.findAll('input[type=checkbox]')[0]!.trigger('change')
    await flushPromises()
    expect(title()).toBe('Core: Body')
    await table.wrapper.findAll('.steps button')[0]!.trigger('click')
    await table.wrapper
      .findAll('button')
      .find((b) => b.text() === 'Not done after all')!
      .trigger('click')
    await flushPromises()
    expect(done).toEqual([])
    expect(title()).toBe('Set portions aside')
  })

  it('says what to do first where there is nothing to build', async () => {
    vi.spyOn(api, 'mark').mockResolvedValue({ done: [] })
    table = await onTable(BuildStation, {}, { ...plain(), parts: [], details: [] }, {
      ...(board as object),
      plan: { ...(board as { plan: object }).plan, steps: [] },
    } as never)
    expect(title()).toBe('Nothing to build yet')
  })

  it('warns of small parts only where there are some', async () => {
    await opened()
    expect(text()).not.toContain('not a toy')
    table.wrapper.unmount()
    const document = plain()
    document.details![0]!.method = 'bead'
    await opened(document)
    expect(text()).toContain('not a toy')
  })
})

describe('the rest', () => {
  it('is due half an hour after the first step, is kept over a reload, and begins anew', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    await opened()
    expect(text()).toContain('The clock starts with your first step')
    await press(' ')
    await vi.advanceTimersByTimeAsync(29 * 60_000)
    expect(text()).toContain('29 min at work')
    table.wrapper.unmount()
    await opened()
    await vi.advanceTimersByTimeAsync(61_000)
    expect(text()).toContain('stretch hands and wrists')
    await table.wrapper
      .findAll('button')
      .find((b) => b.text() === 'I have rested')!
      .trigger('click')
    expect(text()).toContain('The clock starts with your first step')
  })
})
