import { assess, type Assessment } from '@/core/api/assess'
import type { StoredJob } from '@/core/api/plan'

const assessed = new WeakMap<StoredJob, Assessment>()
/** The last assessment of the open job. Parts that the next edit leaves alone are reused. */
let last: Assessment | undefined

/** The assessment of a job, computed once for each of its versions. */
export function assessmentOf(job: StoredJob): Assessment {
  const cached = assessed.get(job)
  if (cached) return cached
  const fresh = assess(job, last?.plan.id === job.id ? last : undefined)
  assessed.set(job, fresh)
  last = fresh
  return fresh
}
