import type { Detail } from '../../../api/types/figure'
import { detailMiddle, round } from '../../../drawing/geometry'
import { t } from '../../../lang'

/** By how much each of several details is moved, as seen from the front, to stand as asked; the first one chosen stays. */
export type Moves = Map<string, { dx: number; dy: number }>
type Way = (middles: { key: string; x: number; y: number }[]) => Moves

export const arrangements: { key: string; name: string; least: number; move: Way }[] = [
  {
    key: 'level',
    name: t('face.arrange.onOneLevel'),
    least: 2,
    move: (all) => moves(all, (m) => ({ dx: 0, dy: (all[0]?.y ?? 0) - m.y })),
  },
  {
    key: 'above',
    name: t('face.arrange.aboveEachOther'),
    least: 2,
    move: (all) => moves(all, (m) => ({ dx: (all[0]?.x ?? 0) - m.x, dy: 0 })),
  },
  {
    key: 'middle',
    name: t('face.arrange.onTheMiddleLine'),
    least: 1,
    move: (all) => moves(all, (m) => ({ dx: -m.x, dy: 0 })),
  },
  { key: 'across', name: t('face.arrange.evenlyAcross'), least: 3, move: (all) => spread(all, 'x') },
  { key: 'down', name: t('face.arrange.evenlyDown'), least: 3, move: (all) => spread(all, 'y') },
]

export function arranged(details: Detail[], way: Way): Moves {
  return way(
    details.map((d) => {
      const [x, y] = detailMiddle(d)
      return { key: d.key, x, y }
    }),
  )
}

function moves(
  all: { key: string; x: number; y: number }[],
  by: (m: { x: number; y: number }) => { dx: number; dy: number },
): Moves {
  return new Map(
    all.map((m) => {
      const { dx, dy } = by(m)
      return [m.key, { dx: round(dx), dy: round(dy) }]
    }),
  )
}

/** The outermost two stay; those between stand in equal steps. */
function spread(all: { key: string; x: number; y: number }[], axis: 'x' | 'y'): Moves {
  const sorted = [...all].sort((a, b) => a[axis] - b[axis])
  const [first, last] = [sorted[0]?.[axis] ?? 0, sorted.at(-1)?.[axis] ?? 0]
  return new Map(
    sorted.map((m, i) => {
      const by = round(first + ((last - first) * i) / Math.max(1, sorted.length - 1) - m[axis])
      return [m.key, axis === 'x' ? { dx: by, dy: 0 } : { dx: 0, dy: by }]
    }),
  )
}
