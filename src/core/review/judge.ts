import type { Plan } from '../plan/plan'
import { survey } from '../survey/survey'
import { once } from '../units/once'
import { review, type Reviewed } from './review'

/**
 * The one way from a plan to its survey and its review, which is made when it is first asked for. Given what was
 * judged before, the survey computes only what hangs on what changed.
 */
export function judgePlan(plan: Plan, before?: Reviewed): Reviewed {
  const surveyed = survey(plan, before?.survey)
  const reviewed = once(() => review(surveyed))
  return {
    plan,
    survey: surveyed,
    get review() {
      return reviewed()
    },
  }
}
