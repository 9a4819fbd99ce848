import { leftOnRack, linksPhrase, type Left } from '../survey/load-path/left'
import type { Job } from '../plan/schema/placement'
import type { BayProgress } from '../log/record'
import { STATES, type State } from '../units/scalars'
import { STATE_WORD, VERDICT_WORD, type Severity, type Verdict } from '../review/finding'
import { kg, missing, mm, phraseText, type Phrase, toSpare } from '../units/phrase'
import { cautionsByMoment } from '../review/cautions'
import { foldedTogether, type FindingStates } from '../review/folded'
import { notLookedAt, type Review } from '../review/review'
import type { BayRules } from '../plan/schema/house'
import { keyWords } from '../plan/key-words'
import type { Plan } from '../plan/schema/plan'
import { barsOf } from '../plan/schema/rack'
import { startsOf } from '../provenance/starts'
import type { Survey } from '../survey/survey'
import type { UnitChoice } from '../units/format'
import type { Due } from '../bay/due'
import { allAnswers, answerLine } from '../bay/answers'
import { currentProgress } from '../bay/evidence'
import { fittedOf, type Fitted } from '../bay/fitted'
import { marksOf } from '../bay/marks'
import { proofFindings } from '../bay/proof'
import { weightsAsked } from '../bay/steps/weigh-steps'
import { jobSteps } from '../bay/steps/job-steps'
import { rackJoints } from '../bay/steps/joint-groups'
import { playedReadings, torqueRows, type TorqueRow } from '../bay/torque/torque-rows'

/** How the car came in, as the sheet prints it; nothing where nobody wrote it down. */
export function cameLine({ came }: Job): string | undefined {
  const { on, by, condition, pictures = [] } = came ?? {}
  if (on === undefined && by === undefined && condition === undefined && pictures.length === 0)
    return undefined
  const who = by === undefined ? '' : `, taken in by ${by}`
  const kept =
    pictures.length === 0
      ? ''
      : ` ${pictures.length === 1 ? 'A picture is' : `${pictures.length} pictures are`} kept with the job.`
  return `Came in${on === undefined ? '' : ` on ${on}`}${who}${condition === undefined ? '.' : `: ${condition}`}${kept}`
}

/** A state of a rack on the sheet: what stands on it, what may still be added, and which link says so. */
interface LimitRow {
  readonly rack: string
  readonly state: State
  readonly carries: Phrase
  readonly left: Phrase
  readonly by: string
  /** Nobody knows: printed as such, never left blank. */
  readonly known: boolean
  readonly over: boolean
}

/** The starting values left on a plan, by whose they are. */
function startedOf(plan: Plan): Handover['started'] {
  const { vehicle, racks, gear } = plan
  const named = [
    vehicle,
    ...vehicle.attachments,
    ...vehicle.obstacles,
    ...racks.flatMap((rack) => [rack, ...rack.parts, ...barsOf(rack)]),
    ...gear,
  ]
  const byThing = new Map<string, string[]>()
  for (const { id, field } of startsOf(plan)) {
    const name = named.find((thing) => thing.id === id)?.name || 'The vehicle'
    byThing.set(name, [...(byThing.get(name) ?? []), keyWords(field.split('.')[0] ?? field)])
  }
  return [...byThing].map(([name, fields]) => ({ name, fields: [...new Set(fields)] }))
}

/** All that the handover sheet, its PDF and the placard say, from plan, review and log. */
export interface Handover {
  readonly limits: readonly LimitRow[]
  readonly heightMm: number
  readonly heightOf: string
  readonly clearances: readonly { readonly name: string; readonly say: Phrase; readonly passes: boolean }[]
  readonly fitted: readonly string[]
  readonly torques: readonly TorqueRow[]
  /** What the bay has still to do, and how many readings were played. */
  readonly unfinished: Fitted['unfinished']
  readonly played: number
  /** Steps and places that somebody answered instead of doing them, with who and why. */
  readonly answers: readonly { readonly say: string; readonly open: boolean }[]
  /** Steps that were done and are to be done again, with what changed since. */
  readonly again: readonly { readonly step: string; readonly changed: string }[]
  /** The verdict of each state, as every screen has it. */
  readonly verdicts: Readonly<Record<State, Verdict>>
  /** What stops it from leaving, and what nobody has found out. */
  readonly stops: readonly Phrase[]
  readonly open: readonly Phrase[]
  /** Questions that a named person has set aside for this job. */
  readonly aside: readonly {
    readonly say: Phrase
    readonly by: string
    readonly reason: string
    readonly on: string
  }[]
  /** What could have been looked at and was not, by name. */
  readonly notLooked: readonly string[]
  /** Loads that a fix has set and nobody has weighed: what may be in them, not what is. */
  readonly targets: readonly { readonly name: string; readonly kg: number }[]
  /** What the forms filled in and nobody has typed over or confirmed: whose it is, and which fields. */
  readonly started: readonly { readonly name: string; readonly fields: readonly string[] }[]
  /** What was proved with another outcome than good, and cases that nobody drove. */
  readonly unproved: readonly Phrase[]
  readonly assumed: readonly string[]
  /** What was done other than the sheet has it; what somebody let pass for it comes first. */
  readonly deviations: readonly {
    readonly step: string
    readonly reason: string
    readonly by: string | undefined
    readonly lets: boolean
  }[]
  readonly due: readonly Due[]
  readonly keys: readonly string[]
  /** What tells the pieces from each other, how a rack is set higher, and what its things hold besides a load. */
  readonly marks: readonly string[]
  readonly tools: readonly string[]
  readonly cautions: ReturnType<typeof cautionsByMoment>
}

function limitRows({ allowances, racks, onRackKg }: Survey): LimitRow[] {
  return allowances.map((allowance): LimitRow => {
    const rack = racks.find((each) => each.rack.id === allowance.rackId)
    const left = leftOnRack(allowance)
    const assumed = allowance.binding?.limit.kind === 'assumed' ? ', by house rule' : ''
    return {
      rack: rack?.rack.name ?? '',
      state: allowance.state,
      carries: [
        allowance.kind === 'unknown' && allowance.unweighed.length > 0 ? 'at least ' : '',
        kg(rack ? onRackKg(rack.index, allowance.state) : 0),
      ],
      left: toAdd(left),
      by: [
        // Of what is not known no link says how much is left, but one that is over already.
        ...('by' in left && (left.why === undefined || left.kind === 'over')
          ? [`${linksPhrase(left.by)}${assumed}`]
          : []),
        ...(left.why === undefined ? [] : [left.why]),
      ].join('; '),
      known: allowance.kind !== 'unknown',
      over: left.kind === 'over',
    }
  })
}

/** What may still be added, as the sheet has it. */
function toAdd(left: Left): Phrase {
  switch (left.kind) {
    case 'over':
      return ['nothing: ', missing(kg(left.kg)), ' over']
    case 'known':
      return ['', toSpare(kg(left.kg))]
    case 'atLeast':
      return ['at least ', toSpare(kg(left.kg))]
    case 'atMost':
      return ['not known; at most ', toSpare(kg(left.kg))]
    case 'unknown':
      return ['not known: add nothing']
  }
}

/** Which house rules stand behind a figure of this job, in words. */
function assumptions({ plan, loadPath, masses }: Survey, rules: BayRules): string[] {
  const assumed = loadPath.cells.flatMap(({ limit, layer, state, idle }) =>
    limit.kind === 'assumed' && !idle
      ? [
          `${layer.name}, ${STATE_WORD[state].toLowerCase()}: taken as ${limit.by === 'derate' ? `${Math.round(limit.factor * 100)} % of` : `${limit.factor} times`} its road figure`,
        ]
      : [],
  )
  const silent = loadPath.cells.some(({ countingStated, layer }) => layer.role === 'roof' && !countingStated)
  const guessed = masses.some(({ basis }) => basis === 'guess' || basis === 'start')
  const { guess, roofCounts } = plan.rules
  return [
    ...new Set(assumed),
    ...(silent
      ? [
          `the roof’s limit is taken to count ${roofCounts === 'everything' ? 'the rack too' : 'only the load'}`,
        ]
      : []),
    ...(guessed
      ? [
          guess.school === 'margin'
            ? `guessed weights are counted ${guess.percent} % heavier`
            : guess.school === 'weighIt'
              ? 'guessed weights are to be weighed'
              : 'guessed weights are used as given',
        ]
      : []),
    `re-tightening after ${rules.firstCheckKm} km or ${rules.firstCheckDays} days, then every ${rules.thenMonths} months`,
    `tightened in passes of ${rules.passesPercent.join(', ')} %`,
  ]
}

/** Everything to hand over with a vehicle: limits per state and what is left, heights, what was fitted and told, what is due. */
export function handoverOf(
  survey: Survey,
  review: Review,
  logged: BayProgress,
  due: readonly Due[],
  rules: BayRules,
): Handover {
  const { racks, drivingTop } = survey
  const marks = marksOf(survey)
  const order = jobSteps(survey, rules, new Set(logged.weighed.keys()), weightsAsked(review))
  const steps = order.ok ? order.steps : []
  const { progress, again } = currentProgress(steps, survey, logged)
  const fitted = fittedOf(survey, steps, progress)
  const rows = foldedTogether(review.findings)
  const phraseOf = ({ finding, states }: FindingStates): Phrase =>
    finding.state === 'all' ? finding.sentence : [`${states.join(', ')}: `, ...finding.sentence]
  const sentences = (wanted: Severity) =>
    rows.flatMap((row) => (row.finding.severity === wanted && !row.finding.aside ? [phraseOf(row)] : []))
  return {
    limits: limitRows(survey),
    heightMm: Math.ceil(drivingTop.topMm),
    heightOf: drivingTop.name,
    clearances: survey.clearances.map(({ clearance, spareMm, passes }) => ({
      name: clearance.name,
      say: passes
        ? ['passes with ', toSpare(mm(spareMm))]
        : spareMm < 0
          ? ['does not pass: ', missing(mm(-spareMm)), ' too high']
          : ['too close: only ', toSpare(mm(spareMm))],
      passes,
    })),
    fitted: fitted.lines,
    unfinished: review.planned ? fitted.unfinished : undefined,
    played: playedReadings(progress),
    again: steps.flatMap(({ id, title }) => {
      const changed = again.get(id)
      return changed === undefined ? [] : [{ step: title, changed }]
    }),
    torques: torqueRows(survey, rules, progress),
    verdicts: review.states,
    aside: rows.flatMap((row) => {
      const { aside } = row.finding
      return aside ? [{ say: phraseOf(row), by: aside.by, reason: aside.reason, on: aside.on }] : []
    }),
    notLooked: notLookedAt(review),
    targets: survey.masses.flatMap((mass) =>
      mass.basis === 'target' ? [{ name: mass.label, kg: mass.kg }] : [],
    ),
    started: startedOf(survey.plan),
    stops: sentences('stop'),
    open: sentences('findOut'),
    unproved: proofFindings(
      steps.flatMap(({ task }) => (task.kind === 'prove' ? [task.item] : [])),
      progress.proved,
    ).flatMap(({ sentence, severity }) => (severity === 'mind' || severity === 'stop' ? [sentence] : [])),
    assumed: assumptions(survey, rules),
    answers: allAnswers(steps, progress).map((each) => ({
      say: answerLine(each),
      open: each.answer !== 'alreadyOn',
    })),
    deviations: progress.deviations.map(({ title, reason, by, about }) => ({
      step: title,
      reason,
      by,
      lets: (about?.length ?? 0) > 0,
    })),
    due,
    marks: [
      ...marks.marks.flatMap(({ what, say, byPlace }) => (byPlace ? [`${what}: ${say}`] : [])),
      ...marks.raising,
      ...marks.stored,
    ],
    keys: marks.keys.map(({ what, cores, say }) => `${what}: ${cores} cores, ${say}`),
    tools: [...new Set(racks.flatMap((rack) => rackJoints(rack, rules).map(({ joint }) => joint.tool)))],
    cautions: cautionsByMoment(survey),
  }
}

/** The placard for the dash or the fuel flap: few lines, large. The least over all racks of what each state still takes. */
export function placardLines(
  handover: Handover,
  choice?: UnitChoice,
): {
  readonly height: string
  readonly rows: readonly (readonly [string, string])[]
  readonly notLooked: string | undefined
} {
  return {
    height: phraseText([mm(handover.heightMm)], choice),
    notLooked: handover.notLooked.length > 0 ? `Not looked at: ${handover.notLooked.join(', ')}.` : undefined,
    rows: handover.limits
      .toSorted((a, b) => STATES.indexOf(a.state) - STATES.indexOf(b.state))
      .map((row) => [
        `${STATE_WORD[row.state]}: ${VERDICT_WORD[handover.verdicts[row.state]]}${racksOf(handover) > 1 ? `, ${row.rack}` : ''}`,
        `${phraseText(row.carries, choice)} on it, ${phraseText(row.left, choice)}${row.known && !row.over ? ' more' : ''}`,
      ]),
  }
}

const racksOf = ({ limits }: Handover) => new Set(limits.map(({ rack }) => rack)).size
