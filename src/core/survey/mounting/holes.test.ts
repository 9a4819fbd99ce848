import { expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { fittedOf } from '../../bay/fitted'
import { NOTHING_DONE } from '../../log/record'
import { apply } from '../../plan/commands/apply'
import { survey } from '../survey'
import { holesFor } from './holes'

const found = DEMO_PLANS.flatMap((plan) =>
  survey(plan).things.flatMap((thing) => (holesFor(thing) ? [{ plan, thing }] : [])),
)

it('are those of the clamp that a tool sits in, the first until somebody chooses another; the sheet says which (B11)', () => {
  const [first] = found
  if (!first) throw new Error('A tool of the demo sits in a clamp.')
  const { plan, thing } = first
  const placementId = thing.placement.id
  const at = (hole: number) => {
    const next = apply(plan, {
      do: 'setFitting',
      placementId,
      fitting: { ...thing.placement.fitting, hole },
    })
    if (!next.ok) throw new Error(next.reason)
    return survey(next.plan)
  }
  const chosen = at(1)
  const again = chosen.thingById.get(placementId)
  expect(again && holesFor(again)).toMatchObject({ chosen: 1, carrier: thing.parent?.gear.name })
  expect(fittedOf(chosen, [], NOTHING_DONE).lines.join('\n')).toContain(
    `${thing.gear.name}: in ${thing.parent?.gear.name}, hole 2 of `,
  )
  expect(fittedOf(at(0), [], NOTHING_DONE).lines.join('\n')).toContain('hole 1 of ')
})
