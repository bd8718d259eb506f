import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { api } from '../api/client'
import { onTable, plain, type OnTable } from '../../../tests/Support/onTable'
import { showHelp } from '../help/asked'
import { useKeys } from './useKeys'

const Table = defineComponent({
  setup() {
    useKeys()
    return () =>
      h('div', [
        h('input', { id: 'field' }),
        h('div', { class: 'v-overlay v-overlay--active' }, [h('i', { id: 'over' })]),
        h('div', { class: 'v-overlay' }, [h('i', { id: 'leaving' })]),
      ])
  },
})
let table: OnTable
const press = (key: string, more: KeyboardEventInit = {}, at: EventTarget = document.body) =>
  at.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }))
const head = () => table.figure.parts.find((p) => p.key === 'head')!
const eye = () => table.figure.details[0]!

beforeEach(async () => {
  table = await onTable(Table)
})
afterEach(() => table.wrapper.unmount())

describe('keys on a part', () => {
  beforeEach(() => table.figure.choose('head'))

  it('nudges by a millimetre, with Shift by a tenth, and comes back exactly', () => {
    for (const key of ['ArrowRight', 'ArrowUp']) press(key)
    expect(head().at).toMatchObject({ xMm: 1, yMm: 51 })
    press('ArrowLeft', { shiftKey: true })
    press('ArrowDown', { shiftKey: true })
    expect(head().at).toMatchObject({ xMm: 0.9, yMm: 50.9 })
    for (let i = 0; i < 4; i++) press('z', { ctrlKey: true })
    expect(head().at).toMatchObject({ xMm: 0, yMm: 50 })
    press('Z', { ctrlKey: true, shiftKey: true })
    expect(head().at.xMm).toBe(1)
  })

  it('turns, thickens, mirrors, doubles and takes away', async () => {
    press('[')
    press('}', { shiftKey: true })
    expect(head().turnDeg?.z).toBe(4)
    press('.')
    press(',')
    press(',')
    expect(head().shape.depthMm).toBe(29)
    press('m')
    expect(head().mirror).toBe(true)
    press('d')
    press('Delete')
    await flushPromises()
    expect(vi.mocked(api.edit).mock.calls.map((c) => c.slice(1))).toEqual([
      ['double', { kind: 'part', key: 'head' }],
      ['remove', { kind: 'part', keys: ['head'] }],
    ])
  })

  it('never makes a part thinner than half a millimetre', () => {
    table.figure.changePart('head', (p) => (p.shape.depthMm = 1))
    press(',')
    press(',')
    expect(head().shape.depthMm).toBe(0.5)
  })

  it('asks PHP to bring it behind its neighbours and before them', async () => {
    press('PageDown')
    press('PageUp')
    await flushPromises()
    expect(vi.mocked(api.edit).mock.calls.map((c) => c.slice(1))).toEqual([
      ['depth', { key: 'head', nearer: false }],
      ['depth', { key: 'head', nearer: true }],
    ])
  })

  it('hides and locks it; what is locked is not nudged', () => {
    press('h')
    press('k')
    expect(table.figure.hidden).toEqual(['head'])
    press('ArrowRight')
    expect(head().at.xMm).toBe(0)
    press('k')
    press('ArrowRight')
    expect(head().at.xMm).toBe(1)
  })

  it('moves all that are chosen together, and merges them on G', () => {
    const edit = vi.spyOn(api, 'edit').mockResolvedValue({ document: plain(), kind: 'part', key: 'body' })
    table.figure.choose('ear', true)
    press('ArrowUp')
    expect(table.figure.parts.map((p) => p.at.yMm)).toEqual([20, 51, 67])
    press('g')
    expect(edit.mock.calls[0]?.slice(1)).toEqual(['merge', { keys: ['head', 'ear'] }])
  })

  it('lets go on Escape, and then takes no key for an act', () => {
    press('Escape')
    expect(table.figure.selection).toBeNull()
    press('ArrowRight')
    expect(head().at.xMm).toBe(0)
  })
})

describe('keys on a detail', () => {
  beforeEach(() => {
    table.figure.selection = { kind: 'detail', key: 'eye' }
  })

  it('nudges, turns, widens, mirrors, doubles and takes away', async () => {
    press('ArrowLeft')
    press(']')
    press('.')
    press('m')
    expect(eye()).toMatchObject({ xMm: 4, turnDeg: -5, widthMm: 4.2 })
    press('d')
    press('Backspace')
    await flushPromises()
    expect(vi.mocked(api.edit).mock.calls.map((c) => c.slice(1))).toEqual([
      ['twin', { key: 'eye', pair: false }],
      ['double', { kind: 'detail', key: 'eye' }],
      ['remove', { kind: 'detail', keys: ['eye'] }],
    ])
  })
})

describe('keys anywhere', () => {
  it('goes to a station by its digit, and to the shelf', async () => {
    const push = vi.spyOn(table.router, 'push')
    press('3')
    expect(push).toHaveBeenLastCalledWith({ name: 'wool', params: { id: '7' } })
    press('1')
    expect(push).toHaveBeenLastCalledWith('/')
  })

  it('shows the list of keys on a question mark', () => {
    showHelp.value = false
    press('?', { shiftKey: true })
    expect(showHelp.value).toBe(true)
  })

  it('takes nothing that is typed into a field or over a dialog', () => {
    table.figure.choose('head')
    press('Delete', {}, document.querySelector('#field')!)
    press('ArrowUp', {}, document.querySelector('#over')!)
    press('m', { altKey: true })
    expect(table.figure.parts).toHaveLength(3)
    expect(head().at.yMm).toBe(50)
    expect(head().mirror).toBeUndefined()
  })

  it('takes a key again as soon as a dialog is on its way out', () => {
    table.figure.choose('head')
    press('ArrowUp', {}, document.querySelector('#leaving')!)
    expect(head().at.yMm).toBe(51)
  })

  it('acts only at the stations where a shape or a detail can be seen', async () => {
    table.figure.choose('head')
    await table.router.push('/figures/7/build')
    press('Delete')
    expect(table.figure.parts).toHaveLength(3)
  })
})
