import { apply } from '../../plan/apply'
import { survey as surveyOf, type Survey } from '../../survey/survey'
import type { Candidate, RemedyStock } from '../check'
import { CHECKS } from '../checks'
import type { Finding } from '../finding'
import { review, type Review } from '../review'

/** An edit that was tried on the plan and clears its finding without a new Stop anywhere. */
export type Remedy = Candidate

/** How many verified remedies a finding offers. */
const OFFERED = 4
/** Of one kind (less of it, off, another part) no more than this, so that the choice stays a choice. */
const OF_ONE_KIND = 2
/** How many candidates are tried for one finding, smallest first, before giving up. */
const TRIED = 12

/**
 * The verified remedies of one finding, smallest change first. Each candidate is applied, surveyed and reviewed
 * again; it is offered only if this finding is gone and no Stop stands that did not stand before.
 */
export function remediesFor(survey: Survey, found: Review, finding: Finding, stock: RemedyStock): Remedy[] {
  const check = CHECKS.find((each) => each.id === finding.rule)
  if (!check?.remedies || finding.severity === 'clear') return []
  const candidates = check.remedies(survey, finding, stock).toSorted((a, b) => a.rank - b.rank)
  const before = new Set(found.findings.filter((each) => each.severity === 'stop').map((each) => each.id))
  const offered: Remedy[] = []
  for (const candidate of candidates.slice(0, TRIED)) {
    if (offered.length === OFFERED) break
    if (offered.filter((each) => each.kind === candidate.kind).length === OF_ONE_KIND) continue
    if (clears(survey, finding, candidate, before)) offered.push(candidate)
  }
  return offered
}

function clears(
  survey: Survey,
  finding: Finding,
  candidate: Candidate,
  before: ReadonlySet<string>,
): boolean {
  const applied = apply(survey.plan, candidate.command)
  if (!applied.ok) return false
  const after = review(surveyOf(applied.plan))
  return after.findings.every((each) => {
    const open =
      each.severity === 'stop' ||
      each.severity === 'findOut' ||
      (each.severity === 'mind' && finding.severity === 'mind' && each.id === finding.id)
    const sameQuestion =
      each.id === finding.id || (each.state === finding.state && aboutSameLayer(each, finding))
    if (open && sameQuestion) return false
    return each.severity !== 'stop' || before.has(each.id)
  })
}

function aboutSameLayer(a: Finding, b: Finding): boolean {
  return a.subject.layerId !== undefined && a.subject.layerId === b.subject.layerId
}
