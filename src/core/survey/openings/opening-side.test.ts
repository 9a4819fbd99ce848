import { describe, expect, it } from 'vitest'
import { ridgeTent } from '@/demo/plans'
import { apply } from '../../plan/commands/apply'
import type { Plan } from '../../plan/schema/plan'
import { survey } from '../survey'
import { opensToward } from './tent'

const tent = ridgeTent.gear.find(({ opens }) => opens !== undefined)
const placement = ridgeTent.placements.find(({ gearId }) => gearId === tent?.id)
if (!tent?.opens || !placement) throw new Error('The job has a tent.')
const { toward } = tent.opens
const other = toward === 'rear' ? 'left' : 'rear'

/** The tent's job with a tent that may open to another side as well. */
const either: Plan = {
  ...ridgeTent,
  gear: ridgeTent.gear.map((gear) =>
    gear.id === tent.id && gear.opens ? { ...gear, opens: { ...gear.opens, orToward: [other] } } : gear,
  ),
}
const turn = { do: 'setOpening', placementId: placement.id } as const
const sideOf = (plan: Plan) => {
  const thing = survey(plan).things.find((each) => each.placement.id === placement.id)
  return thing && opensToward(thing)
}

describe('a tent that may open to several sides (B11c)', () => {
  it('opens to the one that was chosen, and its sheet stays as it is', () => {
    const chosen = apply(either, { ...turn, toward: other })
    if (!chosen.ok) throw new Error(chosen.reason)
    expect(sideOf(either)).not.toBe(sideOf(chosen.plan))
    expect(chosen.plan.gear).toBe(either.gear)
    const back = apply(chosen.plan, { ...turn, toward })
    expect(back.ok && sideOf(back.plan)).toBe(sideOf(either))
  })

  it('is not opened to a side that its sheet does not name', () => {
    const refused = apply(ridgeTent, { ...turn, toward: other })
    expect(refused.ok ? '' : refused.reason).toBe(`Its sheet does not let it open to the ${other}.`)
  })

  it('lies on the same object as long as nothing changes', () => {
    const chosen = apply(either, { ...turn, toward: other })
    if (!chosen.ok) throw new Error(chosen.reason)
    const first = survey(chosen.plan).things.find((each) => each.placement.id === placement.id)
    const again = survey({ ...chosen.plan, note: 'later' }).things.find(
      (each) => each.placement.id === placement.id,
    )
    expect(again?.gear).toBe(first?.gear)
  })
})
