import type { BayProgress } from '../log/record'
import type { Hold } from './hold'
import type { Step } from './steps/step'

const MINUTE_MS = 60_000

/** A time that has to pass between two steps: what rests, and how long it still does, minutes. */
export interface Rest {
  readonly id: string
  /** The step that is done and whose time is not over. */
  readonly stepId: string
  readonly title: string
  readonly leftMinutes: number
  readonly waitMinutes: number
}

/** Under which name a rest is spoken of: a word that ended an earlier one ends no later one. */
const restId = (stepId: string, since: string) => `wait ${stepId} since ${since}`

/**
 * What a step still has to wait for by the clock: done steps that it comes after, whose own time is not over. `nowMs` is the
 * time now, ms since 1970. What a named person ended early holds nothing.
 */
export function restsOf(
  step: Step,
  steps: readonly Step[],
  progress: BayProgress,
  nowMs: number,
): readonly Rest[] {
  return steps.flatMap(({ id, title, waitMinutes }): Rest[] => {
    const at = progress.doneAt.get(id)
    if (waitMinutes <= 0 || at === undefined || !step.after.includes(id) || !progress.done.has(id)) return []
    const leftMinutes = (Date.parse(at) + waitMinutes * MINUTE_MS - nowMs) / MINUTE_MS
    // A clock that was set back since makes no wait longer than it is.
    const rest = restId(id, at)
    const isEnded = progress.deviations.some(({ about }) => about?.includes(rest))
    return leftMinutes <= 0 || isEnded
      ? []
      : [{ id: rest, stepId: id, title, waitMinutes, leftMinutes: Math.min(leftMinutes, waitMinutes) }]
  })
}

/** Minutes as hours and minutes: `7 h 12 min`. */
function lasting(minutes: number): string {
  const whole = Math.ceil(minutes)
  const hours = Math.floor(whole / 60)
  return hours === 0 ? `${whole} min` : `${hours} h ${whole % 60} min`
}

/** What holds a step until the time of what rests is over, or until somebody ends it early, by name and with a reason. */
export const restHolds = (rests: readonly Rest[]): readonly Hold[] =>
  rests.map(({ id, title, leftMinutes, waitMinutes }) => ({
    id,
    message: `Wait ${lasting(leftMinutes)} more, or say what differs.`,
    words: [`${title}: it rests ${lasting(waitMinutes)}, and ${lasting(leftMinutes)} are left. End it early`],
    coverable: true,
    stops: false,
  }))
