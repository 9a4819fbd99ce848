import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { supportShares } from './supports'

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
          const sum = shares.reduce((so, share) => so + share, 0)
          const moment = shares.reduce((so, share, i) => so + share * positions[i]!, 0)
          expect(sum).toBeCloseTo(1, 9)
          expect(moment).toBeCloseTo(x, 5)
        },
      ),
      { numRuns: 1000 },
    )
  })
})
