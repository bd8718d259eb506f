import { describe, expect, it } from 'vitest'
import { snap } from './snap'

describe('snapping a dragged part', () => {
  it('draws it to the middle line when that is near', () => {
    expect(snap([0.6, 30], [[20, 80]], 1)).toEqual({ at: [0, 30], guides: { x: 0 } })
  })
  it('draws each way by itself, to the nearest of what is near', () => {
    expect(
      snap(
        [19.2, 79.5],
        [
          [20, 80],
          [18, 90],
        ],
        1.5,
      ),
    ).toEqual({ at: [20, 80], guides: { x: 20, y: 80 } })
  })
  it('leaves alone what is near nothing', () => {
    expect(snap([8, 33], [[20, 80]], 1)).toEqual({ at: [8, 33], guides: {} })
  })
})
