import type { Detail } from '../../api/figure'
import { round, type Point } from '../../drawing/geometry'

type Points = NonNullable<Detail['pointsMm']>

/** The left one of a pair as a detail of its own. */
export function leftOf(detail: Detail, key: string): Detail {
  const left = JSON.parse(JSON.stringify(detail)) as Detail
  const mirrored = (points: readonly Point[]) => points.map(([x, y]): Point => [0 - x, y]) as unknown as Points
  Object.assign(left, { key, name: `${detail.name ?? detail.key}, left`, mirror: false, xMm: -(detail.xMm ?? 0), turnDeg: -(detail.turnDeg ?? 0) })
  if (detail.pointsMm) left.pointsMm = mirrored(detail.pointsMm)
  if (detail.holesMm) left.holesMm = detail.holesMm.map((hole) => mirrored(hole)) as Detail['holesMm']
  return left
}

/** A line made so wide at one of its points; the others keep their width. */
export function widthAt(detail: Detail, index: number, mm: number): void {
  const widths = detail.widthsMm ? [...detail.widthsMm] : (detail.pointsMm ?? []).map(() => detail.widthMm ?? 1)
  widths[index] = mm
  detail.widthsMm = widths as Detail['widthsMm']
  detail.widthMm = Math.max(...widths)
}

/** The whole line so wide at its widest, every place in proportion; no narrower than a document can say. */
export function wholeWidth(detail: Detail, mm: number): void {
  const times = mm / (detail.widthMm ?? mm)
  if (detail.widthsMm) detail.widthsMm = detail.widthsMm.map((w) => Math.max(0.3, round(w * times))) as Detail['widthsMm']
  detail.widthMm = mm
}
