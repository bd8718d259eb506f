import { describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { usePaper } from './usePaper'

/** A paper of 100 mm on a board of 500 pixels, and what the hand on it does. */
function onPaper() {
  const svg = ref({
    clientWidth: 500,
    setPointerCapture: vi.fn(),
    getScreenCTM: () => null,
  } as unknown as SVGSVGElement)
  const does = { zoom: vi.fn(), pan: vi.fn() }
  const paper = usePaper(svg, () => ({ x: 0, y: 0, width: 100, height: 100 }), does)
  const at = (clientX: number, clientY: number, pointerId = 1) => ({ clientX, clientY, pointerId }) as PointerEvent
  return { paper, does, at }
}

describe('the hand on the paper', () => {
  it('pulls it by as many mm as it goes', () => {
    const { paper, does, at } = onPaper()
    paper.press(at(100, 100))
    paper.pull(at(110, 95))
    paper.pull(at(115, 95))
    expect(does.pan.mock.calls).toEqual([
      [2, -1],
      [1, 0],
    ])
  })

  it('brings it nearer by two fingers as far as they go apart, without pulling it', () => {
    const { paper, does, at } = onPaper()
    paper.press(at(100, 100, 1))
    paper.press(at(200, 100, 2))
    paper.pull(at(250, 100, 2))
    expect(does.zoom).toHaveBeenCalledOnce()
    expect(does.zoom.mock.calls[0]![0]).toBeCloseTo(1.5)
    expect(does.pan).not.toHaveBeenCalled()
    paper.release(at(250, 100, 2))
    paper.pull(at(105, 100, 1))
    expect(does.pan).toHaveBeenCalledWith(1, 0)
  })

  it('tells a press that went nowhere from a pull, a pinch, and one that was broken off', () => {
    const { paper, at } = onPaper()
    paper.press(at(100, 100))
    paper.pull(at(102, 101))
    expect(paper.release(at(102, 101))).toBe(true)
    paper.press(at(100, 100))
    paper.pull(at(120, 100))
    paper.pull(at(100, 100))
    expect(paper.release(at(100, 100))).toBe(false)
    paper.press(at(100, 100, 1))
    paper.press(at(200, 100, 2))
    expect([paper.release(at(200, 100, 2)), paper.release(at(100, 100, 1))]).toEqual([false, false])
    paper.press(at(100, 100))
    paper.forget()
    expect(paper.release(at(100, 100))).toBe(false)
  })

  it('does nothing for a pointer that was not pressed on it', () => {
    const { paper, does, at } = onPaper()
    paper.pull(at(110, 95))
    expect([does.pan.mock.calls, does.zoom.mock.calls]).toEqual([[], []])
    expect(paper.release(at(110, 95))).toBe(false)
  })

  it('comes nearer by the wheel, the more the farther it is turned', () => {
    const { paper, does } = onPaper()
    paper.wheel({ deltaY: -100, clientX: 0, clientY: 0 } as WheelEvent)
    paper.wheel({ deltaY: 100, clientX: 0, clientY: 0 } as WheelEvent)
    const [nearer, farther] = does.zoom.mock.calls.map((c) => c[0] as number)
    expect(nearer).toBeGreaterThan(1)
    expect(nearer! * farther!).toBeCloseTo(1)
  })
})
