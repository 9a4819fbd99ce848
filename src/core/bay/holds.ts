import { pullKey, type BayProgress } from '../log/record'
import type { Finding } from '../review/finding'
import type { Review } from '../review/review'
import type { Survey } from '../survey/survey'
import { allAnswers, answerLine, placeAnswers } from './answers'
import { printOf } from '../log/fact-print'
import type { Hold } from './hold'
import { partsCheck } from './parts/parts-check'
import { askedOf } from './proof'
import { mustTape } from './steps/pairs'
import type { Step } from './steps/step'
import { lastPass, type Pull } from './torque/passes'
import { PLACE_RIGHT, STARTING_LENGTH } from './step-findings'
import { OVER_TORQUE } from './torque/reading'
import { restHolds, restsOf } from './waits'
import { signsWanted, wantsReadings } from './wanted'

/** What a job's other steps, its review and the clock say to a step. */
interface AroundStep {
  readonly steps: readonly Step[]
  readonly review: Review
  /** Steps that were done and are to be done again, with what changed. */
  readonly again: ReadonlyMap<string, string>
  /** The time now, ms since 1970; without it nothing is held by the clock. */
  readonly nowMs?: number | undefined
}

const hold = (id: string, message: string, words?: string): Hold => ({
  id,
  message,
  ...(words !== undefined && { words: [words] }),
  coverable: true,
  stops: false,
})

/** Handing over waits for Stops, for open questions, and for every step that nobody has done. */
function* handingOver(
  step: Step,
  progress: BayProgress,
  { steps, review, again }: AroundStep,
): Iterable<Hold> {
  for (const { id, severity, sentence } of review.findings)
    if (severity === 'stop')
      yield {
        id: `plan ${id}`,
        message: 'A Stop is open. Release needs a name and a reason.',
        words: sentence,
        coverable: true,
        stops: false,
      }
  const open = review.findings.filter(({ severity, aside }) => severity === 'findOut' && !aside)
  if (open.length > 0)
    yield hold(
      `questions ${printOf(open.map(({ id }) => id).join())}`,
      'Questions are open. Release needs a name and a reason.',
      open.length === 1
        ? 'One question is open; the sheet lists it'
        : `${open.length} questions are open; the sheet lists them`,
    )
  for (const each of allAnswers(steps, progress))
    if (each.answer !== 'alreadyOn')
      yield hold(`answer ${each.id}`, 'Steps are open. Release needs a name and a reason.', answerLine(each))
  for (const { id, title } of steps) {
    const changed = again.get(id)
    if (changed !== undefined && id !== step.id && !progress.done.has(id))
      yield hold(
        `again ${id}`,
        'A step is to be done again. Release needs a name and a reason.',
        `${title}: ${changed} changed since`,
      )
  }
}

const [UNPULLED, UNREAD, UNSEEN, UNMARKED] = ['pulls', 'readings', 'signs', 'marks'] as const

/** Whether a hold is of a place that nobody has given yet. */
const isUngiven = ({ id }: Hold): boolean => [UNPULLED, UNREAD, UNSEEN, UNMARKED].some((each) => each === id)

/**
 * What holds the press that is next at a step; nothing where it may be made. While somebody still gives places, neither a place that
 * nobody has given yet nor one that was seen to be wrong holds what is given of the others.
 */
export const heldBack = (holds: readonly Hold[], isGiving: boolean): Hold | undefined =>
  holds.find((each) => !isGiving || !(isUngiven(each) || each.ofPlace === true))

/** The open questions that block a step, by rule. No other question blocks one. */
const BLOCKERS = {
  squareness: 'Enter the readings, or say what differs.',
  drilling: 'Find out the missing facts of the hole first, or say what differs.',
  [STARTING_LENGTH]: 'Find out the length first, or say what differs.',
} as const

function* ownHolds(
  step: Step,
  survey: Survey,
  findings: readonly Finding[],
  progress: BayProgress,
): Iterable<Hold> {
  const { task } = step
  for (const { id, severity, rule } of findings)
    if (severity === 'stop')
      yield rule === OVER_TORQUE
        ? {
            id,
            message: 'Over torque: correct it, tighten again and say what you found.',
            coverable: false,
            stops: true,
          }
        : {
            ...hold(id, 'Correct it, or say what differs.'),
            stops: true,
            ...(rule === PLACE_RIGHT && { ofPlace: true as const }),
          }
    else if (severity === 'findOut' && Object.hasOwn(BLOCKERS, rule))
      yield hold(id, BLOCKERS[rule as keyof typeof BLOCKERS])
  switch (task.kind) {
    case 'weigh':
      if (!progress.weighed.has(task.targetId)) yield hold('weigh', 'Weigh it first, or say what differs.')
      return
    case 'count':
      if (partsCheck(survey).lines.some(({ id }) => !progress.counted.has(id)))
        yield hold('count', 'Count every line first, or say what differs.')
      return
    case 'marks': {
      const open = task.asks.find(({ id }) => !progress.marks.has(id))
      if (open) yield hold(UNMARKED, `Look at the mark at ${open.at} first, or say what differs.`)
      return
    }
    case 'measure': {
      const open = task.pairs
        .flatMap((ask) => {
          const readings = progress.measured.get(`${step.id} ${ask.id}`)
          return mustTape(ask).filter(({ names }) => names.some((name) => readings?.[name] === undefined))
        })
        .at(0)
      if (open) yield hold('measure', `${open.say}, or say what differs.`)
      return
    }
    case 'prove': {
      const asked = askedOf(task.item)
      const open = asked.find(({ id }) => !progress.proved.has(id))
      if (open) yield hold('prove', task.item.cases ? `Enter the result: ${open.name}.` : 'Enter the result.')
      else if (asked.every(({ id }) => progress.proved.get(id) === 'notDriven'))
        yield hold('undriven', 'No case was driven. Drive it, or put it off.')
      return
    }
    case 'torque': {
      const { group } = task
      const { joint, pulls } = group
      const answered = placeAnswers(step, progress)
      const last = pulls.filter(({ at, pass }) => pass === lastPass(group) && !answered.has(at))
      const given = ({ at, pass }: Pull) => progress.torqued.get(pullKey(joint.id, at, pass))
      if (!wantsReadings(group)) {
        const open = last.find((pull) => !given(pull))
        if (open) yield hold(UNPULLED, `Pull ${open.at} first, or say what differs.`)
        else if (signsWanted(step, progress)) yield hold(UNSEEN, 'Check its sign too, or say what differs.')
        return
      }
      const unread = last.find((pull) => given(pull)?.nm === undefined)
      if (unread) yield hold(UNREAD, `Enter the wrench’s reading at ${unread.at}, or say what differs.`)
      else if (signsWanted(step, progress)) yield hold(UNSEEN, 'Check its sign too, or say what differs.')
      return
    }
    case 'channel':
      if (!progress.channels.has(task.channel.barId))
        yield hold('contents', 'Enter what is in the channel already, or that it is empty.')
      return
    case 'do':
    case 'start':
    case 'cut':
    case 'confirm':
    case 'tell':
      return
  }
}

/**
 * What holds a step back, by name; none when it can be called done. What somebody said to differ lets pass only what it
 * speaks of, and never a joint that is over its figure.
 */
export function holdsOf(
  step: Step,
  survey: Survey,
  findings: readonly Finding[],
  progress: BayProgress,
  around?: AroundStep,
): Hold[] {
  const said = new Set(
    progress.deviations.flatMap(({ stepId, about }) => (stepId === step.id ? (about ?? []) : [])),
  )
  const over = step.task.kind === 'tell' && around ? [...handingOver(step, progress, around)] : []
  const rests =
    around?.nowMs === undefined ? [] : restHolds(restsOf(step, around.steps, progress, around.nowMs))
  return [...rests, ...over, ...ownHolds(step, survey, findings, progress)].filter(
    ({ id, coverable }) => !coverable || !said.has(id),
  )
}
