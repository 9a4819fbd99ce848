import { linkComparisons } from '../facts/links'
import { fails } from '../facts/comparison'
import { identityOf, isOpen, OUTCOME_RANK, type Finding, type Verdict } from '../review/finding'
import { review, type Review } from '../review/review'
import type { Cell } from '../survey/load-path/limit'
import type { Survey } from '../survey/survey'
import { lazy } from '../units/memo'
import { STATES, type State } from '../units/scalars'

const VERDICT_RANK: Readonly<Record<Verdict, number>> = { ...OUTCOME_RANK, unplanned: OUTCOME_RANK.clear }

/** A plan before a fix, and what it asks besides its Stops. */
export interface Before {
  readonly review: Review
  /** The ids of what is asked where the figures that its links exceed are left out: such questions are not new. */
  readonly asked: () => ReadonlySet<string>
}

/** A plan's review, with what its links would ask if what they exceed were no figure. */
export function beforeFix(survey: Survey, found: Review): Before {
  return {
    review: found,
    asked: lazy(() => {
      const { loadPath, plan } = survey
      const relieved = new Map(
        loadPath.cells.map((cell) => {
          const over = new Set(
            linkComparisons(cell, plan)
              .filter(fails)
              .map(({ rating }) => rating),
          )
          return [
            cell,
            over.size === 0
              ? cell
              : { ...cell, inForce: cell.inForce.filter(({ rating }) => !over.has(rating)) },
          ] as const
        }),
      )
      const of = (cell: Cell | undefined) => (cell ? (relieved.get(cell) ?? cell) : undefined)
      const path = {
        ...loadPath,
        cells: [...relieved.values()],
        cellAt: (layerId: string, state: State) => of(loadPath.cellAt(layerId, state)),
      }
      const without: Survey = { ...survey, loadPath: path }
      // What depends on which of two figures holds is asked of whole plans, in which they would be over all the same.
      return new Set(
        review(without).findings.flatMap(({ id, rule, severity }) =>
          severity === 'findOut' && rule !== 'figures-disagree' ? [id] : [],
        ),
      )
    }),
  }
}

/** Whether a link was over in a state before: what is asked of it then is what its Stop left unasked. */
const wasOver = ({ review: { findings } }: Before, { subject, state }: Finding) =>
  subject.layerId !== undefined &&
  findings.some(
    (each) => each.severity === 'stop' && each.state === state && each.subject.layerId === subject.layerId,
  )

/**
 * Whether a question was there before, though a Stop of the same link hid it. Of a link that a fix clears by the way any
 * question is milder than its Stop was; of the finding's own link in its own state only what its figure counts, and what
 * something on it weighs that nobody knows.
 */
function wasHidden(each: Finding, finding: Finding, before: Before, after: Survey): boolean {
  if (each.severity !== 'findOut') return false
  const { layerId } = each.subject
  const sameLink = layerId !== undefined && layerId === finding.subject.layerId
  if (each.rule === 'counts-unsaid' && sameLink) return true
  if (!wasOver(before, each)) return before.asked().has(each.id)
  if (!sameLink || each.state !== finding.state) return true
  return (
    before.asked().has(each.id) ||
    (each.rule === 'guessed-mass' &&
      after.masses.some(({ id, basis }) => basis === 'unknown' && each.concerns?.massId === id))
  )
}

/** What motion does to a foot that lifts at rest is not said as long as it does: it was no better before. */
const wasLifted = (each: Finding, finding: Finding) =>
  finding.rule === 'uplift' && each.rule === 'uplift-in-motion'

/** A Stop that is only to be minded afterwards is cleared; the fix's words say so. */
export const clearedBy = (after: Finding, finding: Finding) =>
  !isOpen(after) || (after.severity === 'mind' && finding.severity !== 'mind')

/**
 * What a fix leaves to mind that was not there before; nothing where it must not be offered: where its finding stays,
 * a state's verdict or another finding gets worse, or something new comes up that is more than one thing to mind.
 */
export function leftBehind(
  before: Before,
  { survey: after, review: reviewed }: { readonly survey: Survey; readonly review: Review },
  finding: Finding,
): readonly Finding[] | undefined {
  if (
    STATES.some((state) => VERDICT_RANK[reviewed.states[state]] < VERDICT_RANK[before.review.states[state]])
  )
    return undefined
  const was = new Map(before.review.findings.map((each) => [each.id, each]))
  const left: Finding[] = []
  for (const each of reviewed.findings) {
    if (!isOpen(each)) continue
    if (each.id === finding.id) {
      if (!clearedBy(each, finding)) return undefined
      left.push(each)
      continue
    }
    const old = was.get(each.id)
    const wasOpen = old && isOpen(old)
    if (wasOpen && OUTCOME_RANK[each.severity] >= OUTCOME_RANK[old.severity]) continue
    // What was a Stop of a layer in a state and is now only to be minded there is that same thing, and milder.
    if (each.severity === 'mind' && (wasOver(before, each) || wasLifted(each, finding))) continue
    if (wasHidden(each, finding, before, after)) continue
    if (wasOpen || each.severity !== 'mind' || finding.severity === 'mind') return undefined
    left.push(each)
  }
  return left.length > 1 ? undefined : left
}

/** In which other states the same thing is still a Stop after a fix. */
export function staysOver(reviewed: Review, finding: Finding): readonly State[] {
  const of = identityOf(finding)
  return reviewed.findings.flatMap((each) =>
    each.severity === 'stop' && each.state !== 'all' && each.id !== finding.id && identityOf(each) === of
      ? [each.state]
      : [],
  )
}
