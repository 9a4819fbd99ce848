import type { StepMinutes } from '../plan/schema/fitting'
import type { Job } from '../plan/schema/placement'

/** A job in which a step takes so long. Minutes. */
export const withStepMinutes = (job: Job, typed: StepMinutes): Job => ({
  ...job,
  minutes: [...(job.minutes ?? []).filter(({ step }) => step !== typed.step), typed],
})

/** A job in which a step takes as long as is usual again. */
export function withUsualMinutes(job: Job, stepId: string): Job {
  const { minutes = [], ...rest } = job
  const left = minutes.filter(({ step }) => step !== stepId)
  return left.length > 0 ? { ...rest, minutes: left } : rest
}
