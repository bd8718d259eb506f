import type { Detail } from '../../../api/types/figure'
import { round } from '../../../drawing/geometry'

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
  if (detail.widthsMm)
    detail.widthsMm = detail.widthsMm.map((w) => Math.max(0.3, round(w * times))) as Detail['widthsMm']
  detail.widthMm = mm
}
