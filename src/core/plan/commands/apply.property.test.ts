import { planSchema } from '../schema/plan-schema'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '@/core/runs.testing'
import { DEMO_PLANS } from '@/demo/plans'
import { apply } from './apply'
import { EDITS } from './command'
import { COMMAND_KINDS, commandFrom, recipes } from '../commands.testing'
import { type Plan } from '../schema/plan'

describe('any sequence of commands', () => {
  it('is drawn from every edit there is', () => {
    expect(COMMAND_KINDS.toSorted()).toEqual(Object.keys(EDITS).toSorted())
  })

  it('leaves a plan that parses, whatever was taken or refused', () => {
    const taken = new Set<string>()
    const refused = new Set<string>()
    fc.assert(
      fc.property(fc.nat(DEMO_PLANS.length - 1), recipes, (start, sequence) => {
        let plan: Plan = DEMO_PLANS[start]!
        for (const recipe of sequence) {
          const command = commandFrom(plan, recipe)
          const before = JSON.stringify(plan)
          const result = apply(plan, command)
          expect(JSON.stringify(plan)).toBe(before)
          if (result.ok) {
            taken.add(command.do)
            plan = result.plan
          } else {
            refused.add(command.do)
            expect(result.reason).not.toBe('')
          }
        }
        expect(planSchema.safeParse(plan).error?.issues ?? []).toEqual([])
      }),
      { numRuns: Math.max(runs(1000), 120) },
    )
    expect(taken.size).toBeGreaterThan(20)
    expect(refused.size).toBeGreaterThan(10)
  })
})
