import outlines from '../../../tests/Support/outlines.json'
import type { Detail } from '../api/types/figure'
import { describe, expect, it } from 'vitest'
import { bounds, detailLoop, detailMiddle, path, places, round, turned, type Point } from './geometry'

interface Fixture {
  detail: Detail
  outline: Point[]
  widths: number[]
  holes: Point[][]
  middle: Point
}

describe('drawing what PHP reckoned', () => {
  it('turns y round for the screen', () => {
    expect(
      path(
        [
          [
            [0, 0],
            [1, 0],
            [1, 2],
          ],
        ],
        10,
        5,
      ),
    ).toBe('M10 -5L11 -5L11 -7Z')
  })
  it('turns anticlockwise, as the document does', () => {
    const [x, y] = turned([1, 0], 90)
    expect(x).toBeCloseTo(0)
    expect(y).toBeCloseTo(1)
  })
  it('puts the twin of a mirrored part at -x', () => {
    const part = {
      key: 'ear',
      colour: 'c1',
      mirror: true,
      at: { xMm: 12, yMm: 40 },
      shape: { kind: 'ball' as const, widthMm: 1, heightMm: 1, depthMm: 1 },
    }
    expect(places(part).map((p) => p.x)).toEqual([12, -12])
    expect(places({ ...part, mirror: false })).toHaveLength(1)
  })
  it('mirrors a detail about the middle of its part', () => {
    const eye = {
      key: 'eye',
      role: 'eye' as const,
      on: 'head',
      kind: 'disc' as const,
      colour: 'c1',
      widthMm: 4,
      heightMm: 6,
      xMm: 9,
      yMm: -3,
    }
    const right = bounds([detailLoop(eye).points])
    const left = bounds([detailLoop(eye, true).points])
    expect(right.right).toBeCloseTo(11)
    expect(left.left).toBeCloseTo(-11)
    expect(detailMiddle(eye)[0]).toBeCloseTo(9)
    expect(detailMiddle(eye)[1]).toBeCloseTo(-3)
  })
  it('leaves a line open and a patch closed', () => {
    const mouth = {
      key: 'm',
      role: 'mouth' as const,
      on: 'head',
      kind: 'line' as const,
      colour: 'c1',
      widthMm: 1,
      pointsMm: [
        [-4, -9],
        [0, -11],
        [4, -9],
      ] as [[number, number], [number, number], [number, number]],
    }
    expect(detailLoop(mouth).closed).toBe(false)
    expect(detailMiddle(mouth)).toEqual([0, -10])
  })
  it('rounds to steps', () => {
    expect(round(1.2345, 0.1)).toBe(1.2)
  })
})

describe('what little geometry stands here', () => {
  // As PHP has it: core/tests/House/OutlineFixtureTest.php.
  it.each(outlines as unknown as Fixture[])('draws $detail.key as PHP does, point by point', (known) => {
    const drawn = detailLoop(known.detail)
    const near = (points: Point[], others: Point[]) => {
      expect(points).toHaveLength(others.length)
      points.forEach(([x, y], i) => {
        expect(x).toBeCloseTo(others[i]![0], 5)
        expect(y).toBeCloseTo(others[i]![1], 5)
      })
    }
    near(drawn.points, known.outline)
    drawn.holes.forEach((hole, i) => near(hole, known.holes[i]!))
    known.widths.forEach((mm, i) => expect(drawn.widths[i]).toBeCloseTo(mm, 5))
    near([detailMiddle(known.detail)], [known.middle])
  })
})
