import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Matrix, solve } from 'ml-matrix'
import { supportShares } from './supports'
import { runs } from '@/core/runs.testing'

const loads = (kg: number, positions: number[], at: number) =>
  supportShares(positions, at).map((share) => share * kg)

/** Handbook: lever rule, and a rigid body on equal springs (from memory). Expected figures are literals, kg. */
describe('a rigid load on supports in a line', () => {
  it('48 kg on bars at 0 and 900 mm, centre of gravity at 350', () => {
    const [front, rear] = loads(48, [0, 900], 350)
    expect(front).toBeCloseTo(29.333, 3)
    expect(rear).toBeCloseTo(18.667, 3)
  })

  it('50 kg with its centre of gravity behind the rear bar lifts the front one', () => {
    const [front, rear] = loads(50, [0, 900], 1000)
    expect(front).toBeCloseTo(-5.556, 3)
    expect(rear).toBeCloseTo(55.556, 3)
  })

  it('60 kg on bars at 0, 700 and 1400, centre of gravity at 500', () => {
    const [a, b, c] = loads(60, [0, 700, 1400], 500)
    expect(a).toBeCloseTo(28.571, 3)
    expect(b).toBeCloseTo(20, 3)
    expect(c).toBeCloseTo(11.429, 3)
  })

  it('18 kg at y = 620 on feet at ±500', () => {
    const [left, right] = loads(18, [-500, 500], 620)
    expect(left).toBeCloseTo(-2.16, 3)
    expect(right).toBeCloseTo(20.16, 3)
  })

  it('gives one support everything, and supports at one place equal parts', () => {
    expect(supportShares([300], 900)).toEqual([1])
    expect(supportShares([300, 300], 900)).toEqual([0.5, 0.5])
  })

  it('always sums to the load and to its moment', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: -3000, max: 3000 }), { minLength: 2, maxLength: 6 }),
        fc.integer({ min: -4000, max: 4000 }),
        (positions, x) => {
          const shares = supportShares(positions, x)
          const sum = shares.reduce((total, share) => total + share, 0)
          const moment = shares.reduce((total, share, i) => total + share * positions[i]!, 0)
          expect(sum).toBeCloseTo(1, 9)
          expect(moment).toBeCloseTo(x, 5)
        },
      ),
      { numRuns: runs(1000) },
    )
  })

  it('on springs of different stiffness equals a rigid body’s own two equations, solved by a matrix library', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: -3000, max: 3000 }), { minLength: 2, maxLength: 6 }),
        fc.array(fc.double({ min: 0.2, max: 5, noNaN: true }), { minLength: 6, maxLength: 6 }),
        fc.integer({ min: -4000, max: 4000 }),
        (positions, all, at) => {
          const k = positions.map((_, i) => all[i]!)
          // Sink u and turn t: Σk(u + t·x) = 1 and Σk(u + t·x)·x = at, with x in metres.
          const sum = (of: (x: number) => number) =>
            positions.reduce((total, x, i) => total + k[i]! * of(x / 1000), 0)
          const found = solve(
            new Matrix([
              [sum(() => 1), sum((x) => x)],
              [sum((x) => x), sum((x) => x * x)],
            ]),
            Matrix.columnVector([1, at / 1000]),
          )
          supportShares(positions, at, k).forEach((share, i) => {
            const theirs = k[i]! * (found.get(0, 0) + (found.get(1, 0) * positions[i]!) / 1000)
            expect(Math.abs(share - theirs)).toBeLessThanOrEqual(1e-8 * Math.max(1, Math.abs(theirs)))
          })
        },
      ),
      { numRuns: runs(500) },
    )
  })

  it('a bar twice as stiff between two others takes twice as much of what stands over it', () => {
    const [front, middle, rear] = supportShares([0, 700, 1400], 700, [1, 2, 1])
    expect(front).toBeCloseTo(0.25, 9)
    expect(middle).toBeCloseTo(0.5, 9)
    expect(rear).toBeCloseTo(0.25, 9)
  })

  it('two share by the lever rule, however stiff either is', () => {
    expect(supportShares([0, 900], 350, [1, 7])[0]).toBeCloseTo(supportShares([0, 900], 350)[0]!, 12)
  })
})
