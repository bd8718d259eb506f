import { describe, expect, it } from 'vitest'
import { within } from './enter'

describe('where somebody wanted to go', () => {
  it('is a page of this Impa', () => {
    expect(within('/figures/3/build?tab=lay')).toBe('/figures/3/build?tab=lay')
  })
  it.each([
    undefined,
    ['/a', '/b'],
    'https://elsewhere.example/',
    '//elsewhere.example/a',
    '/\\elsewhere.example',
    '/..//elsewhere.example',
    '/a/../..//elsewhere.example/b?c',
    '/.//elsewhere.example',
    '/%2e%2e//elsewhere.example',
    '/\t/elsewhere.example',
    '/..//[',
    'javascript:alert(1)',
    '',
  ])('is the shelf where it is none: %j', (to) => {
    expect(within(to)).toMatch(/^\/$|^\/[^/\\]/)
    expect(new URL(within(to), 'https://here.example').origin).toBe('https://here.example')
  })
})
