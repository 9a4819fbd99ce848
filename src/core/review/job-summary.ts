import { leftIn, type Left } from '../survey/load-path/left'
import { STATES, type State } from '../units/scalars'
import { identityOf, type Verdict } from './finding'
import { notLookedAt, type Review, type Assessment } from './review'

/** How many different things of the verdict's kind there are, so that they can be counted on the page. */
export function openCount(review: Review, state: State): number {
  const verdict = review.states[state]
  return new Set(
    review.findings
      .filter(
        (finding) => finding.severity === verdict && (finding.state === state || finding.state === 'all'),
      )
      .map(identityOf),
  ).size
}

/** A state of a plan at a glance: its verdict, how many things are open, and what may still be added. */
export interface StateSummary {
  readonly verdict: Verdict
  readonly open: number
  readonly left: Left | undefined
}

export const stateSummary = ({ survey, review }: Assessment, state: State): StateSummary => ({
  verdict: review.states[state],
  open: openCount(review, state),
  left: leftIn(survey, state),
})

/** A job at a glance: what a board says of it, without its plan. */
export interface JobSummary {
  readonly id: string
  readonly name: string
  readonly customer: string | undefined
  readonly number: string | undefined
  readonly due: string | undefined
  readonly vehicle: string
  readonly plate: string | undefined
  readonly carId: string
  readonly states: Readonly<Record<State, StateSummary>>
  /** The graver of its states. */
  readonly verdict: Verdict
  /** What was not looked at, by name; empty where nothing is planned. */
  readonly notLooked: readonly string[]
}

export function jobSummaryOf(assessment: Assessment): JobSummary {
  const { plan, review } = assessment
  const { job, vehicle, car } = plan
  const states = Object.fromEntries(STATES.map((state) => [state, stateSummary(assessment, state)]))
  return {
    id: plan.id,
    name: job.name,
    customer: job.customer,
    number: job.number,
    due: job.due,
    vehicle: vehicle.name,
    plate: car.plate ?? car.number,
    carId: car.id,
    states: states as JobSummary['states'],
    verdict: review.verdict,
    notLooked: review.planned ? notLookedAt(review) : [],
  }
}
