import { describe, expect, it } from 'vitest'
import { DEMO_PLANS, ridgeTent } from '@/demo/plans'
import { USUAL_BAY } from '../../plan/schema/house'
import type { Plan } from '../../plan/schema/plan'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { assess } from '../../review/assess'
import { survey } from '../../survey/survey'
import { jobSteps } from './job-steps'
import { weightsAsked } from './weigh-steps'

/** The weigh steps of a plan, by what is weighed. */
function weighed(plan: Plan): { readonly wanted: readonly string[]; readonly asked: ReadonlySet<string> } {
  const { survey: surveyed, review } = assess(plan)
  const asked = weightsAsked(review)
  const order = jobSteps(surveyed, USUAL_BAY, new Set(), asked)
  if (!order.ok) throw new Error(order.reason)
  return {
    asked,
    wanted: order.steps.flatMap(({ task }) => (task.kind === 'weigh' ? [task.targetId] : [])),
  }
}

/** Two guessed boxes on rails that take so many kg. */
const guessed = (railsKg: number): Plan => {
  const box = thing('box', 20, {}, 'guess')
  const bag = thing('bag', 20, {}, 'guess')
  const roof = roofOf({ road: 500, trail: 500, parked: 500 })
  const rack = barsRack({
    bars: own('bars', { road: railsKg, trail: 500, parked: 500 }),
    feet: own('feet', { road: 500, trail: 500, parked: 500 }),
  })
  return planOf(
    vehicleWith(roof),
    [rack],
    [
      [box, { yMm: -350 }],
      [bag, { yMm: 350 }],
    ],
  )
}

describe('weighing (B15)', () => {
  it('is a step for a guess on which a verdict depends, and for no other', () => {
    // 40 kg guessed, 44 with the house's margin: on 41 kg the verdict depends on them, on 200 kg it does not.
    const tight = weighed(guessed(41))
    expect(tight.wanted.length).toBeGreaterThan(0)
    expect(tight.wanted.every((id) => tight.asked.has(id))).toBe(true)
    expect(weighed(guessed(200)).wanted).toEqual([])
    // Without the review every guess has its step.
    const order = jobSteps(survey(guessed(200)), USUAL_BAY)
    expect(order.ok && order.steps.filter(({ task }) => task.kind === 'weigh')).toHaveLength(2)
  })

  it('is always a step for what nobody knows', () => {
    const unknown: Plan = {
      ...ridgeTent,
      gear: ridgeTent.gear.map((gear) => ({ ...gear, mass: { kg: 0, basis: 'unknown' as const } })),
    }
    const on = new Set(unknown.placements.map(({ gearId }) => gearId))
    for (const { id, kind } of unknown.gear)
      if (on.has(id) && kind !== 'person') expect(weighed(unknown).wanted).toContain(id)
  })

  it('asks for nothing in the demo’s jobs that their reviews do not ask', () => {
    for (const plan of DEMO_PLANS) {
      const { wanted, asked } = weighed(plan)
      for (const id of wanted) {
        const gear = plan.gear.find((each) => each.id === id)
        expect(asked.has(id) || gear?.mass.basis === 'unknown', `${plan.id} ${id}`).toBe(true)
      }
    }
  })
})
