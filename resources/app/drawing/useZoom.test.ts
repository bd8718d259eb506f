import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { useZoom } from './useZoom'

const frames = () =>
  ref({
    front: { x: -50, y: -100, width: 100, height: 120 },
    side: { x: -30, y: -100, width: 60, height: 120 },
    columns: '100px 60px',
  })

describe('looking nearer', () => {
  it('keeps the point under the pointer where it is', () => {
    const view = useZoom(frames())
    view.zoomBy(2, -25, -70)
    const f = view.near.value.front
    // A quarter of the way across and down before, a quarter after.
    expect((-25 - f.x) / f.width).toBeCloseTo(0.25)
    expect((-70 - f.y) / f.height).toBeCloseTo(0.25)
    expect(view.near.value.side.height).toBe(60)
    expect(view.near.value.side.y).toBeCloseTo(f.y)
  })
  it('never goes farther away than all of it, and comes back to it', () => {
    const view = useZoom(frames())
    view.zoomBy(0.2)
    expect(view.zoom.value).toBe(1)
    view.zoomBy(3, 0, 0)
    view.panBy(5, 5)
    view.all()
    expect(view.near.value.front).toEqual(frames().value.front)
  })
  it('moves with the hand', () => {
    const view = useZoom(frames())
    view.zoomBy(2)
    const before = view.near.value.front.x
    view.panBy(4, 0)
    expect(view.near.value.front.x).toBeCloseTo(before - 4)
  })
})
