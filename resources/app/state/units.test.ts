import { describe, expect, it } from 'vitest'
import { lengthFrom, lengthText, massRange, massText, minutesText } from './units'

describe('units at the edge of the screen', () => {
  it('shows inches and ounces by NIST SP 811', () => {
    expect(lengthText(25.4, 'inch')).toBe('1.0')
    expect(lengthText(12.7, 'inch')).toBe('0.50')
    expect(massText(28.349523125, 'inch')).toEqual({ value: '1.00', unit: 'oz' })
    expect(massText(7.087, 'inch')).toEqual({ value: '0.25', unit: 'oz' })
  })
  it('rounds grams as a pocket scale does, and names wisps in milligrams', () => {
    expect(massText(6.2516, 'metric')).toEqual({ value: '6.3', unit: 'g' })
    expect(massText(0.318, 'metric')).toEqual({ value: '0.32', unit: 'g' })
    expect(massText(0.0106, 'metric')).toEqual({ value: '11', unit: 'mg' })
  })
  it('reads what was typed with comma or point, and refuses what is no number', () => {
    expect(lengthFrom('12,5', 'metric')).toBe(12.5)
    expect(lengthFrom(' 2 ', 'inch')).toBe(50.8)
    expect(lengthFrom('', 'metric')).toBeNaN()
    expect(lengthFrom('wide', 'metric')).toBeNaN()
  })
  it('keeps two weights in one unit', () => {
    expect(massRange(0.087, 0.16, 'metric')).toBe('87 to 160 mg')
    expect(massRange(7.4, 14, 'metric')).toBe('7.4 to 14.0 g')
  })
  it('tells hours from minutes', () => {
    expect(minutesText(59.6)).toBe('1 h 00')
    expect(minutesText(21)).toBe('21 min')
    expect(minutesText(0.2)).toBe('1 min')
  })
})
