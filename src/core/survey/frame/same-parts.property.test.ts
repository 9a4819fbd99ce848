import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '@/core/runs.testing'
import { apply } from '../../plan/commands/apply'
import { commandFrom, recipes } from '../../plan/commands.testing'
import { madePlans } from '../../plan/made-plans.testing'
import { review } from '../../review/review'
import { everyPart } from '../every-part.testing'
import { survey } from '../survey'

describe('a survey made from the one before', () => {
  it('is the survey of its plan, and keeps every part that the edit left alone', () => {
    let [kept, made] = [0, 0]
    fc.assert(
      fc.property(madePlans, recipes, (first, sequence) => {
        let plan = first
        let before = survey(plan)
        for (const recipe of sequence) {
          const applied = apply(plan, commandFrom(plan, recipe))
          if (!applied.ok) continue
          const after = survey(applied.plan, before)
          const afresh = survey(applied.plan)
          for (const part of ['bars', 'feet', 'heights'] as const) expect(after[part]).toEqual(afresh[part])
          expect(everyPart(after)).toEqual(everyPart(afresh))
          expect(review(after)).toEqual(review(afresh))
          for (const rack of after.racks) {
            if (before.racks.includes(rack)) kept += 1
            else made += 1
            expect(rack.bars.every((bar) => after.bars[bar.index] === bar)).toBe(true)
            expect(rack.feet.every((foot) => after.feet[foot.index] === foot)).toBe(true)
          }
          for (const thing of after.things)
            expect(thing.parent === undefined || after.things.includes(thing.parent)).toBe(true)
          plan = applied.plan
          before = after
        }
      }),
      { numRuns: runs(1000) },
    )
    expect(Math.min(kept, made)).toBeGreaterThan(0)
  })

  it('has the very same things where another one was moved', () => {
    const plan = fc
      .sample(madePlans, { numRuns: 200, seed: 3 })
      .find(({ placements }) => placements.length > 1)
    if (!plan) throw new Error('none of the made plans has two things')
    const before = survey(plan)
    const [moved] = before.things.filter((thing) => before.things.every(({ parent }) => parent !== thing))
    const { id, xMm, yMm } = moved!.placement
    const applied = apply(plan, { do: 'move', placementId: id, xMm: xMm + 10, yMm })
    if (!applied.ok) throw new Error(applied.reason)
    const after = survey(applied.plan, before)
    for (const thing of after.things) expect(before.things.includes(thing)).toBe(thing.placement.id !== id)
    expect(after.racks.every((rack, i) => rack === before.racks[i])).toBe(true)
  })
})
