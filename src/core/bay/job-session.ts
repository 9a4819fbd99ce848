import { NOTHING_DONE } from '../log/record'
import { bayRulesOf } from '../plan/schema/house'
import type { Assessment } from '../review/review'
import type { LogEvent } from '../log/event'
import { replay } from '../log/replay'
import { carsByJob, ownEvents } from '../log/whose'
import { sessionOf, type Session } from './session'
import { jobSteps } from './steps/job-steps'
import { weightsAsked } from './steps/weigh-steps'

/** A job's session from its judged plan and a log that may hold other cars' entries too; or why its steps have no order. */
export function jobSession(
  { survey, review }: Pick<Assessment, 'survey' | 'review'>,
  events: readonly LogEvent[],
): { readonly ok: true; readonly session: Session } | { readonly ok: false; readonly reason: string } {
  const { plan } = survey
  const own = ownEvents(events, plan, carsByJob([plan]))
  const logged = replay(own).jobs.get(plan.id) ?? NOTHING_DONE
  const order = jobSteps(survey, bayRulesOf(plan.rules), new Set(logged.weighed.keys()), weightsAsked(review))
  return order.ok
    ? { ok: true, session: sessionOf(order.steps, survey, review, logged) }
    : { ok: false, reason: order.reason }
}
