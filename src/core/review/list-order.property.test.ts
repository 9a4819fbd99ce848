import fc from 'fast-check'
import { expect, it } from 'vitest'
import { nightly } from '@/core/runs.testing'
import { DEMO_PLANS } from '../../demo/plans'
import { madePlans } from '../plan/made-plans.testing'
import type { Plan } from '../plan/schema/plan'
import { assess } from './assess'

/** The same plan with its lists the other way round. */
const reversed = (plan: Plan): Plan => ({
  ...plan,
  racks: plan.racks.map((rack) => ({ ...rack, parts: rack.parts.toReversed() })).toReversed(),
  gear: plan.gear.toReversed(),
  placements: plan.placements.toReversed(),
  clearances: plan.clearances.toReversed(),
  measurements: plan.measurements.toReversed(),
})

/** The verdict of each state, and how many findings of each rule came to which outcome in it. */
function answersOf(plan: Plan) {
  const { review } = assess(plan)
  const counts = new Map<string, number>()
  for (const { rule, severity, state } of review.findings) {
    const key = `${rule} ${severity} ${state}`
    counts.set(key, (counts.get(key) ?? 0) + 1)
  }
  return { states: review.states, counts: [...counts].toSorted(([a], [b]) => (a < b ? -1 : 1)) }
}

it('the order of racks, parts, gear and placements changes no answer', () => {
  for (const plan of DEMO_PLANS) expect(answersOf(reversed(plan)), plan.job.name).toEqual(answersOf(plan))
  fc.assert(
    fc.property(madePlans, (plan) => {
      expect(answersOf(reversed(plan))).toEqual(answersOf(plan))
    }),
    { numRuns: nightly(2000) },
  )
})
