import { jobSteps } from '@/core/bay/steps/job-steps'
import type { BayProgress } from '@/core/log/replay'
import type { Order } from '@/core/bay/steps/order'
import type { Step } from '@/core/bay/steps/step'
import type { Plan } from '@/core/plan/plan'
import { bayRulesOf } from '@/core/plan/house'
import { judgedOf } from '@/ui/state/judged'

const orders = new WeakMap<Plan, Map<string, Order<Step>>>()

/** The steps of a plan, worked out once for what has been weighed so far. */
export function stepsOf(plan: Plan, progress: BayProgress): Order<Step> {
  const known = orders.get(plan) ?? new Map<string, Order<Step>>()
  orders.set(plan, known)
  const weighed = new Set(progress.weighed.keys())
  const key = [...weighed].sort().join()
  const order = known.get(key) ?? jobSteps(judgedOf(plan).survey, bayRulesOf(plan.rules), weighed)
  known.set(key, order)
  return order
}
