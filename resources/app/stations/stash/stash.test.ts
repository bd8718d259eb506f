import { flushPromises } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { SheetRead, Wool } from '../../api/types/answers'
import { api, Refusal } from '../../api/client'
import { base64, download } from '../../shared/download'
import { onTable, type OnTable } from '../../../../tests/Support/onTable'
import PhotoDialog from './PhotoDialog.vue'
import RampTool from './RampTool.vue'
import ScalePanel from './ScalePanel.vue'
import SheetDialog from './SheetDialog.vue'
import StashStation from './StashStation.vue'
import WoolPanel from './WoolPanel.vue'
import WoolTuft from './WoolTuft.vue'

const wool = (id: number, name: string, more: Partial<Wool> = {}): Wool => ({
  revision: 'r1',
  id,
  name,
  hex: '#2f8f86',
  material: 'wool',
  preparation: 'carded batting',
  gramsLeft: 20,
  micron: null,
  gPerM: null,
  price: null,
  packG: null,
  maker: '',
  freeG: 20,
  asideG: 0,
  ...more,
})
const drawer = [
  wool(1, 'Teal'),
  wool(2, 'Rose', { hex: '#d88498', gramsLeft: 6 }),
  wool(3, 'Undyed', { hex: null, material: 'core-wool', preparation: 'core batting', gramsLeft: 180 }),
  wool(4, 'Amber', { hex: '#e6a940', asideG: 5, freeG: 15, preparation: 'sliver' }),
]

let table: OnTable
afterEach(() => {
  table.wrapper.unmount()
  vi.restoreAllMocks()
  vi.useRealTimers()
})
const text = () => table.wrapper.text().replace(/\s+/g, ' ')
const all = () => [...document.querySelectorAll('button')]
const button = (words: string | RegExp) =>
  all().find((b) => (typeof words === 'string' ? b.textContent?.trim() === words : words.test(b.textContent ?? '')))!
const names = () => table.wrapper.findAll('.tuft b').map((b) => b.text())

describe('the drawer', () => {
  async function opened(wools: Wool[] = drawer) {
    vi.spyOn(api, 'wools').mockResolvedValue({ wools })
    table = await onTable(StashStation)
    await flushPromises()
  }

  it('lies in the order of the colour circle, undyed last, and is found by a word', async () => {
    await opened()
    expect(names()).toEqual(['Rose', 'Amber', 'Teal', 'Undyed'])
    expect(text()).toContain('4 wools, 226.0 g')
    await table.wrapper.find('.find input').setValue('sliver')
    expect(names()).toEqual(['Amber'])
    await table.wrapper.find('.find input').setValue('zebra')
    expect(text()).toContain('Nothing in the drawer is called so.')
  })

  it('says what to do first where it is empty, and why where it does not open', async () => {
    await opened([])
    expect(text()).toContain('Put your first wool in')
    table.wrapper.unmount()
    vi.spyOn(api, 'wools').mockRejectedValue(new Refusal(0, 'Impa does not answer.'))
    table = await onTable(StashStation)
    await flushPromises()
    expect(text()).toContain('Impa does not answer.')
  })

  it('throws a wool away and takes it back', async () => {
    await opened()
    const thrown = vi.spyOn(api, 'throwWool').mockResolvedValue(undefined)
    const restored = vi.spyOn(api, 'restoreWool').mockResolvedValue(drawer[1]!)
    await table.wrapper.findAll('.tuft')[0]!.trigger('click')
    await table.wrapper.find('[aria-label="Delete this wool"]').trigger('click')
    await flushPromises()
    expect(thrown).toHaveBeenCalledWith(2)
    button('Take it back').click()
    await flushPromises()
    expect(restored).toHaveBeenCalledWith(2)
  })

  it('is weighed to a hundredth, never below nothing', async () => {
    await opened()
    const weigh = vi.spyOn(api, 'weigh').mockResolvedValue(drawer[0]!)
    await table.wrapper.findAll('.tuft')[2]!.trigger('click')
    const scale = table.wrapper.findComponent(ScalePanel)
    scale.vm.$emit('take', 8.4049)
    scale.vm.$emit('take', -0.01)
    await flushPromises()
    expect(weigh.mock.calls).toEqual([
      [1, 8.4],
      [1, 0],
    ])
  })
})

describe('a tuft', () => {
  it('is as large as the cube root of what is left, and says how much of it is set aside', async () => {
    const size = async (gramsLeft: number) => {
      table = await onTable(WoolTuft, { wool: wool(1, 'A', { gramsLeft }), largestG: 80, chosen: false })
      const px = Number(table.wrapper.find('svg').attributes('width'))
      table.wrapper.unmount()
      return px - 30
    }
    expect((await size(80)) / (await size(10))).toBeCloseTo(2, 5)
    table = await onTable(WoolTuft, { wool: wool(1, 'A', { asideG: 5 }), largestG: 80, chosen: true })
    expect(table.wrapper.find('.share i').attributes('style')).toBe('width: 25%;')
    expect(text()).toContain('20.0 g, 5.0 g set aside')
    expect(table.wrapper.find('button').attributes('aria-pressed')).toBe('true')
  })
})

describe('a wool written down', () => {
  it('keeps what was typed with a word at each fault, and saves it when it is right', async () => {
    const save = vi
      .fn()
      .mockRejectedValueOnce(
        new Refusal(422, 'faults', [{ pointer: '/gramsLeft', detail: 'The grams left "12,x" is no number.' }]),
      )
      .mockResolvedValue(undefined)
    table = await onTable(WoolPanel, { wool: null, save })
    const field = (label: string) =>
      table.wrapper
        .findAll('.v-text-field')
        .find((f) => f.text().includes(label))!
        .find('input')
    await field('Name').setValue('Fog')
    await field('Grams left').setValue('12,x')
    await table.wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(text()).toContain('The grams left "12,x" is no number.')
    expect((field('Grams left').element as HTMLInputElement).value).toBe('12,x')
    await field('Grams left').setValue('12,5')
    await table.wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(save.mock.calls[1]?.[0]).toMatchObject({
      name: 'Fog',
      gramsLeft: '12,5',
      preparation: 'carded batting',
      material: 'wool',
    })
    expect(text()).not.toContain('is no number')
  })

  it('shows another wool when another is chosen, and what of it is set aside', async () => {
    table = await onTable(WoolPanel, { wool: drawer[0], save: vi.fn() })
    await table.wrapper.setProps({ wool: drawer[3] })
    expect(
      (
        table.wrapper
          .findAll('.v-text-field')
          .find((f) => f.text().includes('Name'))!
          .find('input').element as HTMLInputElement
      ).value,
    ).toBe('Amber')
    expect(text()).toContain('5.0 g of it are set aside for figures, 15.0 g are free.')
  })
})

describe('the scale', () => {
  it('gives its weight only at rest', async () => {
    table = await onTable(ScalePanel)
    vi.useFakeTimers()
    expect(text()).toContain('off')
    button('Use a practice scale').click()
    await vi.advanceTimersByTimeAsync(10)
    await table.wrapper.find('input').setValue('12.5')
    await vi.advanceTimersByTimeAsync(260)
    expect(text()).toContain('settling')
    expect(button(/^\s*Take the weight/).hasAttribute('disabled')).toBe(true)
    await vi.advanceTimersByTimeAsync(4000)
    expect(text()).toContain('at rest')
    button(/Take 12\./).click()
    expect((table.wrapper.emitted('take')?.[0] as number[])[0]).toBeCloseTo(12.5, 1)
    await table.wrapper.find('input').setValue('900')
    await vi.advanceTimersByTimeAsync(3000)
    expect(text()).toContain('too heavy for it')
  })
})

describe('a table or palette', () => {
  const read = (applied: boolean): SheetRead => ({
    added: [{ name: 'Moss', hex: '#6d7a3f', gramsLeft: 14.5 }],
    changed: [{ id: 1, name: 'Teal', what: ['grams: 20 to 9'] }],
    same: 3,
    refused: [{ line: 5, column: 'colour', why: '"blueish" is no colour.' }],
    notices: ['The columns are parted by semicolons here.'],
    applied,
  })
  it('is shown before it is taken in, and sent as it is', async () => {
    const sheet = vi.spyOn(api, 'readSheet').mockImplementation((_b, _as, apply) => Promise.resolve(read(apply)))
    table = await onTable(SheetDialog, { modelValue: true })
    await flushPromises()
    const input = document.querySelector<HTMLInputElement>('input[type=file]')!
    Object.defineProperty(input, 'files', { value: [new File(['name\nMöss\n'], 'mine.GPL')] })
    input.dispatchEvent(new Event('change'))
    await vi.waitFor(() => expect(document.body.textContent).toContain('1 new, 1 changed, 3 the same, 1 refused.'))
    expect(document.body.textContent).toContain('Line 5, colour: "blueish" is no colour.')
    expect(sheet.mock.calls[0]?.slice(1)).toEqual(['gpl', false])
    expect(new TextDecoder().decode(Uint8Array.from(atob(sheet.mock.calls[0]![0]), (c) => c.charCodeAt(0)))).toBe(
      'name\nMöss\n',
    )
    button('Take them in').click()
    await flushPromises()
    expect(sheet.mock.calls[1]?.slice(1)).toEqual(['gpl', true])
    expect(table.wrapper.emitted('done')).toHaveLength(1)
  })
})

describe('a photo', () => {
  it('is pointed at: wool, then card; the nearer one follows', async () => {
    vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:photo', revokeObjectURL: () => {} }))
    vi.spyOn(api, 'picture').mockResolvedValue({ id: 9, widthPx: 100, heightPx: 100 })
    const colour = vi.spyOn(api, 'woolColour').mockResolvedValue({ hex: '#2f8f86', uncorrected: '#555555' })
    table = await onTable(PhotoDialog, { modelValue: true })
    await flushPromises()
    const input = document.querySelector<HTMLInputElement>('input[type=file]')!
    Object.defineProperty(input, 'files', { value: [new File(['x'], 'wool.png')] })
    input.dispatchEvent(new Event('change'))
    await flushPromises()
    const photo = document.querySelector<HTMLElement>('[role=application]')!
    photo.getBoundingClientRect = () => ({ left: 0, top: 0, width: 100, height: 100 }) as DOMRect
    const click = async (x: number, y: number) => {
      photo.dispatchEvent(new MouseEvent('click', { clientX: x, clientY: y, bubbles: true }))
      await flushPromises()
    }
    await click(20, 50)
    expect(colour).not.toHaveBeenCalled()
    await click(80, 50)
    await click(30, 60)
    expect(colour.mock.calls.at(-1)).toEqual([9, { x: 0.3, y: 0.6, cardX: 0.8, cardY: 0.5, by: 'grey' }])
    button('Take this colour').click()
    await nextTick()
    expect(table.wrapper.emitted('take')).toEqual([['#2f8f86']])
  })
})

describe('a gradient', () => {
  it('is asked for once both ends are chosen, of wools that cover', async () => {
    const ramp = vi.spyOn(api, 'ramp').mockResolvedValue({
      steps: [
        { percent: 0, hex: '#2f8f86' },
        { percent: 100, hex: '#d88498' },
      ],
    })
    table = await onTable(RampTool, { wools: drawer })
    const [from, to] = table.wrapper.findAllComponents({ name: 'VSelect' })
    expect((from!.props('items') as unknown[]).length).toBe(3)
    from!.vm.$emit('update:modelValue', '#2f8f86')
    await flushPromises()
    expect(ramp).not.toHaveBeenCalled()
    to!.vm.$emit('update:modelValue', '#d88498')
    await flushPromises()
    expect(ramp).toHaveBeenCalledWith('#2f8f86', '#d88498', 5)
    expect(table.wrapper.findAll('li')).toHaveLength(2)
  })
})

describe('files', () => {
  it('go out under their name, and in as base64 whole', async () => {
    table = await onTable(RampTool, { wools: [] })
    const bytes = Uint8Array.from({ length: 30_000 }, (_, i) => i % 256)
    const back = atob(await base64(new Blob([bytes])))
    expect(back.length).toBe(30_000)
    expect([...back.slice(250, 260)].map((c) => c.charCodeAt(0))).toEqual([250, 251, 252, 253, 254, 255, 0, 1, 2, 3])
    const clicked: string[] = []
    vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
      clicked.push(this.download)
    })
    vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:file', revokeObjectURL: () => {} }))
    download(new Blob(['x']), 'stash.csv')
    expect(clicked).toEqual(['stash.csv'])
  })
})
