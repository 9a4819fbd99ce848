import { pullKey, signKey, type BayProgress } from '../log/record'
import type { PullEvidence } from '../log/pull-evidence'
import { newtonMetre, type Phrase } from '../units/phrase'
import { placeAnswers } from './answers'
import { shareOf } from './step-findings'
import type { Step } from './steps/step'
import { aimNm, seenSigns, signWords } from './torque/joint'
import { lastPass, type Pull } from './torque/passes'
import { OVER_TORQUE, readingFinding } from './torque/reading'
import { wantsReadings } from './wanted'

/** The pulls of a torque step that nobody has given, nor answered for their place, in the order of work. */
export function openPulls(step: Step, progress: BayProgress): readonly Pull[] {
  if (step.task.kind !== 'torque') return []
  const { joint, pulls } = step.task.group
  const answered = placeAnswers(step, progress)
  return pulls.filter(
    ({ at, pass }) => !answered.has(at) && !progress.torqued.has(pullKey(joint.id, at, pass)),
  )
}

/** The pull of a torque step that comes next; nothing when all are done. */
export const nextPull = (step: Step, progress: BayProgress): Pull | undefined => openPulls(step, progress)[0]

/** What a pull's reading says where it may not stay so: over its figure at any pass, or under it at the last. */
export function badReading(step: Step, pull: Pull, progress: BayProgress): 'over' | 'bad' | undefined {
  if (step.task.kind !== 'torque') return undefined
  const { group } = step.task
  const nm = progress.torqued.get(pullKey(group.joint.id, pull.at, pull.pass))?.nm
  if (nm === undefined) return undefined
  const { severity, rule } = readingFinding(group.joint, pull.at, nm, shareOf(group, pull))
  return severity !== 'stop' ? undefined : rule === OVER_TORQUE ? 'over' : 'bad'
}

/** The place that has to be put right before anything else: over first, then under, then one that was read right and whose sign is not. */
export function badPull(step: Step, progress: BayProgress): Pull | undefined {
  if (step.task.kind !== 'torque') return undefined
  const { group } = step.task
  const { joint, pulls } = group
  const last = lastPass(group)
  const answered = placeAnswers(step, progress)
  return (
    pulls.find((pull) => badReading(step, pull, progress) === 'over') ??
    pulls.find((pull) => badReading(step, pull, progress) !== undefined) ??
    pulls.find(
      ({ at, pass }) =>
        pass === last &&
        !answered.has(at) &&
        progress.wrong.has(signKey(joint.id, at)) &&
        progress.torqued.has(pullKey(joint.id, at, pass)),
    )
  )
}

/** One press that stands for all places of a pass that nobody has given yet, with how they are known. */
interface PassPress {
  readonly message: Phrase
  readonly pulls: readonly Pull[]
  readonly how: PullEvidence
}

/**
 * What one press says of the pass in hand, with its places named: clicked at its figure, its sign seen, or by feel, which
 * needs no passes. Nothing at the last pass of a joint whose sheet wants readings: those are typed or sent.
 */
export function passPress(step: Step, progress: BayProgress): PassPress | undefined {
  const open = openPulls(step, progress)
  const [next] = open
  if (!next || step.task.kind !== 'torque') return undefined
  const { group } = step.task
  const { joint } = group
  const seen = seenSigns(joint)
  const places = (pulls: readonly Pull[]) => pulls.map(({ at }) => at).join(' ')
  // What is not right is put right by itself: no press of many confirms it.
  const right = open.filter(({ at }) => !progress.wrong.has(signKey(joint.id, at)))
  const pulls = right.filter(({ pass }) => pass === next.pass)
  if (pulls.length === 0) return undefined
  if (aimNm(joint.torque) === undefined && seen.length === 0)
    return { message: [`By feel: ${places(pulls)}`], pulls: right, how: 'feel' }
  const last = next.pass === lastPass(group)
  if (last && wantsReadings(group)) return undefined
  const signs = seen.map(signWords).join(' and ')
  if (next.nm === undefined) return { message: [`Seen, ${signs}: ${places(pulls)}`], pulls, how: 'sign' }
  return {
    message: [
      'Clicked at ',
      newtonMetre(next.nm),
      last ? (signs === '' ? '' : `, and ${signs}`) : `, pass ${next.pass}`,
      `: ${places(pulls)}`,
    ],
    pulls,
    how: 'click',
  }
}
