import { planOf, type StoredJob } from '../plan/stored-job'
import { survey } from '../survey/survey'
import { lazy } from '../units/memo'
import { review, type Assessment } from './review'

/**
 * The one way from a job to its plan, its survey and its review. The review is computed at its first use. Given the
 * assessment of before, the survey computes only the parts whose inputs changed.
 */
export function assess(job: StoredJob, before?: Assessment): Assessment {
  const plan = planOf(job)
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
