import { pullKey, signKey, type BayProgress, type EvidenceFacts } from '../log/record'
import type { Survey } from '../survey/survey'
import { own } from '../units/own'
import { answerOf } from './answers'
import { FACTS, type FactKind } from './evidence-facts'
import { holdsOf } from './holds'
import { askedOf, type ProofItem } from './proof'
import { STARTING_LENGTH, stepFindings } from './step-findings'
import { OF_THING, type FactName, type Step, type Task } from './steps/step'

/** What a step's evidence is, and what it depends on. */
interface EvidenceRule {
  readonly evidence: string
  readonly on: readonly FactName[]
}

const ofThing = ({ group }: Step): boolean => group.startsWith(OF_THING)

/** What the evidence of each kind of proof depends on. */
const PROOFS: Readonly<Record<ProofItem['evidence'], EvidenceRule>> = {
  seat: { evidence: 'seat and shake', on: ['bars', 'feet', 'parts'] },
  opens: { evidence: 'what opens or swings', on: ['opening', 'swing'] },
  drive: { evidence: 'the drive', on: ['speed', 'outside', 'load'] },
  once: { evidence: 'what was seen once', on: [] },
}

type Kind = Task['kind']

/** What each kind of evidence depends on: the one table of it. */
const HANGS_ON: { readonly [K in Kind]: (task: Extract<Task, { kind: K }>, step: Step) => EvidenceRule } = {
  do: ({ on }) => ({ evidence: 'what was done', on }),
  count: () => ({ evidence: 'the count', on: ['lines'] }),
  marks: () => ({ evidence: 'marks that were seen', on: ['marks'] }),
  weigh: () => ({ evidence: 'what was weighed', on: ['weighs'] }),
  start: (_, step) => ({
    evidence: 'what was started by hand',
    on: ofThing(step) ? ['thing', 'stands'] : ['parts'],
  }),
  measure: () => ({ evidence: 'squareness', on: ['bars', 'parts', 'sheetMark'] }),
  torque: ({ group }) =>
    group.joint.owner.of === 'part'
      ? { evidence: 'torque of a rack', on: ['figure', 'bars', 'feet', 'parts'] }
      : { evidence: 'torque of a mount', on: ['figure', 'bars', 'thing', 'stands'] },
  channel: () => ({ evidence: 'what was loaded', on: ['channel', 'bars'] }),
  cut: () => ({ evidence: 'what was cut', on: ['cuts', 'bars'] }),
  confirm: () => ({ evidence: 'what was confirmed', on: ['holes'] }),
  prove: ({ item }) => PROOFS[item.evidence],
  tell: () => ({ evidence: 'told and handed over', on: ['printed'] }),
}

/** What a step's evidence is called, and what it depends on. */
export const evidenceRule = (step: Step): EvidenceRule => {
  const row = HANGS_ON[step.task.kind] as (task: Task, step: Step) => EvidenceRule
  return row(step.task, step)
}

/** Says by which table a tick keeps what it depended on: an older one knew fewer facts. */
const TABLE = 'table'
const PRESENT = 2
const OF_FIRST_TABLE: ReadonlySet<FactName> = new Set([
  'figure',
  'bars',
  'feet',
  'speed',
  'outside',
  'load',
  'swing',
  'opening',
  'printed',
])

/** What a step's being done depends on as the plan is now: kept with the tick. */
export function evidenceNow(step: Step, survey: Survey, progress: BayProgress): EvidenceFacts {
  const { on } = evidenceRule(step)
  if (on.length === 0) return {}
  return Object.fromEntries([
    [TABLE, PRESENT],
    ...on.flatMap((name) =>
      FACTS[name].of(step, survey, progress).map(({ key, value }) => [`${name} ${key}`, value] as const),
    ),
  ])
}

/** What has changed of what a tick depended on, in words; nothing while it still holds. A tick from before this was kept holds. */
function grownOld(
  step: Step,
  survey: Survey,
  progress: BayProgress,
  facts: EvidenceFacts | undefined,
): string | undefined {
  if (!facts) return undefined
  const isKnown = facts[TABLE] === PRESENT ? () => true : (name: FactName) => OF_FIRST_TABLE.has(name)
  for (const name of evidenceRule(step).on.filter(isKnown)) {
    const kind: FactKind = FACTS[name]
    for (const { key, value } of kind.of(step, survey, progress))
      if (kind.old(own(facts, `${name} ${key}`), value)) return kind.say
  }
  return undefined
}

/** A job's progress as it holds today: what has grown old is open again, with what changed. */
interface CurrentProgress {
  readonly progress: BayProgress
  /** The steps to be done again, by id, each with what changed since. */
  readonly again: ReadonlyMap<string, string>
}

/** Whether somebody said that a step differs before such words named what they are about. */
const unnamedWord = ({ id }: Step, { deviations }: BayProgress): boolean =>
  deviations.some(({ stepId, about }) => stepId === id && about === undefined)

/**
 * Whether a step that was ticked has a Stop of its own now: a place pulled again and over its figure, bars taped again and
 * out. A word from before deviations named what they are about still covers its step, but never a joint over its figure.
 */
function stopsNow(step: Step, survey: Survey, progress: BayProgress): boolean {
  // What has to be found out first keeps a step from being ticked; what was done by it stays done.
  const findings = stepFindings(step, survey, progress).filter(({ rule }) => rule !== STARTING_LENGTH)
  const open = holdsOf(step, survey, findings, progress).filter(({ id }) =>
    findings.some((finding) => finding.id === id),
  )
  return open.some(({ coverable }) => !coverable || !unnamedWord(step, progress))
}

/** Entries of older logs ticked a proof that was only put off: nobody has given it. */
const putOff = ({ task }: Step, { proved }: BayProgress): boolean =>
  task.kind === 'prove' &&
  [task.item.id, ...askedOf(task.item).map(({ id }) => id)].some((id) => proved.get(id) === 'notNow')

/** A tick stands for nothing that nobody read, counted, weighed, saw or said; a named person's word stands for itself. */
function lacksEvidence(step: Step, survey: Survey, progress: BayProgress): boolean {
  if (unnamedWord(step, progress)) return false
  const { task } = step
  // A caution may read otherwise since it was told: how many were told is what counts.
  if (task.kind === 'tell') return new Set(progress.told).size < new Set(task.what).size
  return holdsOf(step, survey, [], progress).length > 0
}

/** Takes out of a job's progress what no longer holds on this plan, step after step. The log keeps it all. */
export function currentProgress(
  steps: readonly Step[],
  survey: Survey,
  logged: BayProgress,
): CurrentProgress {
  const again = new Map<string, string>()
  const [done, torqued, measured, proved, answers, signs, weighed, channels] = [
    new Set(logged.done),
    new Map(logged.torqued),
    new Map(logged.measured),
    new Map(logged.proved),
    new Map(logged.answers),
    new Set(logged.signs),
    new Map(logged.weighed),
    new Map(logged.channels),
  ]
  // A later step is judged by what the earlier ones have left standing.
  const progress: BayProgress = {
    ...logged,
    done,
    torqued,
    measured,
    proved,
    answers,
    signs,
    weighed,
    channels,
  }
  for (const step of steps) {
    const ticked = done.has(step.id)
    const answer = answerOf(step, progress)
    if (!ticked && answer?.answer !== 'alreadyOn') continue
    const changed = grownOld(step, survey, progress, ticked ? logged.hung.get(step.id) : answer?.hung)
    const lacks = ticked && changed === undefined && lacksEvidence(step, survey, progress)
    if (putOff(step, progress) || lacks) {
      done.delete(step.id)
      continue
    }
    if (ticked && stopsNow(step, survey, progress)) {
      // What stops it stays to be seen.
      again.set(step.id, 'a reading or a count')
      done.delete(step.id)
      continue
    }
    if (changed === undefined) continue
    again.set(step.id, changed)
    done.delete(step.id)
    answers.delete(step.id)
    const { task } = step
    if (task.kind === 'torque')
      for (const { at, pass } of task.group.pulls) {
        torqued.delete(pullKey(task.group.joint.id, at, pass))
        signs.delete(signKey(task.group.joint.id, at))
      }
    if (task.kind === 'weigh') weighed.delete(task.targetId)
    if (task.kind === 'channel') channels.delete(task.channel.barId)
    if (task.kind === 'measure') for (const { id } of task.pairs) measured.delete(`${step.id} ${id}`)
    if (task.kind === 'prove') for (const { id } of askedOf(task.item)) proved.delete(id)
  }
  return done.size === logged.done.size && again.size === 0
    ? { progress: logged, again }
    : { progress, again }
}
