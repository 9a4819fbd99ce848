import type { Plan } from '../plan/schema/plan'
import { survey } from '../survey/survey'
import { lazy } from '../units/memo'
import { review, type Assessment } from './review'

/**
 * The one way from a plan to its survey and its review, which is made when it is first asked for. Given what was
 * judged before, the survey computes only what depends on what changed.
 */
export function assess(plan: Plan, before?: Assessment): Assessment {
  const surveyed = survey(plan, before?.survey)
  const reviewed = lazy(() => review(surveyed))
  return {
    plan,
    survey: surveyed,
    get review() {
      return reviewed()
    },
  }
}
