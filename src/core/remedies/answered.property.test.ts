import { planSchema } from '../plan/schema/plan-schema'
import fc from 'fast-check'
import { describe, expect, inject, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { atLeast, runs } from '@/core/runs.testing'
import { apply } from '../plan/commands/apply'
import { madePlans } from '../plan/made-plans.testing'
import { type Plan } from '../plan/schema/plan'
import { survey } from '../survey/survey'
import { answered, type Answer } from './answered'
import { inputOf, type Ask, type AskTarget } from '../review/ask'
import { review, findingText } from '../review/review'

/**
 * Figures in the core's units that could be true and that no made plan has: an answer that is the figure asked about
 * would answer nothing.
 */
const LIKELY: Readonly<Record<string, number>> = { mass: 61.27, length: 410.3 }

/** Every answer that the field of a question takes; none where it opens a form. */
function answersTo(ask: Ask): Answer[] {
  const input = inputOf(ask.target)
  switch (input.kind) {
    case 'open':
      return []
    case 'choice':
      return input.options.map(([value]) => ({ kind: 'choice', value }))
    case 'number': {
      const value = LIKELY[input.dimension]
      if (value === undefined) throw new Error(`nobody asks for a ${input.dimension} yet`)
      return [{ kind: 'number', value, typed: `${value}` }]
    }
  }
}

const ALL = 1_000
/** How often each field is asked for in so many plans, at least: none is there that nothing asks for. */
const MET: Readonly<Record<Extract<AskTarget, { field: string }>['field'], number>> = {
  rating: 200,
  counts: 100,
  seen: 40,
  holds: 3,
  massHolds: 5,
  figureHolds: 5,
  sheetSpread: 2,
  gearMass: 50,
  loadMass: 20,
  partMass: 20,
  vehicle: 90,
  footWidth: 2,
  contacts: 50,
  base: 1,
  seat: 20,
  roofBears: 20,
  moves: 40,
  straps: 5,
}

/** So often a question for one field is answered in the gate. */
const GATE_ANSWERS = 3

/**
 * Gives every answer to every question of a plan, in the gate to a few questions for each field, and counts how often
 * each field was asked for.
 */
function answerAll(plan: Plan, asked: Map<string, number>): void {
  const surveyed = survey(plan)
  for (const finding of review(surveyed).findings) {
    const { ask, severity } = finding
    if (!ask) continue
    const field = 'open' in ask.target ? `open ${ask.target.open}` : ask.target.field
    const before = asked.get(field) ?? 0
    asked.set(field, before + 1)
    if (!inject('deep') && before >= GATE_ANSWERS) continue
    for (const answer of answersTo(ask)) {
      const command = answered(plan, ask, answer)
      expect(command, `${finding.id}: ${field}`).toBeDefined()
      const done = apply(plan, command!)
      if (!done.ok) throw new Error(`${finding.id}: ${done.reason}`)
      expect(planSchema.safeParse(done.plan).error, finding.id).toBeUndefined()
      // A question that was answered is not asked again in the same words.
      if (severity !== 'findOut') continue
      const again = review(survey(done.plan, surveyed)).findings.find(({ id }) => id === finding.id)
      if (again?.severity === 'findOut')
        expect(findingText(again), `${finding.id}: ${field}`).not.toBe(findingText(finding))
    }
  }
}

describe('every question can be answered where it is asked', () => {
  it('on plans made from the kinds and on the demo: the edit applies, reads back, and the question is not asked again', () => {
    const asked = new Map<string, number>()
    for (const plan of DEMO_PLANS) answerAll(plan, asked)
    fc.assert(
      fc.property(madePlans, (plan) => {
        answerAll(plan, asked)
      }),
      { numRuns: runs(ALL) },
    )
    for (const [field, met] of Object.entries(MET))
      expect(asked.get(field) ?? 0, field).toBeGreaterThanOrEqual(atLeast(met, ALL))
  })
})
