import type { Loop } from '../api/client'
import type { Detail, Part } from '../api/figure'

export type Point = [number, number]

/** Figures have y up, the screen has it down: every y is turned round here and nowhere else. */
export function path(loops: Loop[], x = 0, y = 0): string {
  return loops.map((loop) => 'M' + loop.map(([px, py]) => `${fixed(px + x)} ${fixed(-(py + y))}`).join('L') + 'Z').join('')
}

export function line(points: readonly Point[], x = 0, y = 0): string {
  return 'M' + points.map(([px, py]) => `${fixed(px + x)} ${fixed(-(py + y))}`).join('L')
}

export function turned([x, y]: Point, deg: number): Point {
  const a = (deg * Math.PI) / 180
  return [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)]
}

/** Where the pieces of a part stand: the piece, and its twin at -x. */
export function places(part: Part): { x: number; y: number; z: number; twin: boolean }[] {
  const { xMm: x, yMm: y, zMm: z = 0 } = part.at
  return part.mirror ? [{ x, y, z, twin: false }, { x: -x, y, z, twin: true }] : [{ x, y, z, twin: false }]
}

/** A detail as it is seen, from the middle of its part; `closed` loops are filled, others stroked. */
export function detailLoop(detail: Detail, twin = false): { points: Point[]; closed: boolean } {
  const side = twin ? -1 : 1
  const raw: Point[] = detail.pointsMm ? (detail.pointsMm as Point[]) : ellipse(detail.widthMm ?? 1, detail.heightMm ?? detail.widthMm ?? 1)
  const points = raw.map((p) => {
    const [x, y] = turned(p, detail.turnDeg ?? 0)
    return [side * ((detail.xMm ?? 0) + x), (detail.yMm ?? 0) + y] as Point
  })
  return { points, closed: detail.kind !== 'line' }
}

/** The middle of what a detail covers, from the middle of its part. */
export function detailMiddle(detail: Detail): Point {
  const { points } = detailLoop(detail)
  const xs = points.map((p) => p[0])
  const ys = points.map((p) => p[1])
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2]
}

export function bounds(loops: Loop[]): { left: number; right: number; low: number; high: number } {
  const xs = loops.flat().map((p) => p[0])
  const ys = loops.flat().map((p) => p[1])
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) }
}

export function round(mm: number, step = 0.01): number {
  const steps = Math.round(1 / step)
  return Math.round(mm * steps) / steps
}

function ellipse(width: number, height: number): Point[] {
  return Array.from({ length: 28 }, (_, i) => {
    const a = (2 * Math.PI * i) / 28
    return [(width / 2) * Math.cos(a), (height / 2) * Math.sin(a)] as Point
  })
}

function fixed(mm: number): string {
  return String(Math.round(mm * 100) / 100)
}
