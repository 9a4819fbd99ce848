import { FIXES } from './fixes'
import { MOVE_FIRST, type Candidate, type RemedyStock } from './candidate'
import { apply } from '../plan/commands/apply'
import { survey as surveyOf, type Survey } from '../survey/survey'
import type { Check } from '../review/check'
import { CHECKS } from '../review/checks'
import { IN_STATE, isOpen, type Finding } from '../review/finding'
import { phraseText } from '../units/phrase'
import { listed } from '../units/words'
import { review, type Review } from '../review/review'
import { underDoubt } from '../review/under-doubt'
import { beforeFix, clearedBy, leftBehind, staysOver, type Before } from './left-behind'
import { movesOut } from './moves-out'

/** An edit that was tried on the plan: it clears its finding and leaves behind nothing that its words do not name. */
export interface Remedy extends Omit<Candidate, 'further' | 'standsFor'> {
  /** The rule of the one thing that is to be minded after it, where there is one. */
  readonly minds?: string
}

/** How many verified remedies a finding offers. */
const OFFERED = 5
/** Of one kind (off, another part) no more than this, so that the choice stays a choice; of loads to be lessened, of which each may be the one, one more. */
const OF_ONE_KIND = 2
const OF_LESS = 3
/** How many candidates are tried for one finding, smallest first, before giving up. */
const TRIED = 14
/** By how much more a move is tried where it clears its finding, but depends on a length that may be off. mm, the last the most. */
const FURTHER_MM = [5, 20, 45, 100] as const
/** Within its kind what leaves another state over comes last. */
const STILL_OVER = 500_000

const CHECK = new Map(CHECKS.map((check) => [check.id, check]))

interface Tried {
  readonly candidate: Candidate
  readonly survey: Survey
}

function tried(survey: Survey, candidate: Candidate): Tried | undefined {
  const applied = apply(survey.plan, candidate.command)
  return applied.ok ? { candidate, survey: surveyOf(applied.plan, survey) } : undefined
}

/** Whether a finding's own check says of a survey what is open still, as its facts stand: asked before all others, which then need not be. */
const staysPlainly = (check: Check, survey: Survey, finding: Finding): boolean =>
  check.run(survey).some((each) => each.id === finding.id && !clearedBy(each, finding))

/** Whether it does, or depends on a fact that may be off. */
const staysInDoubt = (check: Check, survey: Survey, finding: Finding): boolean =>
  underDoubt(survey)
    .judge(check, check.run(survey))
    .some((each) => each.id === finding.id && !clearedBy(each, finding))

/** A candidate that clears its finding by its own check; a move that depends on a length goes as much further as that needs. */
function clearing(survey: Survey, finding: Finding, candidate: Candidate): Tried | undefined {
  const check = CHECK.get(finding.rule)
  const first = tried(survey, candidate)
  if (!first || !check) return first
  if (staysPlainly(check, first.survey, finding)) return undefined
  const { further } = candidate
  if (!further || !check.turnedBy.lengths || !staysInDoubt(check, first.survey, finding)) return first
  const at = (byMm: number) => {
    const there = tried(survey, further(byMm))
    return there && !staysInDoubt(check, there.survey, finding) ? there : undefined
  }
  let from = 0
  for (const mm of FURTHER_MM) {
    let found = at(mm)
    if (!found) {
      from = mm
      continue
    }
    for (let to: number = mm; to - from > 1;) {
      const middle = Math.floor((from + to) / 2)
      const nearer = at(middle)
      if (nearer) [found, to] = [nearer, middle]
      else from = middle
    }
    return found
  }
  return first
}

/** A candidate as it is offered: with what its words must name. */
function asOffered(before: Before, { candidate, survey }: Tried, finding: Finding): Remedy | undefined {
  const reviewed = review(survey)
  const left = leftBehind(before, { survey, review: reviewed }, finding)
  if (!left) return undefined
  const [mind] = left
  const over = staysOver(reviewed, finding)
  // What a worker sends is plain data: how it was looked for stays here.
  const { further: _further, standsFor: _standsFor, ...offered } = candidate
  return {
    ...offered,
    ...(mind ? { minds: mind.rule } : {}),
    rank: candidate.rank + (over.length > 0 ? STILL_OVER : 0),
    message: [
      ...candidate.message,
      ...(over.length > 0 ? [`; it stays over ${listed(over.map((state) => IN_STATE[state]))}`] : []),
      ...(mind ? [`; then mind: ${CHECK.get(mind.rule)?.title.toLowerCase() ?? mind.rule}`] : []),
    ],
  }
}

const mostOfKind = ({ kind, rank }: Candidate) =>
  kind === 'less' && rank < MOVE_FIRST ? OF_LESS : OF_ONE_KIND

/**
 * The verified remedies of one finding, smallest change first, those that leave something to mind last. Each candidate
 * is applied, surveyed and reviewed again before it is offered.
 */
export function remediesFor(survey: Survey, found: Review, finding: Finding, stock: RemedyStock): Remedy[] {
  const fixes = FIXES[finding.rule]
  if (!fixes || !isOpen(finding)) return []
  const candidates = fixes(survey, finding, stock).toSorted((a, b) => a.rank - b.rank)
  const before = beforeFix(survey, found)
  const clean: Remedy[] = []
  const minding: Remedy[] = []
  const seen = new Set<string>()
  const replacedBy = new Set<string>()
  let count = 0
  for (const candidate of candidates) {
    if (clean.length === OFFERED || count === TRIED) break
    if (candidate.standsFor !== undefined && replacedBy.has(candidate.standsFor)) continue
    const key = JSON.stringify(candidate.command)
    if (seen.has(key) || seen.has(phraseText(candidate.message))) continue
    seen.add(key).add(phraseText(candidate.message))
    if (clean.filter((each) => each.kind === candidate.kind).length === mostOfKind(candidate)) continue
    count += 1
    const cleared = clearing(survey, finding, candidate)
    if (!cleared || (candidate.kind === 'move' && movesOut(survey, cleared.survey))) continue
    const remedy = asOffered(before, cleared, finding)
    if (!remedy) continue
    if (candidate.standsFor !== undefined) replacedBy.add(candidate.standsFor)
    if (remedy.minds === undefined) clean.push(remedy)
    else if (minding.filter((each) => each.kind === remedy.kind).length < OF_ONE_KIND) minding.push(remedy)
  }
  const bySize = (list: readonly Remedy[]) => list.toSorted((a, b) => a.rank - b.rank)
  return [...bySize(clean), ...bySize(minding)].slice(0, OFFERED)
}
