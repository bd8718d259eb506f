import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { api, Refusal } from '../../api/client'
import { onTable, plain, type OnTable } from '../../../../tests/Support/onTable'
import DetailPanel from '../face/DetailPanel.vue'
import CoveringFields from './CoveringFields.vue'
import PartPanel from './PartPanel.vue'

const covering = (way: string) => ({ way, lengthMm: 12, perCm2: 9, mgEach: 12, ribbonMm: 8, overlap: 0.3 })
const seat = { way: 'in', within: 0, capMm: 0 }
const board = (way = 'felt', notes: { code: string; at: string; text: string }[] = []) =>
  ({
    plan: {
      parts: [{ key: 'head', count: 1, volumeCm3: 14.1, coreG: 0, colourG: 2.4, minutes: 21, seat }],
      notes: [...notes, { code: 'low-contrast', at: '/details/0', text: 'Eye reads at 8 on its ground.' }],
      balance: { massG: 31.2, tipDeg: 14, mustStand: true, stands: true, touchy: false },
      minutes: { hands: 125, elapsed: 150 },
    },
    drawing: {
      parts: {
        head: {
          options: {},
          core: 'core-wool',
          coverMm: 3,
          firmness: 'springy',
          joinBy: 'fluff',
          covering: covering(way),
          pieces: [],
          inside: [],
        },
      },
    },
  }) as never
let table: OnTable
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
})
const text = () => table.wrapper.text().replace(/\s+/g, ' ')
const select = (label: string) =>
  table.wrapper.findAllComponents({ name: 'VSelect' }).find((s) => s.props('label') === label)!
const field = (label: string) =>
  table.wrapper
    .findAll('.v-text-field')
    .find((f) => f.find('label').text() === label)!
    .find('input')
const head = () => table.figure.parts.find((p) => p.key === 'head')!

describe('the selected part', () => {
  async function chosen(): Promise<void> {
    table = await onTable(PartPanel, {}, plain(), board())
    table.figure.choose('head')
    await nextTick()
  }

  it('is changed in kind, size, place, inside and join, each one step of undo', async () => {
    await chosen()
    select('Shape').vm.$emit('update:modelValue', 'egg')
    await field('Width').setValue('31,5')
    await field('Width').trigger('blur')
    await field('Forwards').setValue('-3')
    await field('Forwards').trigger('blur')
    select('Inside').vm.$emit('update:modelValue', 'stuffing')
    select('Firmness').vm.$emit('update:modelValue', 'firm')
    select('By').vm.$emit('update:modelValue', 'slit')
    expect(head()).toMatchObject({
      shape: { kind: 'egg', widthMm: 31.5 },
      at: { zMm: -3 },
      core: 'stuffing',
      firmness: 'firm',
      join: { to: 'body', by: 'slit' },
    })
    for (let i = 0; i < 6; i++) table.figure.undo()
    expect(head()).toEqual(plain().parts[1])
  })

  it('goes in or is felted onto what it is joined to as she says, until that is left to its shape again', async () => {
    await chosen()
    const where = 'Where it lies within'
    expect(select(where).props('modelValue')).toBe('asked')
    for (const [said, onto] of [
      ['onto', true],
      ['in', false],
      ['asked', undefined],
    ] as const) {
      select(where).vm.$emit('update:modelValue', said)
      await nextTick()
      expect(head().join?.onto).toBe(onto)
      expect(select(where).props('modelValue')).toBe(said)
    }
  })

  it('is brought by PHP to what it does not reach', async () => {
    table = await onTable(PartPanel, {}, plain(), board('felt', [{ code: 'floats', at: '/parts/1', text: 'Far off.' }]))
    table.figure.choose('head')
    await nextTick()
    const edit = vi.spyOn(api, 'edit').mockImplementation(async (document) => ({ document, kind: 'part', key: 'head' }))
    await table.wrapper
      .findAll('button')
      .find((b) => b.text() === 'Bring them together')!
      .trigger('click')
    await flushPromises()
    expect(edit.mock.calls.map((c) => c.slice(1))).toEqual([['together', { key: 'head' }]])
  })

  it('is brought forwards or laid round by PHP where a picture shows it and the round does not', async () => {
    const at = '/parts/1'
    table = await onTable(PartPanel, {}, plain(), board('felt', [{ code: 'buried-roll', at, text: 'Inside it.' }]))
    table.figure.choose('head')
    await nextTick()
    const edit = vi.spyOn(api, 'edit').mockImplementation(async (document) => ({ document, kind: 'part', key: 'head' }))
    for (const label of ['Bring it forwards to show', 'Lay it round as a ring']) {
      await table.wrapper
        .findAll('button')
        .find((b) => b.text() === label)!
        .trigger('click')
      await flushPromises()
    }
    expect(edit.mock.calls.map((c) => c.slice(1))).toEqual([
      ['forwards', { key: 'head' }],
      ['round', { key: 'head' }],
    ])
  })

  it('is made of one height by PHP where the parts stand another than it says', async () => {
    table = await onTable(
      PartPanel,
      {},
      plain(),
      board('felt', [{ code: 'height', at: '/heightMm', text: 'Two heights.' }]),
    )
    table.figure.selection = null
    await nextTick()
    const edit = vi.spyOn(api, 'edit').mockImplementation(async (document) => ({ document, kind: '', key: '' }))
    for (const label of ['Set the height to this', 'Resize it to that height']) {
      await table.wrapper
        .findAll('button')
        .find((b) => b.text() === label)!
        .trigger('click')
      await flushPromises()
    }
    expect(edit.mock.calls.map((c) => c.slice(1))).toEqual([
      ['height', {}],
      ['height', { grow: true }],
    ])
  })

  it('stands on its own when it is joined to nothing, and never to itself', async () => {
    await chosen()
    expect((select('Joined to').props('items') as { value: string }[]).map((i) => i.value)).toEqual(['', 'body', 'ear'])
    select('Joined to').vm.$emit('update:modelValue', '')
    expect(head().join).toBeUndefined()
  })

  it('says why it was seen so, and what it takes', async () => {
    await chosen()
    expect(text()).toContain('Cut from the body at a neck 14 mm wide.')
    expect(table.wrapper.find('[data-fact=colourG]').text()).toBe('2.40 g')
    expect(text()).toContain('14 cm³')
  })

  it('keeps a size out of range in its field, with the range', async () => {
    await chosen()
    await field('Width').setValue('9000')
    await field('Width').trigger('blur')
    expect(text()).toContain('0.3 to 2000')
    expect(head().shape.widthMm).toBe(30)
  })
})

describe('the figure, when nothing is chosen', () => {
  it('is summed up, and takes depths from a side picture', async () => {
    table = await onTable(PartPanel, {}, plain(), board())
    expect(text()).toContain('31.2 g')
    expect(text()).toContain('Standsfirmlytips at 14°')
    vi.spyOn(api, 'picture').mockResolvedValue({ id: 3, widthPx: 10, heightPx: 10 })
    const side = vi
      .spyOn(api, 'sideView')
      .mockResolvedValueOnce({ document: { ...plain(), heightMm: 81 }, notices: ['Ear was not found from the side.'] })
      .mockRejectedValueOnce(new Refusal(422, 'This picture shows nothing.'))
    const input = table.wrapper.find('input[type=file]')
    Object.defineProperty(input.element, 'files', { value: [new File(['x'], 'side.png')] })
    await input.trigger('change')
    await flushPromises()
    expect(side.mock.calls[0]?.slice(1)).toEqual([3, true, 'side.png'])
    expect(text()).toContain('Ear was not found from the side.')
    expect(table.figure.document?.heightMm).toBe(81)
    await input.trigger('change')
    await flushPromises()
    expect(text()).toContain('This picture shows nothing.')
  })
})

describe('what covers a part', () => {
  it('has the numbers of its way, and gives them back to felt', async () => {
    table = await onTable(CoveringFields, { part: plain().parts[1] }, plain(), board('tufts'))
    expect(
      table.wrapper
        .findAll('.v-text-field')
        .map((f) => f.find('label').text())
        .filter((l) => l !== 'Covered with'),
    ).toEqual(['Length', 'On a cm²', 'Each weighs'])
    await field('Each weighs').setValue('20')
    await field('Each weighs').trigger('blur')
    expect(head().covering).toEqual({ way: 'tufts', mgEach: 20 })
    select('Covered with').vm.$emit('update:modelValue', 'wrap')
    expect(head().covering).toEqual({ way: 'wrap' })
    select('Covered with').vm.$emit('update:modelValue', 'felt')
    expect(head().covering).toBeUndefined()
  })

  it('says felt outright where the finish would mean loops', async () => {
    const document = plain()
    document.parts[1]!.finish = 'loops'
    table = await onTable(CoveringFields, { part: document.parts[1] }, document, board('loops'))
    select('Covered with').vm.$emit('update:modelValue', 'felt')
    expect(head().covering).toEqual({ way: 'felt' })
  })
})

describe('the selected detail', () => {
  it('is sized, layered, paired and made otherwise, with its warnings beside it', async () => {
    table = await onTable(DetailPanel, {}, plain(), board())
    expect(text()).toContain('Choose a detail')
    table.figure.selection = { kind: 'detail', key: 'eye' }
    await nextTick()
    expect(text()).toContain('Eye reads at 8 on its ground.')
    await field('Width').setValue('5')
    await field('Width').trigger('blur')
    await field('Up').setValue('-2,5')
    await field('Up').trigger('blur')
    select('Layer').vm.$emit('update:modelValue', 2)
    select('Made by').vm.$emit('update:modelValue', 'bead')
    table.wrapper.findComponent({ name: 'VSwitch' }).vm.$emit('update:modelValue', false)
    expect(table.figure.details[0]).toMatchObject({ widthMm: 5, yMm: -2.5, layer: 2, method: 'bead' })
    await table.wrapper.find('[aria-label="Delete this detail"]').trigger('click')
    expect(vi.mocked(api.edit).mock.calls.map((c) => c.slice(1))).toEqual([
      ['twin', { key: 'eye', pair: false }],
      ['remove', { kind: 'detail', keys: ['eye'] }],
    ])
  })
})
