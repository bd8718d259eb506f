import { describe, expect, it } from 'vitest'
import { loftGeometry, partColour } from './turningScene'

/** Signed volume of a triangle mesh by the divergence theorem. */
function volume(geometry: ReturnType<typeof loftGeometry>): number {
  const p = geometry.getAttribute('position')
  const index = geometry.getIndex()!
  let six = 0
  for (let i = 0; i < index.count; i += 3) {
    const [a, b, c] = [index.getX(i), index.getX(i + 1), index.getX(i + 2)]
    six +=
      p.getX(a) * (p.getY(b) * p.getZ(c) - p.getZ(b) * p.getY(c)) +
      p.getY(a) * (p.getZ(b) * p.getX(c) - p.getX(b) * p.getZ(c)) +
      p.getZ(a) * (p.getX(b) * p.getY(c) - p.getY(b) * p.getX(c))
  }
  return six / 6
}

const square = (half: number, at: number, axis: 'y' | 'z') =>
  [
    [half, -half],
    [half, half],
    [-half, half],
    [-half, -half],
  ].flatMap(([u = 0, v = 0]) => (axis === 'z' ? [u, v, at] : [u, at, -v]))

describe('lofting the rings that PHP gives', () => {
  it('closes a standing box, its faces turned outwards', () => {
    expect(volume(loftGeometry({ rings: [square(1, -2, 'y'), square(1, 2, 'y')], closed: false }))).toBeCloseTo(16)
  })
  it('closes a plate, whose rings lie in the picture plane', () => {
    expect(volume(loftGeometry({ rings: [square(2, -0.5, 'z'), square(2, 0.5, 'z')], closed: false }))).toBeCloseTo(16)
  })
  it('leaves a detail open', () => {
    const capped = loftGeometry({ rings: [square(2, 0, 'z'), square(1, 0, 'z')], closed: false })
    const open = loftGeometry({ rings: [square(2, 0, 'z'), square(1, 0, 'z')], closed: false }, false)
    expect(capped.getIndex()!.count - open.getIndex()!.count).toBe(12)
  })
  it('joins the last ring of a closed loft to the first', () => {
    const rings = [square(1, 0, 'y'), square(1, 1, 'y'), square(1, 2, 'y')]
    expect(loftGeometry({ rings, closed: true }).getIndex()!.count).toBe(3 * 4 * 6)
  })
})

describe('a colour for every part', () => {
  it("is far from its neighbours' and the same each time", () => {
    const far = (a: number, b: number) => {
      const [p, q] = [partColour(a), partColour(b)]
      return Math.hypot(p.r - q.r, p.g - q.g, p.b - q.b)
    }
    for (let i = 0; i < 12; i++) {
      expect(far(i, i + 1)).toBeGreaterThan(0.25)
      expect(partColour(i).getHex()).toBe(partColour(i).getHex())
    }
  })
})
