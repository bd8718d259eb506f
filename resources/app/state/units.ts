import { computed, ref, watch } from 'vue'
import { marked, spoken, t } from '../lang'
import { currency } from './money'

export type System = 'metric' | 'imperial'

/** NIST SP 811: exact. */
export const MM_PER_INCH = 25.4
const M_PER_FOOT = (12 * MM_PER_INCH) / 1000
export const G_PER_OUNCE = 28.349523125

/** Kitchen scales show no less: grams are told as well. */
const LEAST_OZ = 0.1
/** Less is taken with two fingers, g (house choice). */
const PINCH_G = 0.005

/**
 * Amounts as core's Voice/Writer writes them, with as many digits as a hand can use: both are held to formats/quantities.json. Numbers
 * that change while somebody drags are written here; sentences come from core, with their numbers in them.
 */
export function written(measure: Measure, is: number, system: System): string {
  const metric = system === 'metric'
  switch (measure) {
    case 'length':
      return metric ? metricLength(is) : imperialLength(is / MM_PER_INCH)
    case 'mass':
      if (is === 0) return metric ? '0 g' : '0 oz'
      return metric || Math.abs(is) < PINCH_G ? grams(is) : ounces(is)
    case 'time':
      return minutesText(is)
    case 'angle':
      return `${plain(is, 0)}°`
    case 'share':
      return `${plain(100 * is, 0)}${spoken() === 'de' ? ' %' : '%'}`
    case 'area':
      return metric ? `${figures(is)} cm²` : `${figures(is / (MM_PER_INCH / 10) ** 2)} in²`
    case 'volume':
      return metric ? `${figures(is)} cm³` : `${figures(is / (MM_PER_INCH / 10) ** 3)} in³`
    case 'density':
      return metric ? `${figures(is)} g/cm³` : `${figures((is * (MM_PER_INCH / 10) ** 3) / G_PER_OUNCE)} oz/in³`
    case 'number':
      return short(is, 2)
  }
}
export type Measure = 'length' | 'mass' | 'time' | 'angle' | 'share' | 'area' | 'volume' | 'density' | 'number'

/** Halves are rounded away from nought, as PHP rounds them. */
function round(is: number, digits: number): number {
  const tens = 10 ** digits
  const rounded = (Math.sign(is) * Math.round(Number((Math.abs(is) * tens).toPrecision(15)))) / tens
  return rounded === 0 ? 0 : rounded
}
const plain = (is: number, digits: number) => marked(round(is, digits).toFixed(digits))
/** Without noughts at its end. */
const short = (is: number, digits: number) => marked(String(round(is, digits)))
/** Two figures that count, for what nobody measures more closely. */
function figures(is: number): string {
  const digits = is === 0 ? 0 : 1 - Math.floor(Math.log10(Math.abs(is)) + 1e-9)
  return plain(round(is, digits), Math.max(0, digits))
}

function metricLength(mm: number): string {
  if (Math.abs(mm) >= 999.75) return `${plain(mm / 1000, 2)} m`
  if (Math.abs(mm) >= 99.75) return `${plain(mm, 0)} mm`
  return Math.abs(mm) >= 19.95 ? `${short(Math.round(2 * mm) / 2, 1)} mm` : `${short(mm, 1)} mm`
}

/** Tapes show sixteenths; what is shorter than a quarter inch is told in hundredths. */
function imperialLength(inches: number): string {
  const sign = inches < 0 ? '-' : ''
  const long = Math.abs(inches)
  if (long >= 36) return `${sign}${plain(long / 36, 1)} yd`
  if (long < 0.25) return `${long < 0.005 ? '' : sign}${short(long, 2)} in`
  const sixteenths = Math.round(long * 16)
  let [over, below] = [sixteenths % 16, 16]
  for (; over > 0 && over % 2 === 0; over /= 2) below /= 2
  const whole = Math.floor(sixteenths / 16)
  return `${sign}${[whole || '', over ? `${over}/${below}` : ''].filter((s) => s !== '').join(' ')} in`
}

function grams(g: number): string {
  if (g === 0) return '0 g'
  const heavy = Math.abs(g)
  if (heavy < PINCH_G) return t('state.units.pinch')
  if (heavy < 0.095) return `${plain(10 * Math.round(100 * g), 0)} mg`
  if (heavy < 0.995) return `${plain(g, 2)} g`
  return heavy < 4.975 ? `${plain(Math.round(20 * g) / 20, 2)} g` : `${plain(g, heavy < 999.95 ? 1 : 0)} g`
}

function ounces(g: number): string {
  const oz = g / G_PER_OUNCE
  const heavy = Math.abs(oz)
  const alone =
    heavy < 0.005 ? t('state.units.under', { least: `${plain(0.01, 2)} oz` }) : `${plain(oz, heavy < 3.495 ? 2 : 1)} oz`
  return heavy >= LEAST_OZ ? alone : `${alone} (${grams(g)})`
}

export function minutesText(minutes: number): string {
  const whole = minutes <= 0 ? 0 : minutes < 20.5 ? Math.max(1, Math.round(minutes)) : 5 * Math.round(minutes / 5)
  const [hours, rest] = [Math.floor(whole / 60), whole % 60]
  return [hours ? `${hours} h` : '', rest || !hours ? `${rest} min` : ''].filter(Boolean).join(' ')
}

/** What is written, and its unit apart, to be set smaller. */
export function apart(text: string): { value: string; unit: string } {
  const at = text.search(/ (?=[^\d\s/]+( \(.*\))?$)/)
  return at < 0 || text === t('state.units.pinch')
    ? { value: text, unit: '' }
    : { value: text.slice(0, at), unit: text.slice(at + 1) }
}

/** Two weights with one unit behind them, where it is one: "0.05 to 0.10 g". */
export function massRange(lowG: number, highG: number, system: System): string {
  // Too light for a kitchen scale: in grams, which the weight that it belongs to is told in as well.
  if (system === 'imperial' && highG < LEAST_OZ * G_PER_OUNCE) return massRange(lowG, highG, 'metric')
  const [low, high] = [written('mass', lowG, system), written('mass', highG, system)]
  if (low === high) return high
  const [a, b] = [apart(low), apart(high)]
  return t('state.units.range', { low: a.unit === b.unit && a.unit !== '' ? a.value : low, high })
}

/** How wide, high and deep, with one unit behind all of them where it is one. */
export function boxText(mm: number[], system: System): string {
  const sides = mm.map((x) => apart(written('length', x, system)))
  const isOne = sides.every((s) => s.unit === sides[0]?.unit)
  return isOne
    ? `${sides.map((s) => s.value).join(' × ')} ${sides[0]?.unit ?? ''}`
    : sides.map((s) => `${s.value} ${s.unit}`).join(' × ')
}

/** A length to be typed over: decimals, which every tool takes. */
export function lengthTyped(mm: number, system: System): string {
  return system === 'imperial' ? short(mm / MM_PER_INCH, 2) : short(mm, Math.abs(mm) < 100 ? 1 : 0)
}

/** What was typed, as mm; comma or point, and inches as tapes have them too: "1 3/8". NaN where it is no number. */
export function lengthFrom(text: string, system: System): number {
  const trimmed = text.trim().replace(',', '.')
  const fraction = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(trimmed)
  const value = fraction
    ? Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3])
    : trimmed === ''
      ? Number.NaN
      : Number(trimmed)
  return system === 'imperial' ? value * MM_PER_INCH : value
}

export function massTyped(g: number, system: System): string {
  return system === 'imperial' ? short(g / G_PER_OUNCE, 3) : short(g, 2)
}

/** What was typed, comma or point, as g; NaN where it is no number. */
export function massFrom(text: string, system: System): number {
  const trimmed = text.trim().replace(',', '.')
  return trimmed === '' ? Number.NaN : Number(trimmed) * (system === 'imperial' ? G_PER_OUNCE : 1)
}

const KEY = 'impa:units'
const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY)
// "inch" was written before 2026-12.
const system = ref<System>(kept === 'imperial' || kept === 'inch' ? 'imperial' : 'metric')
watch(system, (now) => localStorage.setItem(KEY, now))

/** What every question to the server says of language, units and currency (BCP 47, Unicode CLDR): core writes its sentences so. */
export function voice(): string {
  const keys = [
    currency.value === '' ? '' : `-cu-${currency.value.toLowerCase()}`,
    system.value === 'imperial' ? '-ms-ussystem' : '',
  ].join('')
  return `${spoken()}${keys === '' ? '' : `-u${keys}`}`
}

export function useUnits() {
  const write = (measure: Measure) => (is: number) => written(measure, is, system.value)
  return {
    system,
    isImperial: computed(() => system.value === 'imperial'),
    lengthUnit: computed(() => (system.value === 'imperial' ? 'in' : 'mm')),
    mm: write('length'),
    box: (...mm: number[]) => boxText(mm, system.value),
    /** The number alone, where its unit stands elsewhere. */
    length: (mm: number) => apart(written('length', mm, system.value)).value,
    g: write('mass'),
    /** A pack as it is sold: "10 g". */
    pack: (g: number) => (system.value === 'imperial' ? written('mass', g, system.value) : `${short(g, 2)} g`),
    /** From where something is looked at, m. */
    distance: (m: number) =>
      system.value === 'imperial'
        ? `${short(m / M_PER_FOOT, m > 2 ? 0 : 1)} ft`
        : m < 1
          ? `${short(100 * m, 0)} cm`
          : `${short(m, 1)} m`,
    cm2: write('area'),
    cm3: write('volume'),
    gPerCm3: write('density'),
    degrees: write('angle'),
    share: write('share'),
    mass: (g: number) => apart(written('mass', g, system.value)),
    massRange: (lowG: number, highG: number) => massRange(lowG, highG, system.value),
    typed: (mm: number) => lengthTyped(mm, system.value),
    /** Weights that are typed: what a scale shows, in the unit that it is set to. */
    massUnit: computed(() => (system.value === 'imperial' ? 'oz' : 'g')),
    typedMass: (g: number) => massTyped(g, system.value),
    parseMass: (text: string) => massFrom(text, system.value),
    parseLength: (text: string) => lengthFrom(text, system.value),
    minutes: minutesText,
  }
}
