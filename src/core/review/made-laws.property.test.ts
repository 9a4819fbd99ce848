import { planSchema } from '../plan/schema/plan-schema'
import fc from 'fast-check'
import { afterAll, describe, expect, inject, it } from 'vitest'
import { nightly } from '@/core/runs.testing'
import { type Plan } from '../plan/schema/plan'
import { madePlans } from '../plan/made-plans.testing'
import { mirrored } from '../plan/mirrored.testing'
import { STATES, type State } from '../units/scalars'
import { survey } from '../survey/survey'
import { CHECKS } from './checks'
import { OUTCOME_RANK, OUTCOMES, worse, type Finding, type Outcome, type Severity } from './finding'
import { lessKnown, UNKNOWINGS } from './less-known.testing'
import { review, type Review } from './review'

const RUNS = { numRuns: nightly(5000) }
const STRENGTH = new Set(CHECKS.filter(({ law }) => law === 'moreIsWorse').map(({ id }) => id))

const of = (findings: readonly Finding[], state: State, which: (rule: string) => boolean): Severity =>
  findings
    .filter((each) => (each.state === state || each.state === 'all') && which(each.rule))
    .reduce<Severity>((worst, each) => worse(worst, each.severity), 'clear')

const reached = new Map<string, Map<Outcome, number>>()
function count({ findings }: Review) {
  for (const { rule, severity } of findings) {
    const outcomes = reached.get(rule) ?? new Map<Outcome, number>()
    outcomes.set(severity, (outcomes.get(severity) ?? 0) + 1)
    reached.set(rule, outcomes)
  }
}

/** What a check can come to; each must come up among the plans of the deep run. */
const CAN: Readonly<Record<string, readonly Outcome[]>> = {
  'layer-limit': ['stop', 'clear', 'nothing'],
  'each-rating': ['stop', 'clear', 'nothing'],
  'facts-together': ['mind', 'nothing'],
  payload: ['stop', 'clear', 'notLooked', 'nothing'],
  'unrated-layer': ['findOut', 'nothing'],
  'counts-unsaid': ['findOut', 'nothing'],
  'told-figure': ['findOut', 'nothing'],
  'figures-disagree': ['findOut', 'mind', 'clear', 'nothing'],
  'guessed-mass': ['findOut', 'nothing'],
  'parked-figure': ['findOut', 'mind', 'nothing'],
  'trail-figure': ['findOut', 'mind', 'nothing'],
  axles: ['stop', 'clear', 'notLooked', 'nothing'],
  standing: ['stop', 'findOut', 'mind', 'clear', 'notLooked', 'nothing'],
  'bar-bending': ['stop', 'clear', 'notLooked', 'nothing'],
  'kit-fit': ['stop', 'findOut', 'clear', 'nothing'],
  'foot-mount': ['stop', 'clear', 'nothing'],
  'tower-spacing': ['stop', 'findOut', 'clear', 'nothing'],
  'side-overhang': ['stop', 'clear', 'nothing'],
  tent: ['stop', 'findOut', 'mind', 'clear', 'nothing'],
  gates: ['findOut', 'nothing'],
  lines: ['mind', 'clear', 'nothing'],
  'support-span': ['mind', 'clear', 'nothing'],
  'nose-up': ['mind', 'clear', 'nothing'],
  'load-overhang': ['stop', 'findOut', 'mind', 'clear', 'nothing'],
  wind: ['mind', 'clear', 'nothing'],
  lifting: ['mind', 'clear', 'nothing'],
  sleepers: ['stop', 'mind', 'clear', 'nothing'],
  'one-bar': ['mind', 'clear', 'nothing'],
  'on-its-bars': ['stop', 'clear', 'nothing'],
  'over-roof': ['stop', 'clear', 'nothing'],
  'bar-ends': ['mind', 'clear', 'nothing'],
  'bar-seat': ['stop', 'clear', 'nothing'],
  'joint-bolts': ['stop', 'clear', 'nothing'],
  'side-by-side': ['mind', 'clear', 'nothing'],
  'clear-of-feet': ['stop', 'findOut', 'clear', 'nothing'],
  'mount-match': ['stop', 'findOut', 'clear', 'nothing'],
  'usable-width': ['stop', 'findOut', 'clear', 'nothing'],
  'height-clearance': ['stop', 'findOut', 'clear', 'nothing'],
  'people-driving': ['stop', 'clear', 'nothing'],
  'speed-rating': ['stop', 'clear', 'nothing'],
  'half-known': ['findOut', 'nothing'],
  evenness: ['mind', 'clear', 'nothing'],
  uplift: ['mind', 'clear', 'nothing'],
  'uplift-in-motion': ['findOut', 'mind', 'clear', 'nothing'],
  spread: ['stop', 'clear', 'nothing'],
  space: ['stop', 'mind', 'clear', 'nothing'],
  hatch: ['stop', 'clear', 'nothing'],
  sunroof: ['stop', 'findOut', 'clear', 'nothing'],
  antenna: ['stop', 'mind', 'clear', 'nothing'],
  'tie-downs': ['stop', 'findOut', 'mind', 'clear', 'nothing'],
  'reinforced-top': ['findOut', 'nothing'],
}

afterAll(() => {
  const table = [...reached].map(
    ([rule, outcomes]) =>
      `${rule.padEnd(18)} ${OUTCOMES.map((outcome) => `${outcome} ${outcomes.get(outcome) ?? 0}`).join('  ')}`,
  )
  console.log(`How often each check came to what, over made plans:\n${table.join('\n')}`)
})

describe('laws on plans made from the kinds', () => {
  it('are asked of plans that parse', () => {
    fc.assert(
      fc.property(madePlans, (plan) => {
        expect(planSchema.safeParse(plan).error?.issues ?? []).toEqual([])
        count(review(survey(plan)))
      }),
      RUNS,
    )
    if (!inject('deep')) return
    for (const [rule, outcomes] of Object.entries(CAN))
      for (const outcome of outcomes)
        expect(reached.get(rule)?.get(outcome) ?? 0, `${rule} ${outcome}`).toBeGreaterThan(0)
  })

  it('more mass never improves a state’s verdict on strength', () => {
    fc.assert(
      fc.property(madePlans, fc.nat(40), fc.double({ min: 0.1, max: 60, noNaN: true }), (plan, which, kg) => {
        const before = survey(plan)
        const pressing = before.masses.flatMap((mass) =>
          mass.of === 'gear' &&
          // On a ladder low at the tail it is ballast; what lifts a foot relieves it.
          mass.via !== 'ladder' &&
          [...mass.feet, ...mass.bars].every(([, share]) => share >= 0)
            ? [mass.thing.placement]
            : [],
        )
        const placement = pressing[which % Math.max(pressing.length, 1)]
        fc.pre(placement !== undefined)
        const what = { kind: 'mass' as const, mass: { kg, basis: 'maker' as const } }
        const load = { id: 'more', name: 'More', when: 'always' as const, what }
        const heavier: Plan = {
          ...plan,
          placements: plan.placements.map((each) =>
            each === placement ? { ...each, loads: [...each.loads, load] } : each,
          ),
        }
        const [old, now] = [review(before), review(survey(heavier))]
        for (const state of STATES) {
          const strong = (rule: string) => STRENGTH.has(rule)
          expect(OUTCOME_RANK[of(now.findings, state, strong)]).toBeLessThanOrEqual(
            OUTCOME_RANK[of(old.findings, state, strong)],
          )
        }
      }),
      RUNS,
    )
  })

  it('not knowing is never better than knowing was: Stop or Mind never becomes Clear', () => {
    fc.assert(
      fc.property(madePlans, fc.constantFrom(...UNKNOWINGS), fc.nat(100), (plan, unknowing, which) => {
        const poorer = lessKnown(plan, unknowing, which)
        fc.pre(poorer !== undefined)
        const [old, now] = [review(survey(plan)), review(survey(poorer))]
        for (const state of STATES)
          if (old.states[state] === 'stop' || old.states[state] === 'mind')
            expect(now.states[state], `${unknowing} ${state}`).not.toBe('clear')
      }),
      RUNS,
    )
  })

  it('the mirror image of a plan mirrors every finding', () => {
    const summaryOf = ({ findings }: Review) => {
      const margins = new Map<string, number[]>()
      for (const { rule, state, severity, margin } of findings) {
        const key = `${rule} ${state} ${severity}`
        margins.set(
          key,
          [...(margins.get(key) ?? []), margin?.value ?? 0].sort((a, b) => a - b),
        )
      }
      return margins
    }
    fc.assert(
      fc.property(madePlans, (plan) => {
        const [here, there] = [summaryOf(review(survey(plan))), summaryOf(review(survey(mirrored(plan))))]
        expect([...there.keys()].sort()).toEqual([...here.keys()].sort())
        for (const [key, margins] of here) {
          const twins = there.get(key) ?? []
          expect(twins.length, key).toBe(margins.length)
          margins.forEach((margin, i) => {
            expect(Math.abs((twins[i] ?? NaN) - margin), key).toBeLessThan(1e-6)
          })
        }
      }),
      RUNS,
    )
  })

  it('every question has a field to answer it, and nothing under Clear speaks of an empty set', () => {
    fc.assert(
      fc.property(madePlans, (plan) => {
        const { findings, notLooked, planned } = review(survey(plan))
        for (const finding of [...findings.filter(({ severity }) => severity === 'findOut'), ...notLooked])
          expect(finding.ask, finding.id).toBeDefined()
        expect(new Set(findings.map(({ id }) => id)).size).toBe(findings.length)
        for (const { id, severity } of findings) if (id.endsWith(' nothing')) expect(severity).toBe('nothing')
        expect(planned).toBe(plan.racks.length > 0 || plan.placements.length > 0)
      }),
      RUNS,
    )
  })
})
