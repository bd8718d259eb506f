import { computed, shallowRef } from 'vue'
import type { Detail } from '../../../api/types/figure'
import { detailMiddle, round, unplaced, type Point } from '../../../drawing/geometry'
import { snap, type Snapped } from '../../../drawing/snap'

/** What is being dragged: details by one of them, or one point of a patch or line. `side` is -1 on a twin. */
interface Drag {
  detail: Detail
  /** What goes along, by key: 1 as it goes, -1 mirrored. */
  along: Map<string, number>
  index: number | null
  side: 1 | -1
  from: Point
  to: Point
}

type Move = (moves: Map<string, { dx: number; dy: number }>, step: number) => void
type Change = (key: string, how: (detail: Detail) => void) => void

/** Drags details and their points over a head; while it goes on only what is dragged is moved, on release the figure is changed. */
export function useFaceDrag(moveDetails: Move, change: Change) {
  const drag = shallowRef<Drag | null>(null)
  const guides = shallowRef<Snapped['guides']>({})

  function begin(
    detail: Detail,
    side: 1 | -1,
    at: Point,
    along: Map<string, number>,
    index: number | null = null,
  ): void {
    drag.value = { detail, along, index, side, from: at, to: at }
  }

  /** `others`: middles to snap to; none where it is to go free. */
  function move(at: Point, others: Point[], reach: number): void {
    const d = drag.value
    if (!d) return
    guides.value = {}
    let to = at
    if (d.index === null && reach > 0) {
      const [x, y] = detailMiddle(d.detail)
      const now: Point = [d.side * x + at[0] - d.from[0], y + at[1] - d.from[1]]
      const snapped = snap(now, others, reach)
      guides.value = snapped.guides
      to = [at[0] + snapped.at[0] - now[0], at[1] + snapped.at[1] - now[1]]
    }
    drag.value = { ...d, to }
  }

  /** How far to the right and up the dragged one has gone, on its own side. */
  const by = computed(() =>
    drag.value
      ? { dx: drag.value.to[0] - drag.value.from[0], dy: drag.value.to[1] - drag.value.from[1] }
      : { dx: 0, dy: 0 },
  )

  function end(): void {
    const d = drag.value
    drag.value = null
    guides.value = {}
    if (!d || Math.hypot(d.to[0] - d.from[0], d.to[1] - d.from[1]) < 0.05) return
    if (d.index !== null) {
      const point = unplaced(d.detail, d.to, d.side === -1).map((mm) => round(mm)) as Point
      change(d.detail.key, (x) => {
        if (x.pointsMm) x.pointsMm[d.index!] = point
      })
      return
    }
    const [dx, dy] = [d.side * (d.to[0] - d.from[0]), d.to[1] - d.from[1]]
    moveDetails(new Map([...d.along].map(([key, way]) => [key, { dx: way * dx, dy }])), 0.1)
  }

  return {
    drag,
    guides,
    by,
    begin,
    move,
    end,
    cancel: () => {
      drag.value = null
      guides.value = {}
    },
  }
}

/** Where a new point goes between two others; with its width where the line has several. */
export function pointAfter(detail: Detail, index: number): void {
  const points = detail.pointsMm
  if (!points) return
  const [a, b] = [points[index], points[(index + 1) % points.length]]
  if (!a || !b) return
  points.splice(index + 1, 0, [round((a[0] + b[0]) / 2), round((a[1] + b[1]) / 2)])
  const widths = detail.widthsMm
  if (widths) widths.splice(index + 1, 0, round(((widths[index] ?? 1) + (widths[index + 1] ?? widths[index] ?? 1)) / 2))
}

/** Takes a point out where enough are left; tells whether it did. */
export function withoutPoint(detail: Detail, index: number): boolean {
  if (!detail.pointsMm || detail.pointsMm.length <= (detail.kind === 'line' ? 2 : 3)) return false
  detail.pointsMm.splice(index, 1)
  detail.widthsMm?.splice(index, 1)
  return true
}
