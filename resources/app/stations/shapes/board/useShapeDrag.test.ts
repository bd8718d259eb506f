import { describe, expect, it } from 'vitest'
import resized from '../../../../../tests/Support/resized.json'
import type { Part } from '../../../api/types/figure'
import { dragged, useShapeDrag } from './useShapeDrag'

const part: Part = {
  key: 'arm',
  colour: 'c1',
  at: { xMm: 20, yMm: 30, zMm: 0 },
  turnDeg: { z: 90 },
  shape: { kind: 'sausage', widthMm: 10, heightMm: 30, depthMm: 10 },
}

describe('dragging a part', () => {
  it('moves it, and its twin the other way round', () => {
    expect(
      dragged({ key: 'arm', along: [], twin: false, grip: 'move', from: [0, 0], to: [3, 2], part }).at,
    ).toMatchObject({ xMm: 23, yMm: 32 })
    expect(
      dragged({ key: 'arm', along: [], twin: true, grip: 'move', from: [0, 0], to: [-3, 2], part }).at,
    ).toMatchObject({ xMm: 23, yMm: 32 })
  })
  it('resizes along the turned axes, both sides alike, and keeps what is round round', () => {
    const { shape } = dragged({ key: 'arm', along: [], twin: false, grip: 'width', from: [0, 0], to: [0, 2], part })
    expect(shape.widthMm).toBe(14)
    expect(shape.depthMm).toBe(14)
    expect(shape.heightMm).toBe(30)
  })
  it.each(resized.cases)('takes ends, corners and edges along as core does: $name', (of) => {
    const shape = of.shape as Part['shape']
    const upright = { ...part, shape, turnDeg: { z: 0 } }
    const grip = of.widthMm === undefined ? 'height' : 'width'
    const to: [number, number] = [
      ((of.widthMm ?? shape.widthMm) - shape.widthMm) / 2,
      ((of.heightMm ?? shape.heightMm) - shape.heightMm) / 2,
    ]
    const after = dragged({ key: 'arm', along: [], twin: false, grip, from: [0, 0], to, part: upright })
    expect(after.shape).toEqual({ ...shape, ...of.is })
  })
  it('never shrinks below a millimetre', () => {
    expect(
      dragged({ key: 'arm', along: [], twin: false, grip: 'height', from: [0, 0], to: [90, 0], part }).shape.heightMm,
    ).toBe(1)
  })
  it('turns towards the hand', () => {
    expect(
      dragged({ key: 'arm', along: [], twin: false, grip: 'turn', from: [20, 50], to: [40, 30], part }).turnDeg?.z,
    ).toBe(-90)
  })
  it('takes the other chosen parts along, as far as it was moved', () => {
    let changed = new Map<string, (part: Part) => void>()
    const { begin, move, end } = useShapeDrag((of) => (changed = of))
    begin(part, false, 'move', [0, 0], ['arm', 'hat'])
    move([4, -1])
    end()
    const hat: Part = { ...part, key: 'hat', at: { xMm: 1, yMm: 90, zMm: 0 } }
    changed.get('hat')?.(hat)
    expect([...changed.keys()].sort()).toEqual(['arm', 'hat'])
    expect(hat.at).toMatchObject({ xMm: 5, yMm: 89 })
  })
  it('changes nothing when nothing was moved', () => {
    const changes: string[] = []
    const { begin, move, end } = useShapeDrag((of) => changes.push(...of.keys()))
    begin(part, false, 'move', [1, 1])
    end()
    begin(part, false, 'move', [1, 1])
    move([2, 1])
    end()
    expect(changes).toEqual(['arm'])
  })
})
