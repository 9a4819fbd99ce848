import { manyWords, SINGLE_UP_TO } from './many'
import { STATES, type State } from '../units/scalars'
import { hasUnsure } from '../plan/starts'
import type { Plan } from '../plan/plan'
import type { Survey } from '../survey/survey'
import { cautionsFor } from './cautions'
import { CHECKS } from './checks'
import type { Check } from './check'
import { OUTCOME_RANK, OUTCOMES, worse, type Finding, type Severity, type Verdict } from './finding'
import { phraseText } from '../units/phrase'
import { onFiguresApart } from './figures-apart'
import { onStartingLengths } from './starting-lengths'
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
export interface Reviewed {
  readonly plan: Plan
  readonly survey: Survey
  readonly review: Review
}

function nothingFound({ id, nothing }: Check): Finding {
  return {
    id: `${id} nothing`,
    severity: 'nothing',
    rule: id,
    state: 'all',
    subject: { placementIds: [] },
    sentence: [nothing],
  }
}

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
export const saidOf = (finding: Finding): string => phraseText(finding.sentence)

/** A question set aside by a named person stays what it is and says so, as long as it asks the same. */
function withAsides(findings: readonly Finding[], { setAside }: Survey['plan']): readonly Finding[] {
  if (!setAside || setAside.length === 0) return findings
  const byId = new Map(setAside.map((aside) => [aside.findingId, aside]))
  return findings.map((finding) => {
    const aside = finding.severity === 'findOut' ? byId.get(finding.id) : undefined
    return aside?.said === saidOf(finding) ? { ...finding, aside } : finding
  })
}

const rank = (finding: Finding) =>
  OUTCOME_RANK[finding.severity] * 100 + (finding.state === 'all' ? 0 : STATES.indexOf(finding.state) + 1)

/** What every check says of a survey, in the order of the checks. */
function asksOf(survey: Survey): readonly Finding[] {
  const starting = survey.plan.vehicle.roof.skinZMm === undefined || hasUnsure(survey.plan)
  const unweighed = onUnknownWeights(survey)
  return CHECKS.flatMap((check) => {
    const own = [...check.run(survey)].map((finding) =>
      unweighed(check, starting ? onStartingLengths(survey, finding) : finding),
    )
    return own.length > 0 ? inBounds(own) : [unweighed(check, nothingFound(check))]
  })
}

function verdictsOf(findings: readonly Finding[]): Record<State, Severity> {
  const of = (state: State): Severity =>
    findings.reduce<Severity>(
      (so, finding) =>
        finding.state === 'all' || finding.state === state ? worse(so, finding.severity) : so,
      'clear',
    )
  return { road: of('road'), trail: of('trail'), parked: of('parked') }
}

/** Asks every check of a survey. Same survey in, same review out: no clock, no randomness, order fixed. */
export function review(survey: Survey): Review {
  const asked = asksOf(survey)
  const apart = onFiguresApart(
    survey.plan,
    () => verdictsOf(asked),
    (other) => verdictsOf(asksOf(other)),
  )
  const found = [...asked, ...apart]
    .map((finding) => ({ finding, rank: rank(finding) }))
    .sort((a, b) => a.rank - b.rank)
    .map(({ finding }) => finding)
  const findings = withAsides(found, survey.plan)
  const planned = survey.racks.length > 0 || survey.things.length > 0
  const states = verdictsOf(findings)
  return {
    planned,
    findings,
    verdict: planned
      ? STATES.reduce<Severity>((so, state) => worse(so, states[state]), 'clear')
      : 'unplanned',
    states: planned ? states : { road: 'unplanned', trail: 'unplanned', parked: 'unplanned' },
    notLooked: findings.filter(({ severity }) => severity === 'notLooked'),
    cautions: cautionsFor(survey),
  }
}

const LOOK_WORD: Readonly<Record<string, string>> = {
  payload: 'payload',
  axles: 'axles',
  standing: 'tipping',
  'bar-bending': 'bending',
  wind: 'wind',
  'tower-spacing': 'tower marks',
}
const TITLE = new Map(CHECKS.map(({ id, title }) => [id, title]))
const lookedAt = (rule: string) => LOOK_WORD[rule] ?? TITLE.get(rule)?.toLowerCase() ?? rule

/** What was not looked at, in a word each. */
export const notLookedAt = ({ notLooked }: Review): string[] => [
  ...new Set(notLooked.map(({ rule }) => lookedAt(rule))),
]

/** The worst that any finding says of one layer in one state; undefined when none speaks of it. */
export function layerSeverity(review: Review, layerId: string, state: State): Severity | undefined {
  let so: Severity | undefined
  for (const { subject, state: of, severity } of review.findings)
    if (subject.layerId === layerId && of === state) so = worse(so ?? 'clear', severity)
  return so
}
