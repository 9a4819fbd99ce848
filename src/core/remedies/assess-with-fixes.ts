import type { RemedyStock } from './candidate'
import type { Plan } from '../plan/schema/plan'
import type { Finding } from '../review/finding'
import { fixesLeftOut } from './fixes-limit'
import { assess } from '../review/assess'
import type { Assessment } from '../review/review'
import { remediesFor, type Remedy } from './remedies'

/** A plan with all that follows from it and all that we think of it; its fixes are looked for when they are asked for. */
export interface AssessmentWithFixes extends Assessment {
  /** The fixes of one finding, tried on this very plan with the parts in stock; looked for once. */
  remedies(finding: Finding, stock: RemedyStock): readonly Remedy[]
}

/** The one way from a plan to its survey, its review and its fixes: workers, shell and route ask here. */
export function assessWithFixes(plan: Plan): AssessmentWithFixes {
  const assessment = assess(plan)
  const leftOut = fixesLeftOut(plan) !== undefined
  const found = new Map<Finding, { readonly stock: RemedyStock; readonly remedies: readonly Remedy[] }>()
  return {
    plan,
    survey: assessment.survey,
    get review() {
      return assessment.review
    },
    remedies(finding, stock) {
      if (leftOut) return []
      const before = found.get(finding)
      if (before?.stock === stock) return before.remedies
      const remedies = remediesFor(assessment.survey, assessment.review, finding, stock)
      found.set(finding, { stock, remedies })
      return remedies
    },
  }
}
