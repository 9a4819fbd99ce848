import { type BayProgress, jobSteps, type Order, type Step, weightsAsked } from '@/core/api/fit'
import { bayRulesOf, type Plan } from '@/core/api/plan'
import { assessmentOf } from '@/ui/state/assessment'

const orders = new WeakMap<Plan, Map<string, Order<Step>>>()

/** The steps of a plan, worked out once for what has been weighed so far. */
export function stepsOf(plan: Plan, progress: BayProgress): Order<Step> {
  const cached = orders.get(plan) ?? new Map<string, Order<Step>>()
  orders.set(plan, cached)
  const weighed = new Set(progress.weighed.keys())
  const key = [...weighed].sort().join()
  const { survey, review } = assessmentOf(plan)
  const order = cached.get(key) ?? jobSteps(survey, bayRulesOf(plan.rules), weighed, weightsAsked(review))
  cached.set(key, order)
  return order
}
