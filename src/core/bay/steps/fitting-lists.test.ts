import { describe, expect, it } from 'vitest'
import { ATTACHMENTS } from '../../kinds/attachment'
import { kindsOf } from '../../kinds/kind'
import { USUAL_BAY } from '../../plan/schema/house'
import type { Plan } from '../../plan/schema/plan'
import { PHASES } from '../../plan/schema/work'
import { survey } from '../../survey/survey'
import { LISTS_BY_HAND, type ListByHand } from './fitting-lists.testing'
import { jobSteps } from './job-steps'
import { plainJob } from './plain-job.testing'
import type { Step } from './step'

const ofRack = (plan: Plan): readonly Step[] => {
  const order = jobSteps(survey(plan), USUAL_BAY)
  if (!order.ok) throw new Error(order.reason)
  return order.steps.filter(({ group }) => group === 'rack')
}

const listOf = (steps: readonly Step[]): ListByHand =>
  PHASES.flatMap((phase) => {
    const titles = steps.filter(({ stage }) => stage === phase).map(({ title }) => title)
    return titles.length === 0 ? [] : [[phase, titles] as const]
  })

describe('the order of fitting, by the way it attaches', () => {
  it('every way to attach has its list, and only for racks that stand on it', () => {
    for (const kind of kindsOf(ATTACHMENTS)) {
      const racks = LISTS_BY_HAND.filter(({ on }) => on.includes(kind)).map(({ rack }) => rack)
      expect(racks.length, kind).toBeGreaterThan(0)
      expect(
        racks.every((rack) => ATTACHMENTS[kind].racks.some((each) => each === rack)),
        kind,
      ).toBe(true)
    }
  })

  it.each(LISTS_BY_HAND.flatMap(({ on, rack, list }) => on.map((kind) => [kind, rack, list] as const)))(
    '%s, %s: as the trade does it',
    (kind, rack, list) => {
      expect(listOf(ofRack(plainJob(kind, rack)))).toEqual(list.filter(([, titles]) => titles.length > 0))
    },
  )
})
