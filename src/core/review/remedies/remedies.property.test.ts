import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/stock/plans'
import { DEMO_STOCK } from '@/stock/stock'
import { apply } from '../../plan/apply'
import type { Plan } from '../../plan/plan'
import { survey } from '../../survey/survey'
import { review } from '../review'
import { remediesFor } from './remedies'
import { atLeast, runs } from '@/core/runs.testing'

/** A plan of the demo with its weights raised, and its things shifted and bars, so that several links are exceeded and much stands in the way. */
const overloaded: fc.Arbitrary<Plan> = fc
  .tuple(
    fc.nat(DEMO_PLANS.length - 1),
    fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 20, maxLength: 20 }),
  )
  .map(([index, noise]) => {
    const plan = DEMO_PLANS[index]!
    return {
      ...plan,
      racks: plan.racks.map((rack) =>
        rack.kind === 'bars'
          ? {
              ...rack,
              bars: rack.bars.map((bar, i) => ({
                ...bar,
                xMm: bar.xMm + 160 * (noise[(i + 13) % 20]! - 0.5),
              })),
            }
          : rack,
      ),
      gear: plan.gear.map((gear, i) => ({
        ...gear,
        mass: { ...gear.mass, kg: gear.mass.kg * (0.8 + 2.4 * noise[i % 20]!) },
      })),
      placements: plan.placements.map((each, i) => ({
        ...each,
        xMm: each.host.on === 'place' ? each.xMm : each.xMm + 500 * (noise[(i + 9) % 20]! - 0.5),
        yMm: each.yMm + 300 * (noise[(i + 5) % 20]! - 0.5),
      })),
    }
  })

describe('remedies of random plans', () => {
  it('each clears its finding, adds no new Stop in any state, and stands in order of size', () => {
    let offered = 0
    const rules = new Map<string, number>()
    fc.assert(
      fc.property(overloaded, (plan) => {
        const surveyed = survey(plan)
        const found = review(surveyed)
        const before = new Set(
          found.findings.filter((each) => each.severity === 'stop').map((each) => each.id),
        )
        for (const finding of found.findings.filter((each) => each.severity === 'stop').slice(0, 4)) {
          const remedies = remediesFor(surveyed, found, finding, DEMO_STOCK)
          expect(remedies.map((each) => each.rank)).toEqual(
            remedies.map((each) => each.rank).toSorted((a, b) => a - b),
          )
          for (const remedy of remedies) {
            offered += 1
            rules.set(finding.rule, (rules.get(finding.rule) ?? 0) + 1)
            const applied = apply(plan, remedy.command)
            if (!applied.ok) throw new Error(applied.reason)
            const after = review(survey(applied.plan))
            expect(after.findings.some((each) => each.id === finding.id && each.severity === 'stop')).toBe(
              false,
            )
            for (const each of after.findings.filter(({ severity }) => severity === 'stop'))
              expect(before.has(each.id)).toBe(true)
          }
        }
      }),
      { numRuns: runs(1000) },
    )
    expect(offered).toBeGreaterThan(atLeast(1000, 1000))
    for (const rule of ['layer-limit', 'spread', 'bar-seat', 'space', 'on-its-bars'])
      expect(rules.get(rule) ?? 0, rule).toBeGreaterThanOrEqual(atLeast(10, 1000))
    expect(rules.get('hatch') ?? 0).toBeGreaterThanOrEqual(atLeast(1, 1000))
  })
})
