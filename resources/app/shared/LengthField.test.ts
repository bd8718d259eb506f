import { afterEach, describe, expect, it } from 'vitest'
import { onTable, type OnTable } from '../../../tests/Support/onTable'
import { useUnits } from '../state/units'
import LengthField from './LengthField.vue'

let table: OnTable
const field = async (props: Record<string, unknown>) => {
  table = await onTable(LengthField, { label: 'Width', ...props })
  return table.wrapper.find('input')
}
const emitted = () => (table.wrapper.emitted('update:modelValue') ?? []).flat()
afterEach(() => {
  useUnits().system.value = 'metric'
  table.wrapper.unmount()
})

describe('a field for a length', () => {
  it('takes a comma for a point, and says nothing of what did not change', async () => {
    const input = await field({ modelValue: 12 })
    await input.trigger('blur')
    await input.setValue('12,5')
    await input.trigger('keydown.enter')
    expect(emitted()).toEqual([12.5])
  })

  it('keeps what makes no sense, with a word on it', async () => {
    const input = await field({ modelValue: 12, max: 50 })
    for (const [typed, word] of [
      ['wide', 'A number, please'],
      ['80', '0.3 to 50'],
    ] as const) {
      await input.setValue(typed)
      await input.trigger('blur')
      expect(table.wrapper.text()).toContain(word)
      expect((input.element as HTMLInputElement).value).toBe(typed)
    }
    expect(emitted()).toEqual([])
  })

  it('steps by a millimetre, by a sixteenth of an inch, by a twentieth of a taper, and not past its ends', async () => {
    const input = await field({ modelValue: 49.5, max: 50 })
    await input.trigger('keydown.up')
    expect(emitted()).toEqual([50])
    table.wrapper.unmount()
    useUnits().system.value = 'imperial'
    await (await field({ modelValue: 25.4 })).trigger('keydown.down')
    expect(emitted()[0]).toBeCloseTo(25.4 - 25.4 / 16, 1)
    table.wrapper.unmount()
    await (await field({ modelValue: -0.58, suffix: '', min: -0.6, max: 0.6 })).trigger('keydown.down')
    expect(emitted()).toEqual([-0.6])
  })

  it('shows inches when inches are asked for, and emits millimetres', async () => {
    useUnits().system.value = 'imperial'
    const input = await field({ modelValue: 50.8 })
    expect((input.element as HTMLInputElement).value).toBe('2')
    await input.setValue('1')
    await input.trigger('blur')
    expect(emitted()).toEqual([25.4])
  })
})
