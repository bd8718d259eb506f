import { describe, expect, it } from 'vitest'
import type { Detail } from '../../../api/types/figure'
import { arranged, arrangements } from './arrange'
import { wholeWidth, widthAt } from './reshape'
import { pointAfter, useFaceDrag, withoutPoint } from './useFaceDrag'

const spot = (key: string, xMm: number, yMm: number, more: Partial<Detail> = {}): Detail => ({
  key,
  role: 'spot',
  on: 'head',
  kind: 'disc',
  widthMm: 4,
  heightMm: 4,
  colour: 'ink',
  xMm,
  yMm,
  ...more,
})
const way = (key: string) => arrangements.find((a) => a.key === key)!.move
const line = (): Detail => ({
  key: 'mouth',
  role: 'mouth',
  on: 'head',
  kind: 'line',
  widthMm: 2,
  widthsMm: [1, 2, 1],
  pointsMm: [
    [-4, 0],
    [0, -2],
    [4, 0],
  ],
  colour: 'ink',
  xMm: 1,
  yMm: -6,
})

describe('details are arranged', () => {
  const three = [spot('a', 1, 5), spot('b', 9, 1), spot('c', 4, -3)]
  it('level, above each other and on the middle line, the first one leading', () => {
    expect([...arranged(three, way('level')).values()].map((m) => m.dy)).toEqual([0, 4, 8])
    expect([...arranged(three, way('above')).values()].map((m) => m.dx)).toEqual([0, -8, -3])
    expect([...arranged(three, way('middle')).values()].map((m) => m.dx)).toEqual([-1, -9, -4])
  })

  it('in equal steps, the outermost two staying', () => {
    const moves = arranged(three, way('across'))
    expect(moves.get('a')).toEqual({ dx: 0, dy: 0 })
    expect(moves.get('b')).toEqual({ dx: 0, dy: 0 })
    expect(moves.get('c')).toEqual({ dx: 1, dy: 0 })
    expect(arranged(three, way('down')).get('b')).toEqual({ dx: 0, dy: 0 })
  })

  it('a patch by its middle, not by its origin', () => {
    const patch = spot('p', 10, 0, {
      kind: 'patch',
      pointsMm: [
        [0, 0],
        [4, 0],
        [4, 4],
        [0, 4],
      ],
    })
    expect(arranged([spot('a', 0, 0), patch], way('level')).get('p')).toEqual({ dx: 0, dy: -2 })
  })
})

describe('a dragged detail', () => {
  const dragged = (
    detail: Detail,
    side: 1 | -1,
    to: [number, number],
    others: [number, number][] = [],
    reach = 0,
    index: number | null = null,
  ) => {
    const changed: Detail = JSON.parse(JSON.stringify(detail)) as Detail
    let moves = new Map<string, { dx: number; dy: number }>()
    const drag = useFaceDrag(
      (asked) => (moves = asked),
      (_key, how) => how(changed),
    )
    drag.begin(detail, side, [0, 0], new Map([[detail.key, 1]]), index)
    drag.move(to, others, reach)
    const guides = drag.guides.value
    drag.end()
    return { changed, guides, by: moves.get(detail.key) }
  }
  it('moves by what the pointer went; a twin the other way', () => {
    expect(dragged(spot('a', 5, 0), 1, [2, -1]).by).toEqual({ dx: 2, dy: -1 })
    expect(dragged(spot('a', 5, 0, { mirror: true }), -1, [-2, 1]).by).toEqual({ dx: 2, dy: 1 })
  })

  it('snaps to the level of another and to the middle line, unless it goes free', () => {
    const near = dragged(spot('a', 5, 0), 1, [-4.8, 2.9], [[9, 3]], 0.4)
    expect(near.by!.dx).toBeCloseTo(-5)
    expect(near.by!.dy).toBeCloseTo(3)
    expect(near.guides).toEqual({ x: 0, y: 3 })
    expect(dragged(spot('a', 5, 0), 1, [-4.8, 2.9], [[9, 3]], 0).by).toEqual({ dx: -4.8, dy: 2.9 })
  })

  it('stays where it is after a mere touch', () => {
    expect(dragged(spot('a', 5, 0), 1, [0.01, 0]).by).toBeUndefined()
  })

  it('lets one of its points be pulled, in its own turned frame', () => {
    const turned = { ...line(), turnDeg: 90 }
    // Held at its first point: seen at 1, -10; pulled to 3, -10.
    const { changed } = dragged(turned, 1, [3, -10], [], 0, 0)
    expect(changed.pointsMm![0]![0]).toBeCloseTo(-4)
    expect(changed.pointsMm![0]![1]).toBeCloseTo(-2)
  })
})

describe('points and widths', () => {
  it('come and go together', () => {
    const d = line()
    pointAfter(d, 0)
    expect(d.pointsMm).toEqual([
      [-4, 0],
      [-2, -1],
      [0, -2],
      [4, 0],
    ])
    expect(d.widthsMm).toEqual([1, 1.5, 2, 1])
    expect(withoutPoint(d, 1)).toBe(true)
    expect(d).toEqual(line())
  })

  it('never leave less than a line or a patch needs', () => {
    const two: Detail = {
      ...line(),
      pointsMm: [
        [0, 0],
        [1, 1],
      ],
      widthsMm: undefined,
    }
    expect(withoutPoint(two, 0)).toBe(false)
    expect(
      withoutPoint(
        {
          ...two,
          kind: 'patch',
          pointsMm: [
            [0, 0],
            [1, 1],
            [2, 0],
          ],
        },
        0,
      ),
    ).toBe(false)
    expect(withoutPoint(spot('a', 0, 0), 0)).toBe(false)
  })

  it('a width here, and the whole in proportion, no narrower than can be said', () => {
    const d: Detail = { ...line(), widthsMm: undefined }
    widthAt(d, 1, 3)
    expect(d.widthsMm).toEqual([2, 3, 2])
    expect(d.widthMm).toBe(3)
    wholeWidth(d, 6)
    expect(d.widthsMm).toEqual([4, 6, 4])
    wholeWidth(d, 0.3)
    expect(Math.min(...d.widthsMm!)).toBe(0.3)
  })
})
