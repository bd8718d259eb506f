import { describe, expect, it } from 'vitest'
import table from '../../../formats/quantities.json'
import { speak } from '../lang'
import { apart, lengthFrom, lengthTyped, massRange, written, type Measure } from './units'

describe('units at the edge of the screen', () => {
  it.each(table)('writes $measure $is as core does', ({ measure, is, metric, imperial }) => {
    expect(written(measure as Measure, is, 'metric')).toBe(metric)
    expect(written(measure as Measure, is, 'imperial')).toBe(imperial)
  })
  it('writes all of them in German as core does', async () => {
    await speak('de')
    const inGerman = table
      .filter((row) => 'german' in row)
      .map((row) => written(row.measure as Measure, row.is, 'metric'))
    await speak('en')
    expect(inGerman).toEqual(table.filter((row) => 'german' in row).map((row) => row.german))
  })
  it('sets the unit apart, whatever it is', () => {
    expect(apart('1 3/8 in')).toEqual({ value: '1 3/8', unit: 'in' })
    expect(apart('12.4 mm')).toEqual({ value: '12.4', unit: 'mm' })
    expect(apart('0.05 oz (1.35 g)')).toEqual({ value: '0.05', unit: 'oz (1.35 g)' })
    expect(apart('a pinch')).toEqual({ value: 'a pinch', unit: '' })
    expect(apart('1 h 25 min')).toEqual({ value: '1 h 25', unit: 'min' })
  })
  it('reads what was typed with comma, point or fraction, and refuses what is no number', () => {
    expect(lengthFrom('12,5', 'metric')).toBe(12.5)
    expect(lengthFrom(' 2 ', 'imperial')).toBe(50.8)
    expect(lengthFrom('1 3/8', 'imperial')).toBeCloseTo(34.925, 9)
    expect(lengthFrom('3/4', 'imperial')).toBeCloseTo(19.05, 9)
    expect(lengthFrom('', 'metric')).toBeNaN()
    expect(lengthFrom('wide', 'metric')).toBeNaN()
    expect(lengthFrom('1/0', 'imperial')).toBe(Infinity)
  })
  it('offers lengths to be typed over as decimals', () => {
    expect(lengthTyped(60, 'imperial')).toBe('2.36')
    expect(lengthTyped(12.34, 'metric')).toBe('12.3')
    expect(lengthTyped(120.4, 'metric')).toBe('120')
  })
  it('keeps two weights in one unit where they have one', () => {
    expect(massRange(0.012, 0.16, 'metric')).toBe('10 mg to 0.16 g')
    expect(massRange(7.4, 14, 'metric')).toBe('7.4 to 14.0 g')
    expect(massRange(0.001, 0.002, 'metric')).toBe('a pinch')
    expect(massRange(7.4, 14, 'imperial')).toBe('0.26 to 0.49 oz')
    expect(massRange(1.4, 1.65, 'imperial')).toBe('1.40 to 1.65 g')
  })
})
