import type { Point } from './geometry'

export interface Snapped {
  at: Point
  guides: { x?: number; y?: number }
}

/**
 * A dragged middle drawn to what is near: the middle line, and the middles of other parts. `reach` in mm says how near;
 * each way snaps by itself, and where both a line and a part are near, the nearer wins.
 */
export function snap(at: Point, others: Point[], reach: number): Snapped {
  const x = nearest(at[0], [0, ...others.map((p) => p[0])], reach)
  const y = nearest(
    at[1],
    others.map((p) => p[1]),
    reach,
  )
  return {
    at: [x ?? at[0], y ?? at[1]],
    guides: { ...(x === undefined ? {} : { x }), ...(y === undefined ? {} : { y }) },
  }
}

function nearest(value: number, lines: number[], reach: number): number | undefined {
  let best: number | undefined
  for (const line of lines) {
    if (Math.abs(line - value) <= reach && (best === undefined || Math.abs(line - value) < Math.abs(best - value)))
      best = line
  }
  return best
}
