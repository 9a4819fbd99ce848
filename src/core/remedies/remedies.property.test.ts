import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { apply } from '../plan/apply'
import { madePlans } from '../plan/made-plans.testing'
import type { Plan } from '../plan/plan'
import { STATES } from '../units/scalars'
import { survey } from '../survey/survey'
import { isOpen, OUTCOME_RANK, type Finding, type Verdict } from '../review/finding'
import { phraseText } from '../units/phrase'
import { review, type Review } from '../review/review'
import { remediesFor, type Remedy } from './remedies'
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

/** What rule 13 forbids of a fix, told apart from how fixes are found. */
function faults(plan: Plan, finding: Finding, remedy: Remedy, before: Review): string[] {
  const applied = apply(plan, remedy.command)
  if (!applied.ok) return [applied.reason]
  const after = review(survey(applied.plan))
  const rank = (verdict: Verdict) => VERDICTS.indexOf(verdict)
  const was = new Map(before.findings.map(({ id, severity }) => [id, severity]))
  const worse = after.findings.filter(({ id, severity }) => {
    const old = was.get(id) ?? 'clear'
    return OUTCOME_RANK[severity] < Math.min(OUTCOME_RANK[old], OUTCOME_RANK.clear)
  })
  const stopsOf = (layerId: string | undefined, state: string) =>
    before.findings.some(
      (each) => each.severity === 'stop' && each.subject.layerId === layerId && each.state === state,
    )
  const unnamed = worse.filter(
    ({ rule, severity, subject, state }) =>
      !(severity === 'mind' && rule === remedy.minds) &&
      !(severity === 'mind' && subject.layerId !== undefined && stopsOf(subject.layerId, state)) &&
      !(rule === 'counts-unsaid' && subject.layerId === finding.subject.layerId),
  )
  const same = after.findings.find(({ id }) => id === finding.id)
  return [
    ...STATES.filter((state) => rank(after.states[state]) < rank(before.states[state])).map(
      (state) => `${state} is worse`,
    ),
    ...unnamed.map(({ id, severity }) => `${severity} ${id} is new or graver`),
    ...(same && isOpen(same) && !(same.severity === 'mind' && remedy.minds === same.rule)
      ? ['it is still there']
      : []),
    ...(finding.severity === 'mind' && remedy.minds !== undefined ? ['a Mind for a Mind'] : []),
  ]
}

const VERDICTS: readonly Verdict[] = ['stop', 'findOut', 'mind', 'clear', 'unplanned']

describe('what a fix leaves behind', () => {
  it('is nothing worse, but one thing to mind that its words name; for every fix of every demo job', () => {
    let offered = 0
    for (const plan of DEMO_PLANS) {
      const surveyed = survey(plan)
      const found = review(surveyed)
      for (const finding of found.findings.filter(isOpen)) {
        const remedies = remediesFor(surveyed, found, finding, DEMO_STOCK)
        offered += remedies.length
        const says = remedies.map(({ message }) => phraseText(message))
        expect(new Set(says).size).toBe(says.length)
        for (const remedy of remedies)
          expect(
            faults(plan, finding, remedy, found),
            `${plan.id} ${finding.id}: ${phraseText(remedy.message)}`,
          ).toEqual([])
      }
    }
    expect(offered).toBeGreaterThan(40)
  })

  it('is as little on plans made from the kinds, and on demo jobs overloaded and shifted', () => {
    let offered = 0
    const rules = new Map<string, number>()
    fc.assert(
      fc.property(fc.oneof(madePlans, overloaded), (plan) => {
        const surveyed = survey(plan)
        const found = review(surveyed)
        for (const finding of found.findings.filter(isOpen).slice(0, 4))
          for (const remedy of remediesFor(surveyed, found, finding, DEMO_STOCK)) {
            offered += 1
            rules.set(finding.rule, (rules.get(finding.rule) ?? 0) + 1)
            expect(
              faults(plan, finding, remedy, found),
              `${finding.id}: ${phraseText(remedy.message)}`,
            ).toEqual([])
          }
      }),
      { numRuns: runs(1000) },
    )
    expect(offered).toBeGreaterThan(atLeast(300, 1000))
    for (const rule of ['layer-limit', 'spread', 'bar-seat'])
      expect(rules.get(rule) ?? 0, rule).toBeGreaterThanOrEqual(atLeast(5, 1000))
  })
})
