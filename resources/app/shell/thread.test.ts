import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, resolveComponent } from 'vue'
import { api, Refusal } from '../api/client'
import { useUnits } from '../state/units'
import { onTable, plain, type OnTable } from '../../../tests/Support/onTable'
import ConflictDialog from './ConflictDialog.vue'
import StationThread from './StationThread.vue'

const Bar = defineComponent({ render: () => h(resolveComponent('VApp'), () => [h(StationThread), h(ConflictDialog)]) })
const board = (done: number) =>
  ({
    plan: {
      parts: [],
      notes: [],
      balance: {},
      minutes: { hands: 1, elapsed: 1 },
      wool: [
        { material: 'core-wool', colour: null, g: 12.2 },
        { material: 'wool', colour: 'fur', g: 9 },
      ],
      details: [{ key: 'eye', crisp: done ? 'crisp' : 'soft' }],
      steps: [{ key: 'a' }, { key: 'b' }],
    },
    drawing: { parts: {}, details: {} },
  }) as never

let table: OnTable
afterEach(() => {
  useUnits().system.value = 'metric'
  table.wrapper.unmount()
  vi.restoreAllMocks()
})
const knots = () => table.wrapper.findAll('.knot').map((k) => k.text().replace(/\s+/g, ' '))

describe('the thread of stations', () => {
  it('says of each what it knows, and its state', async () => {
    table = await onTable(Bar, {}, plain(), board(0))
    expect(knots()).toEqual([
      'Shapes3 parts, 1 pair, in work',
      'Woolcore 12.2 g, colour 9.0 g, in work',
      'Face1 detail, 1 to look at, in work',
      'Build0 of 2 steps, untouched',
      'Checkas planned?, untouched',
    ])
    expect(table.wrapper.find('.knot[aria-current=page]').text()).toContain('Shapes')
    vi.spyOn(api, 'mark').mockResolvedValue({ done: ['a', 'b'], present: '' })
    await table.figure.mark('b', true)
    await flushPromises()
    expect(knots()[3]).toContain('2 of 2 steps, settled')
  })

  it('undoes and redoes, and says whether it is saved', async () => {
    table = await onTable(Bar, {}, plain(), board(0))
    const undo = () => table.wrapper.find('[aria-label=Undo]')
    expect(undo().attributes('disabled')).toBeDefined()
    table.figure.change((d) => (d.name = 'Other'))
    await flushPromises()
    expect(table.wrapper.find('[role=status]').text()).toBe('Saving soon')
    await undo().trigger('click')
    expect(table.figure.document?.name).toBe('Test')
    await table.wrapper.find('[aria-label=Redo]').trigger('click')
    expect(table.figure.document?.name).toBe('Other')
  })

  it('changes units for every station at once', async () => {
    table = await onTable(Bar, {}, plain(), board(0))
    await table.wrapper.find('.unit-switch').trigger('click')
    expect(useUnits().system.value).toBe('imperial')
    expect(knots()[1]).toContain('oz')
  })

  it('asks PHP for another height, and keeps the old one where that is refused', async () => {
    table = await onTable(Bar, {}, plain(), board(0))
    const rescale = vi
      .spyOn(api, 'rescale')
      .mockRejectedValueOnce(new Refusal(422, 'Too tall.'))
      .mockResolvedValue({ document: { ...plain(), heightMm: 160 } } as never)
    const field = table.wrapper.find('.height input')
    for (const expected of [80, 160]) {
      await field.setValue('160')
      await field.trigger('keydown.enter')
      await flushPromises()
      expect(table.figure.document?.heightMm).toBe(expected)
      await field.setValue('80')
      await field.setValue('160')
    }
    expect(rescale).toHaveBeenCalledWith(expect.anything(), 160)
  })
})

describe('two windows on one figure', () => {
  it('are told of each other; keeping one loses nothing of the other', async () => {
    table = await onTable(Bar, {}, plain(), board(0))
    vi.spyOn(api, 'save').mockRejectedValueOnce(
      new Refusal(409, 'stale', [], { revision: 9, document: { ...plain(), name: 'Theirs' } }),
    )
    table.figure.change((d) => (d.name = 'Mine'))
    await table.figure.save()
    await flushPromises()
    expect(document.body.textContent).toContain('This figure was changed in another window')
    ;[...document.querySelectorAll('button')].find((b) => b.textContent === 'Take the other')!.click()
    await flushPromises()
    expect(table.figure.document?.name).toBe('Theirs')
    table.figure.undo()
    expect(table.figure.document?.name).toBe('Mine')
  })
})
