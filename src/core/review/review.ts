import { manyWords, SINGLE_UP_TO } from './many'
import { STATES, type State } from '../units/scalars'
import type { HouseRules } from '../plan/schema/house'
import type { Plan } from '../plan/schema/plan'
import type { Survey } from '../survey/survey'
import { cautionsFor } from './cautions'
import { CHECKS } from './checks'
import { factsTogether } from './checks/facts-together'
import type { Check } from './check'
import { OUTCOME_RANK, OUTCOMES, worse, type Finding, type Severity, type Verdict } from './finding'
import { phraseText } from '../units/phrase'
import { onConflictingFigures } from './conflicting-figures'
import { underDoubt } from './under-doubt'
import { onUnknownWeights } from './unknown-weights'

/** What we think of a survey: findings worst first, and a verdict for each state and for the plan. */
export interface Review {
  /** Whether there is a rack or gear at all; without, there is no verdict. */
  readonly planned: boolean
  readonly findings: readonly Finding[]
  readonly verdict: Verdict
  readonly states: Readonly<Record<State, Verdict>>
  /** What could have been looked at and was not, and stops nothing by that. */
  readonly notLooked: readonly Finding[]
  readonly cautions: readonly string[]
}

/** A plan with what follows from it and what we think of that. */
export interface Assessment {
  readonly plan: Plan
  readonly survey: Survey
  readonly review: Review
}

/** What each check says of a plan that has none of its kind. */
const NOTHING_FOUND: ReadonlyMap<Check, Finding> = new Map(
  CHECKS.map((check) => [
    check,
    {
      id: `${check.id} nothing`,
      severity: 'nothing',
      rule: check.id,
      state: 'all',
      subject: { placementIds: [] },
      sentence: [check.nothing],
    },
  ]),
)

/** Very many findings of one kind are one finding about all their things. */
function inBounds(findings: readonly Finding[]): readonly Finding[] {
  if (findings.length <= SINGLE_UP_TO) return findings
  return OUTCOMES.flatMap((severity): readonly Finding[] => {
    const list = findings.filter((each) => each.severity === severity)
    const [first] = list
    if (!first || list.length <= SINGLE_UP_TO) return list
    const states = new Set(list.map(({ state }) => state))
    return [
      {
        id: `${first.rule} many ${severity}`,
        severity,
        rule: first.rule,
        state: states.size === 1 ? first.state : 'all',
        subject: { placementIds: [...new Set(list.flatMap(({ subject }) => subject.placementIds))] },
        sentence: manyWords(list.length, first.sentence),
        ...(first.ask ? { ask: first.ask } : {}),
      },
    ]
  })
}

/** How a question that may be set aside reads: once it reads otherwise the fact has changed. */
export const findingText = (finding: Finding): string => phraseText(finding.sentence)

/** A question set aside by a named person stays what it is and says so, as long as it asks the same. */
function withAsides(findings: readonly Finding[], { setAside }: Survey['plan']): readonly Finding[] {
  if (!setAside || setAside.length === 0) return findings
  const byId = new Map(setAside.map((aside) => [aside.findingId, aside]))
  return findings.map((finding) => {
    const aside = finding.severity === 'findOut' ? byId.get(finding.id) : undefined
    return aside?.said === findingText(finding) ? { ...finding, aside } : finding
  })
}

const RANKED_STATES = ['all', ...STATES] as const

/** The findings worst first, those of all states before those of one, and else as the checks said them. */
function worstFirst(findings: readonly Finding[]): readonly Finding[] {
  const ranks: Finding[][] = []
  for (const finding of findings) {
    const rank = OUTCOME_RANK[finding.severity] * RANKED_STATES.length + RANKED_STATES.indexOf(finding.state)
    const alike = ranks[rank]
    if (alike) alike.push(finding)
    else ranks[rank] = [finding]
  }
  // A rank that nothing has is a hole in the list, and is left out.
  return ranks.flat()
}

/** What a house looks at in every job is not left unlooked at: it asks. */
function asHouseLooks({ houseLook }: Check, { mustLook }: HouseRules, findings: readonly Finding[]) {
  if (houseLook === 'none' || !mustLook?.includes(houseLook)) return findings
  return findings.map((finding): Finding =>
    finding.severity === 'notLooked'
      ? {
          ...finding,
          severity: 'findOut',
          sentence: [...finding.sentence, ' The house checks it in every job. Find it out.'],
        }
      : finding,
  )
}

type Answers = (check: Check, together?: readonly Finding[]) => readonly Finding[]

/** What each check answers of a survey, computed once; what all doubts turn at once depends on the answers before. */
function answersOf(survey: Survey): Answers {
  const cached = new Map<Check, readonly Finding[]>()
  return (check, together = []) => {
    if (together.length > 0 && check === factsTogether) return check.run(survey, together)
    const before = cached.get(check)
    if (before) return before
    const answers = check.run(survey)
    cached.set(check, answers)
    return answers
  }
}

/** What every check says of a survey, in the order of the checks. */
function asksOf(
  survey: Survey,
  answers: Answers,
  { judge, together }: ReturnType<typeof underDoubt>,
): readonly Finding[] {
  const unweighed = onUnknownWeights(survey)
  const asked: Finding[] = []
  for (const check of CHECKS) {
    const assessment = judge(check, answers(check, together))
    const own = unweighed ? assessment.map((finding) => unweighed(check, finding)) : assessment
    const nothing = NOTHING_FOUND.get(check)
    const drafts = own.length > 0 ? inBounds(own) : nothing ? [unweighed?.(check, nothing) ?? nothing] : []
    asked.push(...asHouseLooks(check, survey.plan.rules, drafts))
  }
  return asked
}

function verdictsOf(findings: readonly Finding[]): Record<State, Severity> {
  const verdicts: Record<State, Severity> = { road: 'clear', trail: 'clear', parked: 'clear' }
  for (const { state, severity } of findings) {
    if (OUTCOME_RANK[severity] >= OUTCOME_RANK.clear) continue
    if (state !== 'all') verdicts[state] = worse(verdicts[state], severity)
    else for (const each of STATES) verdicts[each] = worse(verdicts[each], severity)
  }
  return verdicts
}

/** What every check says while the lengths are what they are said to be. */
const plainAsksOf = (survey: Survey, answers = answersOf(survey)) =>
  asksOf(survey, answers, { judge: (_, findings) => findings, together: [] })

/** What each state comes to, Stop by Stop: one Stop more or less is another outcome, though another one stands anyway. */
function outcomesOf(findings: readonly Finding[]): Readonly<Record<State, string>> {
  const verdicts = verdictsOf(findings)
  const stopsIn = (state: State) =>
    findings.flatMap((each) =>
      each.severity === 'stop' && (each.state === 'all' || each.state === state) ? [each.id] : [],
    )
  const outcome = (state: State) => [verdicts[state], ...stopsIn(state).sort()].join('\n')
  return { road: outcome('road'), trail: outcome('trail'), parked: outcome('parked') }
}

/** Asks every check of a survey. Same survey in, same review out: no clock, no randomness, order fixed. */
export function review(survey: Survey): Review {
  const answers = answersOf(survey)
  const asked = asksOf(survey, answers, underDoubt(survey))
  const conflicts = onConflictingFigures(
    survey,
    () => outcomesOf(plainAsksOf(survey, answers)),
    (other) => outcomesOf(plainAsksOf(other)),
  )
  const findings = withAsides(worstFirst([...asked, ...conflicts]), survey.plan)
  const planned = survey.racks.length > 0 || survey.things.length > 0
  const states = verdictsOf(findings)
  return {
    planned,
    findings,
    verdict: planned
      ? STATES.reduce<Severity>((worst, state) => worse(worst, states[state]), 'clear')
      : 'unplanned',
    states: planned ? states : { road: 'unplanned', trail: 'unplanned', parked: 'unplanned' },
    notLooked: findings.filter(({ severity }) => severity === 'notLooked'),
    cautions: cautionsFor(survey),
  }
}

const LOOK_WORD = new Map(
  CHECKS.map(({ id, title, lookWord, houseLook }) => [
    id,
    lookWord ?? (houseLook === 'none' ? title.toLowerCase() : houseLook),
  ]),
)
const lookedAt = (rule: string) => LOOK_WORD.get(rule) ?? rule

/** What was not looked at, in a word each. */
export const notLookedAt = ({ notLooked }: Review): string[] => [
  ...new Set(notLooked.map(({ rule }) => lookedAt(rule))),
]

/** The worst that any finding says of one layer in one state; undefined when none speaks of it. */
export function layerSeverity(review: Review, layerId: string, state: State): Severity | undefined {
  let worst: Severity | undefined
  for (const { subject, state: of, severity } of review.findings)
    if (subject.layerId === layerId && of === state) worst = worse(worst ?? 'clear', severity)
  return worst
}
