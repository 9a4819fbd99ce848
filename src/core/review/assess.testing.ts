import type { RemedyStock } from '../remedies/candidate'
import type { Plan } from '../plan/schema/plan'
import { assessWithFixes } from '../remedies/assess-with-fixes'
import type { Finding } from './finding'

/** A plan assessed with one stock for all its fixes. */
export function assess(plan: Plan, stock: RemedyStock) {
  const assessment = assessWithFixes(plan)
  const { survey, review } = assessment
  return { survey, review, remedies: (finding: Finding) => assessment.remedies(finding, stock) }
}
