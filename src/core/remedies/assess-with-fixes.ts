import type { RemedyStock } from './candidate'
import type { StoredJob } from '../plan/stored-job'
import type { Finding } from '../review/finding'
import { fixesLeftOut } from './fixes-limit'
import { assess } from '../review/assess'
import type { Assessment } from '../review/review'
import { remediesFor, type Remedy } from './remedies'

/** An assessment that also finds fixes, at their first use. */
export interface AssessmentWithFixes extends Assessment {
  /** The fixes of one finding, tried on this plan with the parts in stock, and found once. */
  remedies(finding: Finding, stock: RemedyStock): readonly Remedy[]
}

/** The one way from a job to its survey, its review and its fixes, for workers, shell and route. */
export function assessWithFixes(job: StoredJob): AssessmentWithFixes {
  const assessment = assess(job)
  const { plan } = assessment
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
