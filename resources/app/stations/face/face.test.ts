import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { api, Refusal, type CrispAdvice, type Laying } from '../../api/client'
import { onTable, plain, type OnTable } from '../../../../tests/support/onTable'
import AfarView from './AfarView.vue'
import DetailPanel from './DetailPanel.vue'
import FaceStation from './FaceStation.vue'
import LayingGuide from './LayingGuide.vue'
import MeasureLine from './MeasureLine.vue'

const laying = (key: string, more: Partial<Laying> = {}): Laying => ({ key, woolMg: 12, wool: '12 mg each: a strand of 30 mm', needle: '42, one, very shallow', marks: ['its middle: 9.2 mm out on both sides, 39.9 mm down'], stabs: ['Tack it at the top', 'at the bottom', 'The middle last'], proudMm: 0, check: 'Compare both.', undo: 'Lift it out.', ...more })
const faced = () => {
  const document = plain()
  document.details!.push({ key: 'nose', name: 'Nose', on: 'head', kind: 'disc', widthMm: 6, heightMm: 5, colour: 'ink', xMm: 0, yMm: -4 })
  return document
}
const board = { plan: { parts: [], details: [{ key: 'eye', count: 2, woolMg: 6, marks: { acrossMm: 5, downMm: 20, pinMm: 5 }, crisp: 'soft', difference: 12 }, { key: 'nose', count: 1, woolMg: 9, marks: null, crisp: 'crisp', difference: 40 }], face: 'head', notes: [{ code: 'low-contrast', at: '/details/0', text: 'Eye reads at 12.' }], wool: [], steps: [], balance: {}, minutes: { hands: 1, elapsed: 1 } }, drawing: { parts: {}, details: {} } } as never
const advice: Record<string, CrispAdvice[]> = { eye: [{ why: 'ink on fur reads at 12; 20 is crisp', mends: [{ text: 'rim it in white, 1 mm all round', set: { layer: 2 }, under: { name: 'Rim', on: 'head', kind: 'disc', colour: 'fur', layer: 1, widthMm: 6 } }, { text: 'use a glossy eye of 4.0 mm', set: { kind: 'eye', method: 'ready-made', widthMm: 4 }, under: null }] }] }
let table: OnTable
afterEach(() => { table.wrapper.unmount(); vi.restoreAllMocks() })
const text = () => table.wrapper.text().replace(/\s+/g, ' ')
const button = (words: string) => table.wrapper.findAll('button').find((b) => b.text() === words)!

describe('how a face is laid', () => {
  it('is read one detail at a time, and chooses it on the head', async () => {
    table = await onTable(LayingGuide, { laying: [laying('nose', { marks: ['its middle: on the middle line, 44.0 mm down'] }), laying('eye')] }, faced(), board)
    expect(table.wrapper.find('h2').text()).toContain('Nose')
    expect(text()).toContain('on the middle line, 44.0 mm down')
    await table.wrapper.find('[aria-label="The next one"]').trigger('click')
    expect(table.wrapper.find('h2').text()).toContain('Eye')
    expect(table.figure.selection).toEqual({ kind: 'detail', key: 'eye' })
    await table.wrapper.find('[aria-label="The next one"]').trigger('click')
    expect(text()).toContain('1 of 2')
    expect(table.wrapper.findAll('.stabs li').map((l) => l.text())).toEqual(['Tack it at the top', 'at the bottom', 'The middle last'])
  })

  it('follows what is chosen on the head, and says when there is nothing', async () => {
    table = await onTable(LayingGuide, { laying: [laying('nose'), laying('eye')] }, faced(), board)
    table.figure.selection = { kind: 'detail', key: 'eye' }
    await nextTick()
    expect(table.wrapper.find('h2').text()).toContain('Eye')
    await table.wrapper.setProps({ laying: [] })
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
    expect(table.figure.details.map((d) => [d.key, d.layer])).toEqual([['eye', 2], ['nose', undefined], ['eye-rim', 1]])
    table.figure.undo()
    expect(table.figure.details).toHaveLength(2)
    await button('Use a glossy eye of 4.0 mm').trigger('click')
    expect(table.figure.details[0]).toMatchObject({ kind: 'eye', method: 'ready-made', widthMm: 4 })
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
    const between = vi.spyOn(api, 'between').mockResolvedValueOnce({ pinMm: 10, tapeMm: 10.7 }).mockRejectedValueOnce(new Refusal(422, 'One of the two places is not on the part as seen from the front.'))
    table = await onTable(MeasureLine, { part: 'head' }, faced(), board)
    const [from, to] = table.wrapper.findAllComponents({ name: 'VSelect' })
    expect((from!.props('items') as { title: string }[]).map((i) => i.title)).toEqual(['the middle of the part', 'Eye, right', 'Eye, left', 'Nose'])
    from!.vm.$emit('update:modelValue', 'eye')
    to!.vm.$emit('update:modelValue', 'eye twin')
    await flushPromises()
    expect(between.mock.calls[0]?.slice(1)).toEqual(['head', [[5, 0], [-5, 0]]])
    expect(table.wrapper.find('[role=status]').text()).toBe('10.0 mm by calipers, 10.7 by tape')
    to!.vm.$emit('update:modelValue', 'nose')
    await flushPromises()
    expect(table.wrapper.find('[role=status]').text()).toContain('not on the part')
  })
})

describe('the face station', () => {
  it('numbers marks in the order in which they are laid', async () => {
    vi.spyOn(api, 'face').mockResolvedValue({ stepMm: 5, across: [], down: [], crownMm: 15, footMm: -15, guides: [{ key: 'cute', why: 'The high forehead looks young.', bands: [{ name: 'eyes', highMm: -1, lowMm: -4 }] }] })
    vi.spyOn(api, 'laying').mockResolvedValue({ laying: [laying('nose'), laying('eye')], advice: {} })
    table = await onTable(FaceStation, {}, faced(), board)
    await flushPromises()
    const rows = table.wrapper.findAll('tbody tr').map((r) => r.findAll('td').map((c) => c.text().replace(/\s+/g, ' ')))
    expect(rows).toEqual([['1', 'Nose', 'off', 'off', 'crisp'], ['2', 'Eye x 2', '5.0', '20.0', 'soft']])
    await table.wrapper.findAll('[role=tab]')[1]!.trigger('click')
    expect(text()).toContain('1 of 2')
    expect(table.wrapper.findComponent(LayingGuide).exists()).toBe(true)
  })

  it('lays a guide over the head, with its reason, and takes it off again', async () => {
    vi.spyOn(api, 'face').mockResolvedValue({ stepMm: 5, across: [], down: [], crownMm: 15, footMm: -15, guides: [{ key: 'cute', why: 'The high forehead looks young.', bands: [{ name: 'eyes', highMm: -1, lowMm: -4 }] }] })
    vi.spyOn(api, 'laying').mockResolvedValue({ laying: [], advice: {} })
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
    vi.spyOn(api, 'laying').mockRejectedValue(new Refusal(0, 'no'))
    table = await onTable(FaceStation, {}, faced(), board)
    await flushPromises()
    expect(table.wrapper.findAll('tbody tr')).toHaveLength(2)
  })
})
