import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { parsePlanText, printPlan } from '../formats/plan-file'
import type { Plan } from '../plan/schema/plan'
import { survey } from '../survey/survey'
import { parseQuantity } from '../units/parse'
import { formatPrecise } from '../units/format'
import { review } from './review'
import { runs } from '@/core/runs.testing'

/** A plan of the demo with its weights, places and figures shaken, so that verdicts of every kind come up. */
const shaken: fc.Arbitrary<Plan> = fc
  .tuple(
    fc.nat(DEMO_PLANS.length - 1),
    fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 24, maxLength: 24 }),
  )
  .map(([index, noise]) => {
    const plan = DEMO_PLANS[index]!
    let at = 0
    const next = () => noise[(at += 1) % noise.length]!
    return {
      ...plan,
      gear: plan.gear.map((gear) => ({
        ...gear,
        mass: { ...gear.mass, kg: gear.mass.kg * (0.3 + 1.6 * next()) },
      })),
      placements: plan.placements.map((placement) => ({
        ...placement,
        xMm: placement.xMm + 400 * (next() - 0.5),
        yMm: placement.yMm + 200 * (next() - 0.5),
      })),
      rules: { ...plan.rules, parkedMissing: next() < 0.5 ? ('strict' as const) : ('ruleOfThree' as const) },
    }
  })

const RUNS = { numRuns: runs(1000) }

describe('laws', () => {
  it('typing the same numbers in other units changes no verdict and no figure that can be seen', () => {
    const retype = (dimension: 'length' | 'mass', value: number) => {
      const read = parseQuantity(dimension, formatPrecise(dimension, value, 'us'), 'us')
      if (!read.ok) throw new Error(read.reason)
      return read.value
    }
    fc.assert(
      fc.property(shaken, (plan) => {
        const typed = {
          ...plan,
          gear: plan.gear.map((gear) => ({
            ...gear,
            mass: { ...gear.mass, kg: retype('mass', gear.mass.kg) },
          })),
          placements: plan.placements.map((each) => ({
            ...each,
            xMm: retype('length', each.xMm),
            yMm: retype('length', each.yMm),
          })),
        }
        const [a, b] = [survey(plan), survey(typed)]
        a.loadPath.cells.forEach((cell, i) => {
          expect(Math.abs(cell.countedKg - b.loadPath.cells[i]!.countedKg)).toBeLessThan(0.02)
        })
        const near = a.loadPath.cells.some(
          (cell) => cell.leftKg !== undefined && Math.abs(cell.leftKg) < 0.02,
        )
        if (!near) expect(review(b).states).toEqual(review(a).states)
      }),
      RUNS,
    )
  })

  it('a plan printed and parsed is the same plan', () => {
    fc.assert(
      fc.property(shaken, (plan) => {
        const read = parsePlanText(printPlan(plan))
        expect(read.ok ? read.plan : read.problems).toEqual(plan)
      }),
      RUNS,
    )
  })
})
