import type { Finding } from '../review/finding'
import { newtonMetre, type Phrase } from '../review/phrase'
import type { Review } from '../review/review'
import type { Survey } from '../survey/survey'
import type { PullEvidence } from './log/event'
import { pullKey, type BayProgress } from './log/replay'
import { countFindings, partsCheck } from './parts-check'
import { proofFindings } from './proof'
import { squareness } from './squareness'
import type { JointGroup, Step } from './steps/step'
import { aimNm, signWords } from './torque/joint'
import { jointFinding } from './torque/joint-finding'
import type { Pull } from './torque/passes'
import { OVER_TORQUE, readingFinding } from './torque/reading'

/** Where a job stands: its first step that is not done. */
export function currentIndex(steps: readonly Step[], progress: BayProgress): number {
  const at = steps.findIndex(({ id }) => !progress.done.has(id))
  return at < 0 ? steps.length - 1 : at
}

/** Minutes still to go: the middle of each step's range. */
export const minutesLeft = (steps: readonly Step[], progress: BayProgress): number =>
  steps
    .filter(({ id }) => !progress.done.has(id))
    .reduce((sum, { minutes }) => sum + (minutes.from + minutes.to) / 2, 0)

/** The pull of a torque step that comes next; nothing when all are done. */
export function nextPull(step: Step, progress: BayProgress): Pull | undefined {
  if (step.doing.kind !== 'torque') return undefined
  const { joint, pulls } = step.doing.group
  return pulls.find(({ at, pass }) => !progress.torqued.has(pullKey(joint.id, at, pass)))
}

const lastPass = ({ pulls }: JointGroup) => Math.max(0, ...pulls.map(({ pass }) => pass))

/** Whether the sheet wants the wrench read at the last pass, place by place. */
const wantsReadings = ({ joint }: JointGroup) => joint.signs.some(({ kind }) => kind === 'reading')

const readingsOf = (group: JointGroup, progress: BayProgress): Finding[] =>
  group.pulls.flatMap(({ at, pass, percent }) => {
    const nm = progress.torqued.get(pullKey(group.joint.id, at, pass))?.nm
    if (nm === undefined) return []
    const finding = readingFinding(group.joint, at, nm, pass === lastPass(group) ? 100 : percent)
    // What an early pass came to is only of interest where it was too much.
    return pass === lastPass(group) || finding.severity !== 'clear'
      ? [{ ...finding, id: `${finding.id} ${pass}` }]
      : []
  })

/** What is to be said of a step as things stand: counts, readings, torques and proof. */
export function stepFindings(step: Step, survey: Survey, progress: BayProgress): Finding[] {
  const { doing } = step
  switch (doing.kind) {
    case 'count':
      return countFindings(partsCheck(survey), progress.counted)
    case 'measure':
      return doing.pairs.flatMap(({ id, pair }) =>
        squareness(pair, progress.measured.get(`${step.id} ${id}`) ?? {}),
      )
    case 'torque': {
      const open = jointFinding(doing.group.joint)
      return [...(open ? [open] : []), ...readingsOf(doing.group, progress)]
    }
    case 'prove':
      return proofFindings([doing.item], progress.proved).filter(({ severity }) => severity === 'stop')
    case 'do':
    case 'weigh':
    case 'start':
    case 'channel':
    case 'cut':
    case 'confirm':
    case 'tell':
      return []
  }
}

/** The place whose reading has to be put right before anything else: over first, then under. */
export function badPull(step: Step, progress: BayProgress): Pull | undefined {
  if (step.doing.kind !== 'torque') return undefined
  const { group } = step.doing
  const bad = (wanted: (finding: Finding) => boolean) =>
    group.pulls.find(({ at, pass, percent }) => {
      const nm = progress.torqued.get(pullKey(group.joint.id, at, pass))?.nm
      return (
        nm !== undefined &&
        wanted(readingFinding(group.joint, at, nm, pass === lastPass(group) ? 100 : percent))
      )
    })
  return (
    bad(({ severity, rule }) => severity === 'stop' && rule === OVER_TORQUE) ??
    bad(({ severity }) => severity === 'stop')
  )
}

/** What stands between a step and its being done, by name. */
export interface Hold {
  readonly id: string
  readonly say: string
  /** What it is, where the step's own findings do not say it. */
  readonly words?: Phrase
  /** Whether a named word about this very thing lets the step pass all the same. */
  readonly coverable: boolean
}

function* everyHold(
  step: Step,
  survey: Survey,
  findings: readonly Finding[],
  progress: BayProgress,
  review: Review | undefined,
): Iterable<Hold> {
  const { doing } = step
  if (doing.kind === 'tell')
    for (const { id, severity, sentence } of review?.findings ?? [])
      if (severity === 'stop')
        yield {
          id: `plan ${id}`,
          say: 'A Stop stands: it leaves only on a named person’s reason.',
          words: sentence,
          coverable: true,
        }
  for (const { id, severity, rule } of findings)
    if (severity === 'stop')
      yield rule === OVER_TORQUE
        ? { id, say: 'Over its figure: put it right and pull it anew.', coverable: false }
        : { id, say: 'Put it right, or say what differs.', coverable: true }
  const hold = (id: string, say: string): Hold => ({ id, say, coverable: true })
  if (doing.kind === 'weigh' && !progress.weighed.has(doing.targetId))
    yield hold('weigh', 'Weigh it first, or say what differs.')
  if (doing.kind === 'count' && partsCheck(survey).lines.some(({ id }) => !progress.counted.has(id)))
    yield hold('count', 'Count every line first, or say what differs.')
  if (
    doing.kind === 'measure' &&
    doing.pairs.some(({ id }) => {
      const readings = progress.measured.get(`${step.id} ${id}`)
      return !readings?.spreadLeft || !readings.spreadRight
    })
  )
    yield hold('measure', 'Tape both spreads at least, or say what differs.')
  if (doing.kind === 'prove' && !progress.proved.has(doing.item.id)) yield hold('prove', 'Say how it went.')
  if (doing.kind === 'torque' && wantsReadings(doing.group)) {
    const { joint, pulls } = doing.group
    const unread = pulls.find(
      ({ at, pass }) =>
        pass === lastPass(doing.group) && progress.torqued.get(pullKey(joint.id, at, pass))?.nm === undefined,
    )
    if (unread) yield hold('readings', `Type what the wrench reads at ${unread.at}, or say what differs.`)
  }
}

/**
 * What holds a step back, by name; none when it can be called done. What somebody said to differ lets pass only what it
 * speaks of, and never a joint that is over its figure. Handing over is held by every Stop of the plan's review too.
 */
export function holdsOf(
  step: Step,
  survey: Survey,
  findings: readonly Finding[],
  progress: BayProgress,
  review?: Review,
): Hold[] {
  const said = new Set(
    progress.deviations.flatMap(({ stepId, about }) => (stepId === step.id ? (about ?? []) : [])),
  )
  return [...everyHold(step, survey, findings, progress, review)].filter(
    ({ id, coverable }) => !coverable || !said.has(id),
  )
}

/** One press that stands for all places of a pass that nobody has given yet, with how they are known. */
export interface PassPress {
  readonly say: Phrase
  readonly pulls: readonly Pull[]
  readonly how: PullEvidence
}

/**
 * What one press says of the pass in hand, with its places named: clicked at its figure, its sign seen, or by feel, which
 * needs no passes. Nothing at the last pass of a joint whose sheet wants readings: those are typed or sent.
 */
export function passPress(step: Step, progress: BayProgress): PassPress | undefined {
  const next = nextPull(step, progress)
  if (!next || step.doing.kind !== 'torque') return undefined
  const { group } = step.doing
  const { joint } = group
  const open = group.pulls.filter(({ at, pass }) => !progress.torqued.has(pullKey(joint.id, at, pass)))
  const seen = joint.signs.filter(({ kind }) => kind !== 'reading')
  const places = (pulls: readonly Pull[]) => pulls.map(({ at }) => at).join(' ')
  if (aimNm(joint.torque) === undefined && seen.length === 0) {
    const first = open.filter(({ pass }) => pass === next.pass)
    return { say: [`By feel: ${places(first)}`], pulls: open, how: 'feel' }
  }
  const pulls = open.filter(({ pass }) => pass === next.pass)
  const last = next.pass === lastPass(group)
  if (last && wantsReadings(group)) return undefined
  const signs = seen.map(signWords).join(' and ')
  if (next.nm === undefined) return { say: [`Seen, ${signs}: ${places(pulls)}`], pulls, how: 'sign' }
  return {
    say: [
      'Clicked at ',
      newtonMetre(next.nm),
      last ? (signs === '' ? '' : `, and ${signs}`) : `, pass ${next.pass}`,
      `: ${places(pulls)}`,
    ],
    pulls,
    how: 'click',
  }
}
