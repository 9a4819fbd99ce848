import type { Plan } from '../plan/plan'
import { survey, type Survey } from '../survey/survey'
import type { RemedyStock } from './check'
import type { Finding } from './finding'
import { remediesFor, type Remedy } from './remedies/remedies'
import { review, type Review } from './review'

export interface Judged {
  readonly survey: Survey
  readonly review: Review
  remedies(finding: Finding): Remedy[]
}

/** A plan surveyed and reviewed, with its remedies to be had on request. */
export function judgePlan(plan: Plan, stock: RemedyStock): Judged {
  const surveyed = survey(plan)
  const reviewed = review(surveyed)
  return {
    survey: surveyed,
    review: reviewed,
    remedies: (finding) => remediesFor(surveyed, reviewed, finding, stock),
  }
}
