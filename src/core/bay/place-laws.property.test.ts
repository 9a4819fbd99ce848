import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { runs } from '@/core/runs.testing'
import { ATTACHMENTS } from '../kinds/attachment'
import { kindsOf } from '../kinds/kind'
import { madePlans } from '../plan/made-plans.testing'
import { USUAL_BAY } from '../plan/schema/house'
import type { Plan } from '../plan/schema/plan'
import { survey } from '../survey/survey'
import { currentProgress } from './evidence'
import { jobSteps } from './steps/job-steps'
import { plainJob } from './steps/plain-job.testing'
import { OF_THING, type JointGroup, type Step } from './steps/step'
import { seenSigns } from './torque/joint'
import { workedEvents, type WorkedEvent } from './worked'
import { loggedBy } from './worked.testing'

const jobs: fc.Arbitrary<Plan> = fc.oneof(fc.constantFrom(...DEMO_PLANS), madePlans)

const stepsOf = (plan: Plan): readonly Step[] => {
  const order = jobSteps(survey(plan), USUAL_BAY)
  return order.ok ? order.steps : []
}

/** What a log lacks of one place: its last pull, or its sign. */
interface Gap {
  readonly what: 'pull' | 'sign'
  readonly group: JointGroup
  readonly spot: string
}

const lacks = (events: readonly WorkedEvent[], { what, group, spot }: Gap): WorkedEvent[] => {
  const last = group.pulls.reduce((most, { pass }) => Math.max(most, pass), 0)
  return events.flatMap((event): WorkedEvent[] => {
    if (
      event.kind === 'torqued' &&
      event.jointId === group.joint.id &&
      event.spot === spot &&
      event.pass === last
    )
      // What was pulled by a click or on its sign has seen it: without the sign it was but pulled.
      return what === 'pull' ? [] : [{ ...event, how: 'feel' }]
    if (what === 'sign' && event.kind === 'signSeen' && event.jointId === group.joint.id) {
      const spots = event.spots.filter((each) => each !== spot)
      return spots.length === 0 ? [] : [{ ...event, spots }]
    }
    return [event]
  })
}

describe('laws of places, on made jobs', () => {
  it('a joint is done only when each of its places has its seat and its tightening, whichever one is missing', () => {
    const met = { pull: 0, sign: 0, whole: 0 }
    fc.assert(
      fc.property(jobs, fc.nat(200), fc.boolean(), (plan, which, signs) => {
        const surveyed = survey(plan)
        const steps = stepsOf(plan)
        const gaps = steps.flatMap(({ id, task }) =>
          task.kind === 'torque' && task.group.pulls.length > 0
            ? task.group.spots.flatMap((spot): { id: string; gap: Gap }[] => [
                ...(signs ? [] : [{ id, gap: { what: 'pull', group: task.group, spot } as const }]),
                ...(signs && seenSigns(task.group.joint).length > 0
                  ? [{ id, gap: { what: 'sign', group: task.group, spot } as const }]
                  : []),
              ])
            : [],
        )
        const chosen = gaps[which % Math.max(1, gaps.length)]
        if (!chosen) return
        const events = workedEvents(surveyed, USUAL_BAY)
        const doneWith = (from: readonly WorkedEvent[]) =>
          currentProgress(steps, surveyed, loggedBy(from)).progress.done.has(chosen.id)
        if (!doneWith(events)) return
        met.whole += 1
        met[chosen.gap.what] += 1
        expect(
          doneWith(lacks(events, chosen.gap)),
          `${chosen.id} without the ${chosen.gap.what} at ${chosen.gap.spot}`,
        ).toBe(false)
      }),
      { numRuns: Math.max(runs(2000), 60) },
    )
    expect(Math.min(met.pull, met.sign, met.whole)).toBeGreaterThan(0)
  })

  /** All that a step comes after, near and far. */
  const before = (steps: readonly Step[], { after }: Step): ReadonlySet<string> => {
    const byId = new Map(steps.map((step) => [step.id, step]))
    const found = new Set<string>()
    const look = (ids: readonly string[]) => {
      for (const id of ids) {
        if (found.has(id)) continue
        found.add(id)
        look(byId.get(id)?.after ?? [])
      }
    }
    look(after)
    return found
  }

  it('nothing is set on a rack before its seats are looked at, its joints tightened and its latches closed', () => {
    let met = 0
    fc.assert(
      fc.property(jobs, (plan) => {
        const steps = stepsOf(plan)
        for (const set of steps.filter(({ group, key }) => group.startsWith(OF_THING) && key === 'set')) {
          const earlier = before(steps, set)
          for (const { id, group, task, kept, stage } of steps) {
            if (group !== set.rackId || stage === 'trim' || stage === 'prove') continue
            if (task.kind !== 'torque' && kept !== true) continue
            met += 1
            expect(earlier.has(id), `${set.id} before ${id}`).toBe(true)
          }
        }
      }),
      { numRuns: Math.max(runs(2000), 40) },
    )
    expect(met).toBeGreaterThan(0)
  })

  it('on every way to attach a seat comes before its torque, and a latch before what proves it', () => {
    let met = 0
    for (const on of kindsOf(ATTACHMENTS))
      for (const kind of ATTACHMENTS[on].racks) {
        const steps = stepsOf(plainJob(on, kind))
        for (const torque of steps.filter(({ task, group }) => task.kind === 'torque' && group === 'rack')) {
          const earlier = before(steps, torque)
          for (const { id, stage, group, kept } of steps)
            if (group === 'rack' && kept === true && stage === 'start') {
              met += 1
              expect(earlier.has(id), `${on}: ${torque.id} before ${id}`).toBe(true)
            }
        }
      }
    expect(met).toBeGreaterThan(0)
  })
})
