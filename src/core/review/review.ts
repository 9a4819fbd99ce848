import { STATES, type State } from '../plan/scalars'
import type { Survey } from '../survey/survey'
import type { Check } from './check'
import { cautionsFor } from './cautions'
import { CHECKS } from './checks'
import { SEVERITY_RANK, worse, type Finding, type Severity } from './finding'

/** What we think of a survey: findings worst first, and a verdict for each state and for the plan. */
export interface Review {
  readonly findings: readonly Finding[]
  readonly verdict: Severity
  readonly states: Readonly<Record<State, Severity>>
  readonly cautions: readonly string[]
}

function nothingFound({ id, nothing }: Check): Finding {
  return {
    id: `${id} nothing`,
    severity: 'clear',
    rule: id,
    state: 'all',
    subject: { placementIds: [] },
    sentence: [nothing],
  }
}

const rank = (finding: Finding) =>
  SEVERITY_RANK[finding.severity] * 100 + (finding.state === 'all' ? 0 : STATES.indexOf(finding.state) + 1)

/** Asks every check of a survey. Same survey in, same review out: no clock, no randomness, order fixed. */
export function review(survey: Survey): Review {
  const findings = CHECKS.flatMap((check) => {
    const found = [...check.run(survey)]
    return found.length > 0 ? found : [nothingFound(check)]
  })
    .map((finding) => ({ finding, rank: rank(finding) }))
    .sort((a, b) => a.rank - b.rank)
    .map(({ finding }) => finding)
  const verdictOf = (state: State) =>
    findings.reduce<Severity>(
      (so, finding) =>
        finding.state === 'all' || finding.state === state ? worse(so, finding.severity) : so,
      'clear',
    )
  const states = { road: verdictOf('road'), trail: verdictOf('trail'), parked: verdictOf('parked') }
  return {
    findings,
    verdict: STATES.reduce<Severity>((so, state) => worse(so, states[state]), 'clear'),
    states,
    cautions: cautionsFor(survey),
  }
}

/** The worst that any finding says of one layer in one state; undefined when none speaks of it. */
export function layerSeverity(review: Review, layerId: string, state: State): Severity | undefined {
  return review.findings.reduce<Severity | undefined>(
    (so, finding) =>
      finding.subject.layerId === layerId && finding.state === state
        ? so === undefined
          ? finding.severity
          : worse(so, finding.severity)
        : so,
    undefined,
  )
}
