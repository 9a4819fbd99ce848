import { FIXES } from './fixes'
import type { Candidate, RemedyStock } from './candidate'
import { apply } from '../plan/apply'
import { STATES } from '../units/scalars'
import { survey as surveyOf, type Survey } from '../survey/survey'
import { CHECKS } from '../review/checks'
import { isOpen, OUTCOME_RANK, type Finding, type Verdict } from '../review/finding'
import { phraseText } from '../units/phrase'
import { review, type Review } from '../review/review'

/** An edit that was tried on the plan: it clears its finding and leaves behind nothing that its words do not name. */
export interface Remedy extends Candidate {
  /** The rule of the one thing that is to be minded after it, where there is one. */
  readonly minds?: string
}

/** How many verified remedies a finding offers. */
const OFFERED = 4
/** Of one kind (less of it, off, another part) no more than this, so that the choice stays a choice. */
const OF_ONE_KIND = 2
/** How many candidates are tried for one finding, smallest first, before giving up. */
const TRIED = 12

const CHECK = new Map(CHECKS.map((check) => [check.id, check]))
const VERDICT_RANK: Readonly<Record<Verdict, number>> = { ...OUTCOME_RANK, unplanned: OUTCOME_RANK.clear }

/** Whether what a figure counts is asked of the very layer that a fix brings within it: that question stands beside it. */
const besides = (other: Finding, finding: Finding) =>
  other.rule === 'counts-unsaid' &&
  other.subject.layerId !== undefined &&
  other.subject.layerId === finding.subject.layerId

/** What was a Stop of a layer in a state and is now only to be minded there is that same thing, and milder. */
const milder = (other: Finding, before: Review) =>
  other.severity === 'mind' &&
  other.subject.layerId !== undefined &&
  before.findings.some(
    ({ severity, state, subject }) =>
      severity === 'stop' && state === other.state && subject.layerId === other.subject.layerId,
  )

/** Whether a finding's own check still says it: asked before all others, which then need not be. */
const stays = (after: Survey, finding: Finding): boolean =>
  CHECK.get(finding.rule)
    ?.run(after)
    .some((each) => each.id === finding.id && !clearedBy(each, finding)) ?? false

/** A Stop that is only to be minded afterwards is cleared; the fix's words say so. */
const clearedBy = (after: Finding, finding: Finding) =>
  !isOpen(after) || (after.severity === 'mind' && finding.severity !== 'mind')

/**
 * What a fix leaves to mind that was not there before; nothing where it must not be offered: where its finding stays,
 * a state's verdict or another finding gets worse, or something new comes up that is more than one thing to mind.
 */
function leftBehind(before: Review, after: Review, finding: Finding): readonly Finding[] | undefined {
  if (STATES.some((state) => VERDICT_RANK[after.states[state]] < VERDICT_RANK[before.states[state]]))
    return undefined
  const was = new Map(before.findings.map((each) => [each.id, each]))
  const left: Finding[] = []
  for (const each of after.findings) {
    if (!isOpen(each)) continue
    if (each.id === finding.id) {
      if (!clearedBy(each, finding)) return undefined
      left.push(each)
      continue
    }
    const old = was.get(each.id)
    const known = old && isOpen(old)
    if (known && OUTCOME_RANK[each.severity] >= OUTCOME_RANK[old.severity]) continue
    if (besides(each, finding) || milder(each, before)) continue
    if (known || each.severity !== 'mind' || finding.severity === 'mind') return undefined
    left.push(each)
  }
  return left.length > 1 ? undefined : left
}

/**
 * The verified remedies of one finding, smallest change first, those that leave something to mind last. Each candidate
 * is applied, surveyed and reviewed again before it is offered.
 */
export function remediesFor(survey: Survey, found: Review, finding: Finding, stock: RemedyStock): Remedy[] {
  const fixes = FIXES[finding.rule]
  if (!fixes || !isOpen(finding)) return []
  const candidates = fixes(survey, finding, stock).toSorted((a, b) => a.rank - b.rank)
  const clean: Remedy[] = []
  const minding: Remedy[] = []
  const seen = new Set<string>()
  let tried = 0
  for (const candidate of candidates) {
    if (clean.length === OFFERED || tried === TRIED) break
    const key = JSON.stringify(candidate.command)
    if (seen.has(key) || seen.has(phraseText(candidate.message))) continue
    seen.add(key).add(phraseText(candidate.message))
    if (clean.filter((each) => each.kind === candidate.kind).length === OF_ONE_KIND) continue
    tried += 1
    const applied = apply(survey.plan, candidate.command)
    if (!applied.ok) continue
    const after = surveyOf(applied.plan, survey)
    if (stays(after, finding)) continue
    const left = leftBehind(found, review(after), finding)
    if (!left) continue
    const [mind] = left
    if (!mind) clean.push(candidate)
    else if (minding.filter((each) => each.kind === candidate.kind).length < OF_ONE_KIND)
      minding.push({
        ...candidate,
        minds: mind.rule,
        message: [
          ...candidate.message,
          `; then mind: ${CHECK.get(mind.rule)?.title.toLowerCase() ?? mind.rule}`,
        ],
      })
  }
  return [...clean, ...minding].slice(0, OFFERED)
}
