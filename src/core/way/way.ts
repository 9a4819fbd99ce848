import { type Due, isOverdue } from '../bay/due'
import type { Session } from '../bay/session'
import { type Finding, isOpen, OUTCOME_RANK } from '../review/finding'
import { foldedTogether } from '../review/folded'
import type { Reviewed } from '../review/review'
import { type Stop, stopOf } from './stop-of'
import type { StopState } from './stop-state'

/** What a job's log says of it; `unread` as long as nobody has fetched it. */
export type Logged =
  | { readonly at: 'unread' }
  | {
      readonly at: 'read'
      readonly session: Session | undefined
      readonly due: readonly Due[]
      readonly today: string
    }

/** A job's open findings as they are counted: a finding's states are one, what was set aside is not open. */
export const openRows = ({ review }: Reviewed): Finding[] =>
  foldedTogether(review.findings.filter((finding) => isOpen(finding) && !finding.aside)).map(
    ({ finding }) => finding,
  )

function ofFindings(findings: readonly Finding[]): StopState | undefined {
  const [gravest] = [...findings].sort((a, b) => OUTCOME_RANK[a.severity] - OUTCOME_RANK[b.severity])
  const severity = gravest?.severity
  if (severity !== 'stop' && severity !== 'findOut' && severity !== 'mind') return undefined
  return { at: severity, count: findings.filter((each) => each.severity === severity).length }
}

function inTheBay(session: Session): StopState {
  const of = session.steps.length
  return session.next === undefined ? { at: 'done' } : { at: 'working', done: session.done, of }
}

const QUIET: StopState = { at: 'quiet' }

/** The nextDue of what is due. */
export const nextDue = (due: readonly Due[]): Due | undefined =>
  [...due].sort((a, b) => a.on.localeCompare(b.on))[0]

/** Every stop of a job with how it stands. */
export function wayOf(judged: Reviewed, logged: Logged): Readonly<Record<Stop, StopState>> {
  const { plan, review } = judged
  const rows = openRows(judged)
  const found = (stop: Stop) => ofFindings(rows.filter((finding) => stopOf(finding) === stop))
  const session = logged.at === 'read' && review.planned ? logged.session : undefined
  const due = logged.at === 'read' ? nextDue(logged.due) : undefined
  const seen: StopState = review.planned ? { at: 'settled' } : QUIET
  return {
    vehicle: found('vehicle') ?? (plan.vehicle.attachments.length === 0 ? { at: 'empty' } : seen),
    rack: found('rack') ?? { at: plan.racks.length === 0 ? 'empty' : 'settled' },
    load: found('load') ?? { at: plan.placements.length === 0 ? 'empty' : 'settled' },
    forces: found('forces') ?? seen,
    fit: session ? inTheBay(session) : QUIET,
    handOver: session && session.next === undefined ? { at: 'done' } : QUIET,
    log:
      due && logged.at === 'read' ? { at: 'due', on: due.on, overdue: isOverdue(due, logged.today) } : QUIET,
  }
}
