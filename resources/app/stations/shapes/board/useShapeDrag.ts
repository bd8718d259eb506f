import { ref } from 'vue'
import type { Part } from '../../../api/types/figure'
import { round, turned, type Point } from '../../../drawing/geometry'

export type Grip = 'move' | 'width' | 'height' | 'both' | 'turn'
export interface Drag {
  key: string
  along: string[]
  twin: boolean
  grip: Grip
  from: Point
  to: Point
  part: Part
}

/** Drags a part on the board: while it goes on, the last outline is transformed; on release the part is changed. */
export function useShapeDrag(change: (changes: Map<string, (part: Part) => void>) => void) {
  const drag = ref<Drag | null>(null)

  /** `along`: parts that are moved with it. */
  function begin(part: Part, twin: boolean, grip: Grip, at: Point, along: string[] = []): void {
    drag.value = { key: part.key, along, twin, grip, from: at, to: at, part: JSON.parse(JSON.stringify(part)) as Part }
  }

  function move(at: Point): void {
    if (drag.value) drag.value = { ...drag.value, to: at }
  }

  function end(): void {
    const d = drag.value
    drag.value = null
    if (!d || (d.to[0] === d.from[0] && d.to[1] === d.from[1])) return
    const after = dragged(d)
    const changes = new Map<string, (part: Part) => void>()
    if (d.grip === 'move') {
      const [dx, dy] = [after.at.xMm - d.part.at.xMm, after.at.yMm - d.part.at.yMm]
      for (const key of d.along) {
        changes.set(key, (part) => {
          part.at.xMm = round(part.at.xMm + dx)
          part.at.yMm = round(part.at.yMm + dy)
        })
      }
    }
    changes.set(d.key, (part) => {
      part.at.xMm = after.at.xMm
      part.at.yMm = after.at.yMm
      part.turnDeg = after.turnDeg
      part.shape = { ...part.shape, ...after.shape }
    })
    change(changes)
  }

  return { drag, begin, move, end, cancel: () => (drag.value = null) }
}

/** The part as it is where the drag stands. */
export function dragged(d: Drag): Part {
  const part = JSON.parse(JSON.stringify(d.part)) as Part
  const side = d.twin ? -1 : 1
  const [dx, dy] = [side * (d.to[0] - d.from[0]), d.to[1] - d.from[1]]
  const z = part.turnDeg?.z ?? 0
  if (d.grip === 'move') {
    part.at.xMm = round(part.at.xMm + dx, 0.1)
    part.at.yMm = round(part.at.yMm + dy, 0.1)
  } else if (d.grip === 'turn') {
    const [px, py] = [side * d.to[0] - part.at.xMm, d.to[1] - part.at.yMm]
    const deg = Math.round((Math.atan2(py, px) * 180) / Math.PI - 90)
    part.turnDeg = { ...part.turnDeg, z: ((deg + 540) % 360) - 180 }
  } else {
    const [along, up] = turned([dx, dy], -z)
    if (d.grip !== 'height') resize(part, 'widthMm', 2 * along)
    if (d.grip !== 'width') resize(part, 'heightMm', 2 * up)
  }
  return part
}

/** How broad the shortest of its dimensions is, mm. */
const smallest = (shape: Part['shape']) => Math.min(shape.widthMm, shape.heightMm, shape.depthMm)

/**
 * A dimension of at least 1 mm. What shapes it beyond its dimensions goes along, as where a finished part is taken over (core's
 * PartCheck): its ends with the width, its corners and edges with the shortest dimension; a ball's depth with the width.
 */
function resize(part: Part, side: 'widthMm' | 'heightMm', by: number): void {
  const { shape } = part
  const [before, least] = [shape[side], smallest(shape)]
  const after = Math.max(1, round(before + by, 0.1))
  shape[side] = after
  if (side === 'widthMm' && Math.abs(shape.depthMm - before) < 0.06 * before) shape.depthMm = after
  grow(shape, ['topMm', 'bottomMm'], side === 'widthMm' ? after / before : 1)
  grow(shape, ['cornerMm', 'edgeMm'], smallest(shape) / least)
}

function grow(shape: Part['shape'], lengths: ('topMm' | 'bottomMm' | 'cornerMm' | 'edgeMm')[], factor: number): void {
  if (factor === 1) return
  for (const length of lengths) {
    const mm = shape[length]
    if (mm !== undefined) shape[length] = Math.max(0.5, round(mm * factor, 0.1))
  }
}
