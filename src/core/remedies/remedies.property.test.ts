import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { apply } from '../plan/commands/apply'
import { madePlans } from '../plan/made-plans.testing'
import type { Plan } from '../plan/schema/plan'
import { STATES } from '../units/scalars'
import type { Command } from '../plan/commands/command'
import type { Rating } from '../plan/schema/rating'
import { fails } from '../facts/comparison'
import { linkComparisons } from '../facts/links'
import { survey } from '../survey/survey'
import { lazy } from '../units/memo'
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
  const unknown = new Set(
    survey(plan).masses.flatMap(({ id, basis }) => (basis === 'unknown' ? [` ${id} `] : [])),
  )
  const hidden = lazy(() => askedWithout(plan))
  const unnamed = worse.filter(({ id, rule, severity, subject, state }) => {
    const overBefore = subject.layerId !== undefined && stopsOf(subject.layerId, state)
    // Of a foot that lifts at rest nobody says what motion does to it.
    const lifted = finding.rule === 'uplift' && rule === 'uplift-in-motion'
    if (severity === 'mind') return rule !== remedy.minds && !overBefore && !lifted
    if (severity !== 'findOut') return true
    const sameLink = subject.layerId !== undefined && subject.layerId === finding.subject.layerId
    // A Stop of a link that is cleared by the way was graver than any question; of its own it hid some.
    if (overBefore && !(sameLink && state === finding.state)) return false
    if (sameLink && rule === 'counts-unsaid') return false
    if (overBefore && rule === 'guessed-mass' && [...unknown].some((each) => id.includes(each))) return false
    return !hidden().has(id)
  })
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

/** What a plan asks where every figure that is exceeded is far above what it holds. */
function askedWithout(plan: Plan): ReadonlySet<string> {
  const { loadPath } = survey(plan)
  const over = new Set(
    loadPath.cells.flatMap((cell) =>
      linkComparisons(cell, plan).flatMap((each) => (fails(each) ? [each.rating] : [])),
    ),
  )
  const raised = (value: unknown): unknown =>
    Array.isArray(value)
      ? value.map(raised)
      : typeof value === 'object' && value !== null
        ? over.has(value as Rating)
          ? { ...value, kg: 1e6 }
          : Object.fromEntries(Object.entries(value).map(([key, each]) => [key, raised(each)]))
        : value
  const { findings } = review(survey(raised(plan) as Plan))
  return new Set(findings.flatMap(({ id, severity }) => (severity === 'findOut' ? [id] : [])))
}

/** The checks of what links hold. */
const LIMITS: readonly string[] = ['layer-limit', 'each-rating', 'payload']

const VERDICTS: readonly Verdict[] = ['stop', 'findOut', 'mind', 'clear', 'unplanned']

/** The same fix, less by the least that can be read: a tenth of a kilogram or litre, or one person; nothing where it is no such fix. */
function oneStepLess({ command }: Remedy, plan: Plan): Command | undefined {
  if (command.do !== 'setLoad') return undefined
  const was = plan.placements
    .find(({ id }) => id === command.placementId)
    ?.loads.find(({ id }) => id === command.load.id)
  const { what } = command.load
  if (!was || what.kind !== was.what.kind) return undefined
  switch (what.kind) {
    case 'mass': {
      const kg = Math.round(what.mass.kg * 10 + 1) / 10
      return { ...command, load: { ...command.load, what: { ...what, mass: { ...what.mass, kg } } } }
    }
    case 'fluid': {
      const litres = Math.round(what.litres * 10 + 1) / 10
      return { ...command, load: { ...command.load, what: { ...what, litres } } }
    }
    case 'people':
      return { ...command, load: { ...command.load, what: { ...what, count: what.count + 1 } } }
  }
}

/** The Stops and questions of a plan after an edit. */
function graveAfter(plan: Plan, command: Command): ReadonlySet<string> {
  const applied = apply(plan, command)
  if (!applied.ok) throw new Error(applied.reason)
  return new Set(
    review(survey(applied.plan)).findings.flatMap(({ id, severity }) =>
      OUTCOME_RANK[severity] <= OUTCOME_RANK.findOut ? [`${severity} ${id}`] : [],
    ),
  )
}

/** Whether a fix that takes the least off a load would clear as much with one step less. */
function isTooMuch(plan: Plan, finding: Finding, remedy: Remedy, found: Review): boolean {
  const command = oneStepLess(remedy, plan)
  if (!command) return false
  const grave = graveAfter(plan, remedy.command)
  return (
    faults(plan, finding, { ...remedy, command }, found).length === 0 &&
    [...graveAfter(plan, command)].every((each) => grave.has(each))
  )
}

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

  it('is no more than it must be: of a load that is lessened one step less would not clear it', () => {
    let lessened = 0
    fc.assert(
      fc.property(fc.oneof(madePlans, overloaded), (plan) => {
        const surveyed = survey(plan)
        const found = review(surveyed)
        const over = found.findings.filter(
          ({ rule, severity }) => severity === 'stop' && LIMITS.includes(rule),
        )
        for (const finding of over.slice(0, 3)) {
          const [first] = remediesFor(surveyed, found, finding, DEMO_STOCK)
          if (first?.kind !== 'less') continue
          lessened += 1
          expect(isTooMuch(plan, finding, first, found), `${finding.id}: ${phraseText(first.message)}`).toBe(
            false,
          )
        }
      }),
      { numRuns: runs(1000) },
    )
    expect(lessened).toBeGreaterThan(atLeast(50, 1000))
  })
})
