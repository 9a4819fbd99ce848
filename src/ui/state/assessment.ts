import { assess, type Plan, type Assessment } from '@/core'

const assessed = new WeakMap<Plan, Assessment>()
/** The last of a job: what its next edit leaves alone is not drawn again. */
let last: Assessment | undefined

/** Survey and review of a plan, once per plan. */
export function assessmentOf(plan: Plan): Assessment {
  const cached = assessed.get(plan)
  if (cached) return cached
  const fresh = assess(plan, last?.plan.id === plan.id ? last : undefined)
  assessed.set(plan, fresh)
  last = fresh
  return fresh
}
