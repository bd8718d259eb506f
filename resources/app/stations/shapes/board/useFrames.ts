import { computed, onBeforeUnmount, ref, watch, type Ref } from 'vue'
import { places } from '../../../drawing/geometry'
import type { Frame, Frames } from '../../../drawing/useZoom'
import { useFigure } from '../../../state/figure/figure'

const MARGIN_MM = 11
/** Paper for the front and the side view, at one scale and one table line, as large as both fit. */
export function useFrames(boards: Ref<HTMLElement | undefined>) {
  const figure = useFigure()
  const size = ref({ width: 700, height: 600 })
  const watcher = new ResizeObserver(([entry]) => {
    if (entry)
      size.value = { width: Math.max(50, entry.contentRect.width), height: Math.max(50, entry.contentRect.height) }
  })
  watch(boards, (element) => element && watcher.observe(element))
  onBeforeUnmount(() => watcher.disconnect())

  const extent = computed(() => {
    const e = { left: -20, right: 20, top: -20, bottom: 0, back: 12, front: -12 }
    for (const part of figure.parts) {
      places(part).forEach((at, i) => {
        const piece = figure.board?.drawing.parts[part.key]?.pieces[i]
        for (const [x, y] of piece?.front.flat() ?? []) {
          e.left = Math.min(e.left, x + at.x)
          e.right = Math.max(e.right, x + at.x)
          e.top = Math.min(e.top, -(y + at.y))
          e.bottom = Math.max(e.bottom, -(y + at.y))
        }
        for (const [x] of piece?.side.flat() ?? []) {
          e.front = Math.min(e.front, x - at.z)
          e.back = Math.max(e.back, x - at.z)
        }
      })
    }
    return e
  })

  return computed<Frames>(() => {
    const e = extent.value
    const [frontMm, sideMm] = [e.right - e.left + 2 * MARGIN_MM, e.back - e.front + MARGIN_MM]
    const mmPerPx = Math.max(
      (frontMm + sideMm) / size.value.width,
      (e.bottom - e.top + 2 * MARGIN_MM) / size.value.height,
    )
    // What is left over in width goes to both in proportion.
    const sidePx = (size.value.width * sideMm) / (frontMm + sideMm)
    const frontPx = size.value.width - sidePx
    const height = size.value.height * mmPerPx
    const y = (e.top + e.bottom - height) / 2
    const paper = (middle: number, px: number): Frame => ({
      x: middle - (px * mmPerPx) / 2,
      y,
      width: px * mmPerPx,
      height,
    })
    return {
      front: paper((e.left + e.right) / 2, frontPx),
      side: paper((e.front + e.back) / 2, sidePx),
      columns: `${frontPx}px ${sidePx}px`,
    }
  })
}
