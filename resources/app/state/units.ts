import { computed, ref, watch } from 'vue'

export type System = 'metric' | 'inch'

/** NIST SP 811: exact. */
export const MM_PER_INCH = 25.4
export const G_PER_OUNCE = 28.349523125

export function lengthText(mm: number, system: System): string {
  if (system === 'inch') return (mm / MM_PER_INCH).toFixed(Math.abs(mm) < 25.4 ? 2 : 1)
  return mm.toFixed(Math.abs(mm) < 100 ? 1 : 0)
}

/** Grams as weighed: 0.1 g from 1 g up, 0.01 g below, milligrams for wisps; ounces with as many figures. */
export function massText(g: number, system: System): { value: string; unit: string } {
  if (system === 'inch') {
    const ounces = g / G_PER_OUNCE
    return { value: ounces.toFixed(ounces >= 0.1 ? 2 : ounces >= 0.01 ? 3 : 5), unit: 'oz' }
  }
  if (g > 0 && g < 0.0995) return { value: (g * 1000).toFixed(0), unit: 'mg' }
  return { value: g.toFixed(g >= 0.995 ? 1 : 2), unit: 'g' }
}

/** Two weights in one unit: "87 to 160 mg", not "87 to 0.16 g". */
export function massRange(lowG: number, highG: number, system: System): string {
  const high = massText(highG, system)
  const low = massText(lowG, system)
  if (low.unit === high.unit) return `${low.value} to ${high.value} ${high.unit}`
  return `${(lowG * 1000).toFixed(0)} to ${(highG * 1000).toFixed(0)} mg`
}

export function minutesText(minutes: number): string {
  const whole = minutes > 0 ? Math.max(1, Math.round(minutes)) : 0
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}

/** What was typed, comma or point, in the system's unit, as mm; NaN where it is no number. */
export function lengthFrom(text: string, system: System): number {
  const trimmed = text.trim().replace(',', '.')
  const value = trimmed === '' ? Number.NaN : Number(trimmed)
  return system === 'inch' ? value * MM_PER_INCH : value
}

const KEY = 'impa:units'
const system = ref<System>(
  typeof localStorage !== 'undefined' && localStorage.getItem(KEY) === 'inch' ? 'inch' : 'metric',
)
watch(system, (now) => localStorage.setItem(KEY, now))

export function useUnits() {
  return {
    system,
    lengthUnit: computed(() => (system.value === 'inch' ? 'in' : 'mm')),
    length: (mm: number) => lengthText(mm, system.value),
    mass: (g: number) => massText(g, system.value),
    massLine: (g: number) => {
      const { value, unit } = massText(g, system.value)
      return `${value} ${unit}`
    },
    massRange: (lowG: number, highG: number) => massRange(lowG, highG, system.value),
    parseLength: (text: string) => lengthFrom(text, system.value),
    minutes: minutesText,
  }
}
