import { NOTHING_DONE } from '../log/record'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { logEventSchema } from '../log/event'
import { replay } from '../log/replay'
import { sessionOf } from './session'
import { jobSteps } from './steps/job-steps'
import { workedEvents } from './worked'
import { written } from './worked.testing'
import { USUAL_BAY } from '../plan/schema/house'
import { review } from '../review/review'
import { survey } from '../survey/survey'

describe('a job done just as its sheets have it', () => {
  it.each(DEMO_PLANS.map((plan) => [plan.job.name, plan] as const))(
    '%s is all done, and nothing of it old',
    (_, plan) => {
      const surveyed = survey(plan)
      const events = written(workedEvents(surveyed, USUAL_BAY))
      for (const event of events) expect(logEventSchema.safeParse(event).error).toBeUndefined()
      const logged = replay(events).jobs.get('j') ?? NOTHING_DONE
      const order = jobSteps(surveyed, USUAL_BAY, new Set(logged.weighed.keys()))
      if (!order.ok) throw new Error(order.reason)
      const { steps, done, next } = sessionOf(order.steps, surveyed, review(surveyed), logged)
      expect(
        steps
          .filter(({ state }) => state !== 'done')
          .map(({ step: { id }, state, changed }) => `${id} ${state} ${changed}`),
      ).toEqual([])
      expect(done).toBe(steps.length)
      expect(next).toBeUndefined()
    },
  )
})
