import { computed, ref, type Ref } from 'vue'

/** A piece of paper as an SVG view box, in mm, y down. */
export interface Frame {
  x: number
  y: number
  width: number
  height: number
}
export interface Frames {
  front: Frame
  side: Frame
  columns: string
}

const MOST = 8

/** Looks nearer at a stretch of the paper: the front moves freely, the side view keeps to the same level and scale. */
export function useZoom(frames: Ref<Frames>) {
  const zoom = ref(1)
  const middle = ref<{ x: number; y: number } | null>(null)

  const near = computed<Frames>(() => {
    const { front, side, columns } = frames.value
    if (zoom.value === 1 || !middle.value) return { front, side, columns }
    const at = middle.value
    const smaller = (f: Frame, x: number): Frame => ({
      x: x - f.width / zoom.value / 2,
      y: at.y - f.height / zoom.value / 2,
      width: f.width / zoom.value,
      height: f.height / zoom.value,
    })
    return { front: smaller(front, at.x), side: smaller(side, side.x + side.width / 2), columns }
  })

  /** Nearer or farther about a point in the front view's own mm (y down), which keeps its place on the screen. */
  function zoomBy(factor: number, x?: number, y?: number): void {
    const f = near.value.front
    const [px, py] = [x ?? f.x + f.width / 2, y ?? f.y + f.height / 2]
    const next = Math.min(MOST, Math.max(1, zoom.value * factor))
    const stays = zoom.value / next
    middle.value =
      next === 1 ? null : { x: px + (f.x + f.width / 2 - px) * stays, y: py + (f.y + f.height / 2 - py) * stays }
    zoom.value = next
  }

  /** So near that a stretch around a point fills the view. */
  function look(x: number, y: number, widthMm: number): void {
    zoom.value = Math.min(MOST, Math.max(1, frames.value.front.width / widthMm))
    middle.value = zoom.value === 1 ? null : { x, y }
  }

  function panBy(dx: number, dy: number): void {
    if (middle.value) middle.value = { x: middle.value.x - dx, y: middle.value.y - dy }
  }

  function all(): void {
    zoom.value = 1
    middle.value = null
  }

  return { zoom, near, zoomBy, look, panBy, all }
}
