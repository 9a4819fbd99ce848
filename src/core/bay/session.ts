import { pullKey, type BayProgress } from '../log/record'
import { pullWords } from '../log/pull-evidence'
import type { StepAnswer } from '../log/answer'
import type { Review } from '../review/review'
import type { Survey } from '../survey/survey'
import { answerOf, isDone, isSettled, placeAnswers } from './answers'
import { withBenchReadings } from './bench-readings'
import { currentProgress } from './evidence'
import type { Hold } from './hold'
import { holdsOf } from './holds'
import { partsCheck } from './parts/parts-check'
import { askedOf } from './proof'
import { stepFindings } from './step-findings'
import { lastPass } from './torque/passes'
import { restsOf } from './waits'
import { schedule } from './steps/schedule'
import type { Step } from './steps/step'

/** Where a job stands: its first step that nobody has done or answered and that nothing holds by the clock, then what was put off, then its last. */
export function currentIndex(steps: readonly Step[], progress: BayProgress, nowMs?: number): number {
  const isOpen = (step: Step) => !isSettled(step, progress)
  // While something rests, what does not wait for it goes on.
  const free =
    nowMs === undefined
      ? -1
      : steps.findIndex(
          (step) =>
            isOpen(step) &&
            waitsFor(step, steps, progress).length === 0 &&
            restsOf(step, steps, progress, nowMs).length === 0,
        )
  if (free >= 0) return free
  const open = steps.findIndex(isOpen)
  if (open >= 0) return open
  const off = steps.findIndex((step) => !isDone(step, progress))
  return off >= 0 ? off : steps.length - 1
}

/** The steps that have to be done, or answered, before this one is worked. */
export const waitsFor = (step: Step, steps: readonly Step[], progress: BayProgress): Step[] =>
  steps.filter((each) => step.after.includes(each.id) && !isSettled(each, progress))

/**
 * Minutes still to go for one and for two: the middle of each step's range, scheduled, and what still rests by the clock.
 * `nowMs` is the time now, ms since 1970; without it nothing rests.
 */
export function minutesLeft(
  steps: readonly Step[],
  progress: BayProgress,
  nowMs?: number,
): { readonly one: number; readonly two: number } {
  const open = steps.filter((step) => !isDone(step, progress))
  const resting = new Map(
    nowMs === undefined
      ? []
      : open.flatMap((step) =>
          restsOf(step, steps, progress, nowMs).map((rest) => [rest.stepId, rest] as const),
        ),
  )
  const ids = new Set([...open.map(({ id }) => id), ...resting.keys()])
  const rests = [...resting.values()].map(({ stepId, title, leftMinutes }) => ({
    id: stepId,
    title,
    after: [],
    minutes: { from: 0, to: 0 },
    waitMinutes: leftMinutes,
    hands: 1 as const,
  }))
  const timed = open.map(({ id, title, after, minutes, waitMinutes, hands }) => {
    const middle = (minutes.from + minutes.to) / 2
    return {
      id,
      title,
      after: after.filter((each) => ids.has(each)),
      minutes: { from: middle, to: middle },
      waitMinutes,
      hands,
    }
  })
  const all = [...rests, ...timed]
  return { one: schedule(all, 1, 'to').minutes, two: schedule(all, 2, 'to').minutes }
}

/** How a step stands. */
export type StepState = 'done' | 'again' | 'open' | StepAnswer

/** One piece of evidence that a step asks: at which place, what was given, and how it is known. */
interface Evidence {
  readonly place: string
  readonly given: string | undefined
}

/** What a step asks place by place, and what was given. */
function evidenceOf(step: Step, survey: Survey, progress: BayProgress): Evidence[] {
  const { task } = step
  switch (task.kind) {
    case 'torque': {
      const { group } = task
      const answered = placeAnswers(step, progress)
      return group.spots.map((place) => {
        const pull = progress.torqued.get(pullKey(group.joint.id, place, lastPass(group)))
        const given =
          pull?.nm === undefined ? pull && pullWords(pull.how) : `${Number(pull.nm.toFixed(2))} N·m`
        return { place, given: answered.get(place) ?? given }
      })
    }
    case 'marks':
      return task.asks.map(({ id, what, at }) => ({ place: `${what}, ${at}`, given: progress.marks.get(id) }))
    case 'count':
      return partsCheck(survey).lines.map(({ id, what }) => ({
        place: what,
        given: progress.counted.get(id)?.toString(),
      }))
    case 'measure':
      return task.pairs.flatMap(({ id, taped }) => {
        const readings = progress.measured.get(`${step.id} ${id}`) ?? {}
        return taped.map((place) => ({ place, given: readings[place]?.join(', ') }))
      })
    case 'prove':
      return askedOf(task.item).map(({ id, name }) => ({ place: name, given: progress.proved.get(id) }))
    case 'weigh':
      return [{ place: task.name, given: progress.weighed.get(task.targetId)?.toString() }]
    case 'channel': {
      const seen = progress.channels.get(task.channel.barId)
      return [{ place: task.channel.channel.name, given: seen && `${seen.length} in it` }]
    }
    case 'do':
    case 'start':
    case 'cut':
    case 'confirm':
    case 'tell':
      return []
  }
}

/** A step as the session has it. */
export interface SessionStep {
  readonly step: Step
  readonly state: StepState
  /** What changed since it was done, where it is to be done again. */
  readonly changed: string | undefined
  /** What it still waits for, by title. */
  readonly waits: readonly string[]
  readonly holds: readonly Hold[]
  readonly asks: readonly Evidence[]
}

/** Where a whole job stands in the bay. Minutes for one and for two. */
export interface Session {
  readonly steps: readonly SessionStep[]
  readonly next: SessionStep | undefined
  readonly done: number
  readonly left: { readonly one: number; readonly two: number }
}

/** What comes next, what holds each step, what it asks and was given, what has grown old, and how long is left. */
export function sessionOf(
  steps: readonly Step[],
  survey: Survey,
  review: Review,
  logged: BayProgress,
): Session {
  const { progress, again } = currentProgress(steps, survey, withBenchReadings(logged, steps, survey.plan))
  const states = steps.map((step): SessionStep => {
    const changed = progress.done.has(step.id) ? undefined : again.get(step.id)
    const answer = answerOf(step, progress)?.answer
    return {
      step,
      state: progress.done.has(step.id) ? 'done' : (answer ?? (changed === undefined ? 'open' : 'again')),
      changed,
      waits: waitsFor(step, steps, progress).map(({ title }) => title),
      holds: progress.done.has(step.id)
        ? []
        : holdsOf(step, survey, stepFindings(step, survey, progress), progress, {
            steps,
            review,
            again,
          }),
      asks: evidenceOf(step, survey, progress),
    }
  })
  const finished = steps.every((step) => isDone(step, progress))
  return {
    steps: states,
    next: finished ? undefined : states[currentIndex(steps, progress)],
    done: steps.filter((step) => isDone(step, progress)).length,
    left: minutesLeft(steps, progress),
  }
}
