import type { RemedyStock } from '../remedies/candidate'
import type { Plan } from '../plan/plan'
import { assess } from '../remedies/assess'
import type { Finding } from './finding'

/** A plan assessed with one stock for all its fixes. */
export function judgePlan(plan: Plan, stock: RemedyStock) {
  const assessment = assess(plan)
  const { survey, review } = assessment
  return { survey, review, remedies: (finding: Finding) => assessment.remedies(finding, stock) }
}
