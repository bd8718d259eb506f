import type { Ref } from 'vue'
import { screenPoint, type Point } from './geometry'
import type { Frame } from './useZoom'

/** Farther than so many pixels a press is a pull. */
const TAP_PX = 4

/**
 * The hand on the bare paper of a board: one finger or the mouse pulls it, two fingers and the wheel bring it nearer.
 * Points are in the paper's own mm, y up; `zoom` and `pan` are asked in the view box's, y down.
 */
export function usePaper(
  svg: Ref<SVGSVGElement | undefined>,
  view: () => Frame,
  does: { zoom: (factor: number, x: number, y: number) => void; pan: (dx: number, dy: number) => void },
) {
  const touches = new Map<number, { from: Point; last: Point }>()
  let isTap = false

  /** Where a pointer stands on the board, or in the frame of something drawn on it. */
  const at = (event: MouseEvent, on: SVGGraphicsElement | undefined = svg.value): Point => screenPoint(event, on)

  function press(event: PointerEvent): void {
    svg.value?.setPointerCapture(event.pointerId)
    const here: Point = [event.clientX, event.clientY]
    isTap = touches.size === 0
    touches.set(event.pointerId, { from: here, last: here })
  }

  function pull(event: PointerEvent): void {
    const touch = touches.get(event.pointerId)
    if (!touch) return
    const before = touch.last
    const now: Point = [event.clientX, event.clientY]
    touch.last = now
    if (Math.hypot(now[0] - touch.from[0], now[1] - touch.from[1]) > TAP_PX) isTap = false
    const other = [...touches].find(([id]) => id !== event.pointerId)?.[1].last
    if (other) {
      const apart = (p: Point) => Math.max(1, Math.hypot(p[0] - other[0], p[1] - other[1]))
      const [x, y] = at(event)
      does.zoom(apart(now) / apart(before), x, -y)
    } else {
      const perPx = view().width / (svg.value?.clientWidth || 1)
      does.pan((now[0] - before[0]) * perPx, (now[1] - before[1]) * perPx)
    }
  }

  /** Lets a finger go; true where it was the only one, and went nowhere. */
  function release(event: PointerEvent): boolean {
    const wasTap = touches.delete(event.pointerId) && isTap
    isTap = false
    return wasTap
  }

  function forget(): void {
    touches.clear()
    isTap = false
  }

  function wheel(event: WheelEvent): void {
    const [x, y] = at(event)
    does.zoom(Math.exp(-event.deltaY * 0.0015), x, -y)
  }

  return { at, press, pull, release, forget, wheel }
}
