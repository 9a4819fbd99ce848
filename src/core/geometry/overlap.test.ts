import { type Box, overlap } from './boxes'
import Flatten from '@flatten-js/core'
import polygonClipping from 'polygon-clipping'
import { describe, expect, it } from 'vitest'
import { isConvex } from './convex'
import { convexDepth, convexGap, type Point2 } from './plane'
import { atLeast, runs } from '@/core/runs.testing'

/** A repeatable stream of numbers in [0, 1): mulberry32, common knowledge. */
function stream(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const box = (x0: number, y0: number, z0: number, size: readonly [number, number, number]): Box => ({
  x0,
  x1: x0 + size[0],
  y0,
  y1: y0 + size[1],
  z0,
  z1: z0 + size[2],
})

describe('boxes', () => {
  it('touching are not overlapping, one inside another is', () => {
    const a = box(0, 0, 0, [10, 10, 10])
    expect(overlap(a, box(10, 0, 0, [5, 5, 5]))).toBe(false)
    expect(overlap(a, box(9, 0, 0, [5, 5, 5]))).toBe(true)
    expect(overlap(a, box(2, 2, 2, [3, 3, 3]))).toBe(true)
    expect(overlap(a, box(0, 0, 12, [5, 5, 5]))).toBe(false)
  })

  it('agree with a general geometry library on random pairs (100 000 in the deep run; library: @flatten-js/core)', () => {
    const random = stream(3)
    const whole = (span: number) => Math.floor(random() * span)
    let shared = 0
    const count = runs(100_000)
    for (let i = 0; i < count; i += 1) {
      const make = () => box(whole(40), whole(40), whole(20), [1 + whole(30), 1 + whole(30), 1 + whole(12)])
      const [a, b] = [make(), make()]
      const plan = (each: Box) => new Flatten.Box(each.x0, each.y0, each.x1, each.y1)
      const side = (each: Box) => new Flatten.Box(each.x0, each.z0, each.x1, each.z1)
      // The library counts touching as meeting: boxes a hair smaller all round meet only when they share space.
      const shrunk = (each: Box): Box => ({
        x0: each.x0 + 0.01,
        x1: each.x1 - 0.01,
        y0: each.y0 + 0.01,
        y1: each.y1 - 0.01,
        z0: each.z0 + 0.01,
        z1: each.z1 - 0.01,
      })
      const theirs = plan(shrunk(a)).intersect(plan(shrunk(b))) && side(shrunk(a)).intersect(side(shrunk(b)))
      if (theirs) shared += 1
      expect(overlap(a, b)).toBe(theirs)
    }
    expect(shared).toBeGreaterThan(atLeast(10_000, 100_000))
  })
})

/** A convex figure: points around an ellipse, turned. */
function figure(random: () => number): Point2[] {
  const [cx, cy, a, b, turn] = [
    random() * 60,
    random() * 60,
    4 + random() * 20,
    4 + random() * 20,
    random() * 3,
  ]
  const count = 3 + Math.floor(random() * 7)
  return Array.from({ length: count }, (_, i): Point2 => {
    const angle = (i / count) * 2 * Math.PI
    const [x, y] = [a * Math.cos(angle), b * Math.sin(angle)]
    return [cx + x * Math.cos(turn) - y * Math.sin(turn), cy + x * Math.sin(turn) + y * Math.cos(turn)]
  })
}

describe('convex outlines', () => {
  it('share space exactly when a clipping library finds a common area, and stand as far apart as it says', () => {
    const random = stream(11)
    let [shared, apart] = [0, 0]
    const count = runs(4000)
    for (let i = 0; i < count; i += 1) {
      const [a, b] = [figure(random), figure(random)]
      expect(isConvex(a)).toBe(true)
      const ring = (points: Point2[]): [number, number][] => points.map(([x, y]) => [x, y])
      const common = polygonClipping.intersection([ring(a)], [ring(b)])
      const depth = convexDepth(a, b)
      if (Math.abs(depth) < 1e-3) continue
      expect(depth > 0).toBe(common.length > 0)
      if (depth > 0) {
        shared += 1
        continue
      }
      apart += 1
      const [theirs] = new Flatten.Polygon(a.map(([x, y]) => new Flatten.Point(x, y))).distanceTo(
        new Flatten.Polygon(b.map(([x, y]) => new Flatten.Point(x, y))),
      )
      expect(convexGap(a, b)).toBeCloseTo(theirs, 6)
    }
    expect(Math.min(shared, apart)).toBeGreaterThan(atLeast(500, 4000))
  })

  it('that turn back or wind twice are not convex', () => {
    expect(
      isConvex([
        [0, 0],
        [4, 0],
        [4, 4],
        [2, 1],
        [0, 4],
      ]),
    ).toBe(false)
    const star = [0, 2, 4, 1, 3].map((i): Point2 => [Math.cos(i * 1.2566), Math.sin(i * 1.2566)])
    expect(isConvex(star)).toBe(false)
  })
})
