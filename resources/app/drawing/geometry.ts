import type { Loop } from '../api/types/answers'
import type { Detail, Part } from '../api/types/figure'

export type Point = [number, number]

/** Figures have y up, the screen has it down: every y is turned round here and nowhere else. */
export function path(loops: Loop[], x = 0, y = 0): string {
  return loops
    .map((loop) => 'M' + loop.map(([px, py]) => `${fixed(px + x)} ${fixed(-(py + y))}`).join('L') + 'Z')
    .join('')
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
  return part.mirror
    ? [
        { x, y, z, twin: false },
        { x: -x, y, z, twin: true },
      ]
    : [{ x, y, z, twin: false }]
}

/** A detail as it is seen, from the middle of its part; `closed` loops are filled, others stroked, each point as wide as `widths` says. */
export function detailLoop(
  detail: Detail,
  twin = false,
): { points: Point[]; closed: boolean; holes: Point[][]; widths: number[] } {
  const closed = detail.kind !== 'line'
  const given = detail.pointsMm as Point[] | undefined
  const raw = !given
    ? ellipse(detail.widthMm ?? 1, detail.heightMm ?? detail.widthMm ?? 1)
    : detail.smooth && given.length > 2
      ? curve(given, closed)
      : given
  const place = (points: Point[]) => points.map((p) => placed(detail, p, twin))
  const last = (detail.widthsMm?.length ?? 0) - 1
  const widths = raw.map((_, i) => {
    if (last < 1 || !detail.widthsMm) return detail.widthMm ?? 1
    const at = (i / Math.max(1, raw.length - 1)) * last
    const [before = 0, after = 0] = [
      detail.widthsMm[Math.floor(at)],
      detail.widthsMm[Math.min(last, Math.floor(at) + 1)],
    ]
    return before + (at - Math.floor(at)) * (after - before)
  })
  return { points: place(raw), closed, holes: (detail.holesMm ?? []).map((hole) => place(hole as Point[])), widths }
}

/** A point of a detail's own list, as seen from the middle of its part. */
export function placed(detail: Detail, point: Point, twin = false): Point {
  const [x, y] = turned(point, detail.turnDeg ?? 0)
  return [(twin ? -1 : 1) * ((detail.xMm ?? 0) + x), (detail.yMm ?? 0) + y]
}

/** The way back: where a place seen on the part lies in the detail's own list. */
export function unplaced(detail: Detail, [x, y]: Point, twin = false): Point {
  return turned([(twin ? -x : x) - (detail.xMm ?? 0), y - (detail.yMm ?? 0)], -(detail.turnDeg ?? 0))
}

const CURVE = 8
/** Fewer where its points lie so close that it has more than so many. */
const MOST_CURVED = 640

/** Straight pieces of the curve through points, as the format says: Catmull-Rom, uniform. */
function curve(points: Point[], closed: boolean): Point[] {
  const n = points.length
  const at = (i: number) => points[closed ? (i + n) % n : Math.max(0, Math.min(n - 1, i))]!
  const made: Point[] = [points[0]!]
  const pieces = closed ? n : n - 1
  const finely = Math.max(1, Math.min(CURVE, Math.floor(MOST_CURVED / n)))
  for (let i = 0; i < pieces; i++) {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    for (let k = 1; k <= finely && !(closed && i === pieces - 1 && k === finely); k++) {
      const t = k / finely
      const along = (j: 0 | 1) =>
        b[j] +
        (t / 2) * (c[j] - a[j] + t * (2 * a[j] - 5 * b[j] + 4 * c[j] - d[j] + t * (3 * (b[j] - c[j]) + d[j] - a[j])))
      made.push([along(0), along(1)])
    }
  }
  return made
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

/** Where a pointer stands in the frame of something drawn, y up; the origin where it is not on the screen. */
export function screenPoint(event: MouseEvent, on: SVGGraphicsElement | undefined): Point {
  const matrix = on?.getScreenCTM()
  if (!matrix) return [0, 0]
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  return [p.x, -p.y]
}
