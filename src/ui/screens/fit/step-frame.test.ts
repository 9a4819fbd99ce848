import { describe, expect, it } from 'vitest'
import { DRAWN, extentAround, frameOf, PLACE_PX } from './step-frame'

describe('the drawing of a step', () => {
  it('has the places of a small clamp stand apart, each with its name (W4)', () => {
    const places = [
      { xMm: 700, yMm: -40 },
      { xMm: 700, yMm: 40 },
      { xMm: 780, yMm: -40 },
      { xMm: 780, yMm: 40 },
    ]
    const { at } = frameOf(extentAround(places))
    const drawn = places.map(({ xMm, yMm }) => at(xMm, yMm))
    for (const [i, a] of drawn.entries())
      for (const b of drawn.slice(i + 1))
        expect(Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y))).toBeGreaterThan(2 * PLACE_PX)
  })

  it('shows a whole rack, front to the left and the right side at the top', () => {
    const { at } = frameOf({ x0: 400, x1: 1200, y0: -600, y1: 600 })
    const [front, rear] = [at(400, 600), at(1200, -600)]
    expect(front.x).toBeLessThan(rear.x)
    expect(front.y).toBeLessThan(rear.y)
    for (const { x, y } of [front, rear]) {
      expect(x).toBeGreaterThan(0)
      expect(x).toBeLessThan(DRAWN.width)
      expect(y).toBeGreaterThan(0)
      expect(y).toBeLessThan(DRAWN.height)
    }
  })

  it('shows one place in its middle', () => {
    const { at } = frameOf(extentAround([{ xMm: 500, yMm: 0 }]))
    expect(at(500, 0)).toEqual({ x: DRAWN.width / 2, y: DRAWN.height / 2 })
  })
})
