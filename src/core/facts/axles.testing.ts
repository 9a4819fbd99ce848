import type { Plan } from '../plan/schema/plan'
import { survey } from '../survey/survey'
import { axleVerdicts, type Axle } from './axles'

/** What each axle bears in a driving state, kg; nothing where nobody knows. */
export const onAxles = (plan: Plan, state: 'road' | 'trail'): Partial<Record<Axle, number>> =>
  Object.fromEntries(
    axleVerdicts(survey(plan))
      .filter((each) => each.state === state)
      .map(({ axle, comparison }) => [axle, comparison.measure]),
  )
