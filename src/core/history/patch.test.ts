import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { runs } from '@/core/runs.testing'
import { apply } from '../plan/commands/apply'
import { commandFrom, recipes } from '../plan/commands.testing'
import { madePlans } from '../plan/made-plans.testing'
import { patchBetween, patched, patchSchema } from './patch'
import type { Plan } from '../plan/schema/plan'

/** Every plan that a script of edits goes through, the first one with it. */
function through(plan: Plan, script: Parameters<typeof commandFrom>[1][]): Plan[] {
  return script.reduce<Plan[]>(
    (plans, each) => {
      const now = plans.at(-1)!
      const done = apply(now, commandFrom(now, each))
      return done.ok ? [...plans, done.plan] : plans
    },
    [plan],
  )
}
const size = (value: unknown) => JSON.stringify(value).length

describe('what makes one plan of another', () => {
  it('takes any edit back, on any demo job, and is nothing for what is the same', () => {
    fc.assert(
      fc.property(fc.constantFrom(...DEMO_PLANS), recipes, (plan, script) => {
        const all = through(plan, script)
        for (const [i, now] of all.entries()) {
          const before = all[i - 1]
          if (!before) continue
          const back = patchBetween(now, before)
          expect(patched(now, back)).toEqual(before)
          expect(patchSchema.safeParse(JSON.parse(JSON.stringify(back))).success).toBe(true)
        }
        expect(patchBetween(plan, structuredClone(plan))).toEqual([])
      }),
      { numRuns: runs(3000) },
    )
  })

  it('makes any plan of any other', () => {
    fc.assert(
      fc.property(madePlans, madePlans, (a, b) => {
        expect(patched(a, patchBetween(a, b))).toEqual(b)
      }),
      { numRuns: runs(2000) },
    )
  })

  it('is small: the past of every demo job’s edits stays under three times the job', () => {
    for (const plan of DEMO_PLANS) {
      const moves = Array.from({ length: 100 }, (_, i) => 400 + i * 5)
      const [first] = plan.placements
      if (!first) continue
      let now = plan
      let bytes = 0
      for (const xMm of moves) {
        const done = apply(now, { do: 'move', placementId: first.id, xMm, yMm: first.yMm })
        if (!done.ok) continue
        bytes += size(patchBetween(done.plan, now))
        now = done.plan
      }
      expect(bytes).toBeGreaterThan(0)
      expect(bytes / size(plan), plan.id).toBeLessThan(3)
    }
  })
})
