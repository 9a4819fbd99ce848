import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { NOTHING_DONE, type BayProgress } from '../log/record'
import { replay } from '../log/replay'
import type { LogEvent } from '../log/event'
import { USUAL_BAY } from '../plan/schema/house'
import type { Plan } from '../plan/schema/plan'
import { assess } from '../review/assess'
import { holdsOf } from './holds'
import { currentIndex, minutesLeft } from './session'
import { jobSteps } from './steps/job-steps'
import { restsOf } from './waits'

const CORD = 'The cord is wet: it dries 8 h'
/** The demo's bars, whose sheet has a cord dry for eight hours on the bench before they go on. */
const plan: Plan = {
  ...boatAndBox,
  racks: boatAndBox.racks.map((rack, i) =>
    i > 0
      ? rack
      : {
          ...rack,
          parts: rack.parts.map((part, j) =>
            j > 0
              ? part
              : {
                  ...part,
                  work: {
                    ...part.work,
                    steps: [{ id: 'cord', stage: 'bench', title: CORD, waitMinutes: 480 }],
                  },
                },
          ),
        },
  ),
}
const { survey, review } = assess(plan)
const order = jobSteps(survey, USUAL_BAY)
const steps = order.ok ? order.steps : []
const cord = steps.find(({ title }) => title === CORD)
const next = steps.find(({ after }) => cord && after.includes(cord.id))
if (!cord || !next) throw new Error('The cord is a step, and another comes after it.')

const AT = '2027-03-12T09:00:00.000Z'
const hoursLater = (hours: number) => Date.parse(AT) + hours * 3_600_000
const log = (...events: readonly LogEvent[]): BayProgress => replay(events).jobs.get('j') ?? NOTHING_DONE
const common = { vehicleId: 'v', jobId: 'j', by: 'Wren' }
const wrapped: LogEvent = {
  ...common,
  kind: 'stepDone',
  id: 'a',
  turn: 1,
  at: AT,
  stepId: cord.id,
  title: CORD,
}
const early: LogEvent = {
  ...common,
  kind: 'deviated',
  id: 'b',
  turn: 2,
  at: AT,
  stepId: next.id,
  title: next.title,
  reason: 'Dried with warm air, felt dry',
  about: [`wait ${cord.id} since ${AT}`],
}
const holdsAt = (progress: BayProgress, nowMs: number) =>
  holdsOf(next, survey, [], progress, { steps, review, again: new Map(), nowMs }).filter(({ id }) =>
    id.startsWith('wait '),
  )

describe('what has to rest (B3)', () => {
  it('holds what comes after it until its time is over, and says how long that is', () => {
    expect(holdsAt(log(wrapped), hoursLater(0.8))).toMatchObject([
      { message: 'Wait 7 h 12 min more, or say what differs.', coverable: true },
    ])
    expect(holdsAt(log(wrapped), hoursLater(8))).toEqual([])
    expect(holdsAt(NOTHING_DONE, hoursLater(1))).toEqual([])
  })

  it('is ended early only by somebody’s word about it', () => {
    expect(holdsAt(log(wrapped, early), hoursLater(1))).toEqual([])
    const other = { ...early, about: ['something else'] }
    expect(holdsAt(log(wrapped, other), hoursLater(1))).toHaveLength(1)
  })

  it('that was begun anew is not ended by a word about the one before', () => {
    const anew: LogEvent = { ...wrapped, id: 'c', turn: 3, at: '2027-03-12T12:00:00.000Z' }
    expect(holdsAt(log(wrapped, early, anew), hoursLater(4))).toHaveLength(1)
  })

  it('lets other steps go on meanwhile', () => {
    const at = (nowMs: number) => steps[currentIndex(steps, log(wrapped), nowMs)]
    expect(at(hoursLater(1))?.after).not.toContain(cord.id)
    expect(restsOf(next, steps, log(wrapped), hoursLater(1))).toHaveLength(1)
  })

  it('is never longer than it is, whatever the clock does', () => {
    expect(restsOf(next, steps, log(wrapped), hoursLater(-100))[0]?.leftMinutes).toBe(480)
  })
})

it('is part of what is left of the job, as long as it still rests', () => {
  const done = { ...log(wrapped), done: new Set(steps.map(({ id }) => id).filter((id) => id !== next.id)) }
  const own = (next.minutes.from + next.minutes.to) / 2
  expect(minutesLeft(steps, done, hoursLater(2)).one).toBeCloseTo(360 + own, 6)
  expect(minutesLeft(steps, done, hoursLater(9)).one).toBeCloseTo(own, 6)
})
