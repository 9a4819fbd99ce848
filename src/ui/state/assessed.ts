import { judgePlan, type Plan, type Reviewed } from '@/core'

const assessed = new WeakMap<Plan, Reviewed>()
/** The last of a job: what its next edit leaves alone is not drawn again. */
let last: Reviewed | undefined

/** Survey and review of a plan, once per plan. */
export function assessedOf(plan: Plan): Reviewed {
  const known = assessed.get(plan)
  if (known) return known
  const fresh = judgePlan(plan, last?.plan.id === plan.id ? last : undefined)
  assessed.set(plan, fresh)
  last = fresh
  return fresh
}
