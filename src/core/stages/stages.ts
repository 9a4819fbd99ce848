import { type Due, isOverdue } from '../bay/due'
import type { Session } from '../bay/session'
import { type Finding, isOpen, OUTCOME_RANK } from '../review/finding'
import { foldedTogether } from '../review/folded'
import type { Assessment } from '../review/review'
import { type Stage, stageOf } from './stage-of'
import type { StageState } from './stage-state'

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
export const openRows = ({ review }: Assessment): Finding[] =>
  foldedTogether(review.findings.filter((finding) => isOpen(finding) && !finding.aside)).map(
    ({ finding }) => finding,
  )

function ofFindings(findings: readonly Finding[]): StageState | undefined {
  const [gravest] = [...findings].sort((a, b) => OUTCOME_RANK[a.severity] - OUTCOME_RANK[b.severity])
  const severity = gravest?.severity
  if (severity !== 'stop' && severity !== 'findOut' && severity !== 'mind') return undefined
  return { at: severity, count: findings.filter((each) => each.severity === severity).length }
}

function inTheBay(session: Session): StageState {
  const of = session.steps.length
  return session.next === undefined ? { at: 'done' } : { at: 'working', done: session.done, of }
}

const QUIET: StageState = { at: 'quiet' }

/** The entry that is due first. */
export const nextDue = (due: readonly Due[]): Due | undefined =>
  [...due].sort((a, b) => a.on.localeCompare(b.on))[0]

/** Every stage of a job with its state. */
export function stagesOf(assessment: Assessment, logged: Logged): Readonly<Record<Stage, StageState>> {
  const { plan, review } = assessment
  const rows = openRows(assessment)
  const found = (stage: Stage) => ofFindings(rows.filter((finding) => stageOf(finding) === stage))
  const session = logged.at === 'read' && review.planned ? logged.session : undefined
  const due = logged.at === 'read' ? nextDue(logged.due) : undefined
  const seen: StageState = review.planned ? { at: 'settled' } : QUIET
  return {
    vehicle: found('vehicle') ?? (plan.vehicle.attachments.length === 0 ? { at: 'empty' } : seen),
    racks: found('racks') ?? { at: plan.racks.length === 0 ? 'empty' : 'settled' },
    load: found('load') ?? { at: plan.placements.length === 0 ? 'empty' : 'settled' },
    forces: found('forces') ?? seen,
    fit: session ? inTheBay(session) : QUIET,
    handover: session && session.next === undefined ? { at: 'done' } : QUIET,
    log:
      due && logged.at === 'read' ? { at: 'due', on: due.on, overdue: isOverdue(due, logged.today) } : QUIET,
  }
}
