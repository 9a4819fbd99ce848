import type { BayProgress } from '../log/record'
import type { Status } from '../units/scalars'
import { holesFor } from '../survey/mounting/holes'
import { rootOf } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { isDone, isSettled } from './answers'
import type { Step } from './steps/step'

/** What of a job is on the vehicle as far as its log goes, and what the bay has still to do. */
export interface Fitted {
  /** A line a rack and a thing, each with how far it is. */
  readonly lines: readonly string[]
  /** Nothing where every step is done, or nothing is planned. */
  readonly unfinished: { readonly done: number; readonly of: number; readonly next: string } | undefined
}

const doneOf = (steps: readonly Step[], progress: BayProgress) =>
  steps.filter((step) => isDone(step, progress)).length

/** How far one group of steps is: only what is all done was fitted. */
function far(steps: readonly Step[], progress: BayProgress): string {
  const done = doneOf(steps, progress)
  if (done === 0) return 'not fitted yet'
  return done === steps.length ? 'fitted' : `not finished, ${done} of ${steps.length} steps`
}

/** What was fitted by its steps, and not by the plan: nobody's tick, nothing fitted. */
export function fittedOf(survey: Survey, steps: readonly Step[], progress: BayProgress): Fitted {
  const byGroup = new Map<string, Step[]>()
  for (const step of steps) byGroup.set(step.group, [...(byGroup.get(step.group) ?? []), step])
  const state = (status: Status | undefined, group: string): string => {
    if (status === 'alreadyOn') return 'already on at arrival'
    const own = byGroup.get(group) ?? []
    return own.length > 0 ? far(own, progress) : 'as planned, without steps of its own'
  }
  const racks = survey.racks.map(({ rack }) => {
    const parts = rack.parts.map(({ count, name }) => `${count} × ${name}`).join(', ')
    return `${rack.name}: ${state(rack.status, rack.id)}. ${parts}`
  })
  const things = survey.things
    .filter((thing) => rootOf(thing) === thing && thing.gear.kind !== 'person')
    .map(({ gear, placement }) => `${gear.name}: ${state(placement.status, `gear:${placement.id}`)}`)
  const carried = survey.things.flatMap((thing) => {
    const { gear, parent } = thing
    const hole = holesFor(thing)
    const ways = [
      ...(hole ? [`hole ${hole.chosen + 1} of ${hole.holes.length}`] : []),
      ...(gear.fit.inCarrier === undefined ? [] : [`held by ${gear.fit.inCarrier}`]),
    ]
    return parent && ways.length > 0 ? [`${gear.name}: in ${parent.gear.name}, ${ways.join(', ')}`] : []
  })
  const open =
    steps.find((step) => !isSettled(step, progress)) ?? steps.find((step) => !isDone(step, progress))
  return {
    lines: [...racks, ...things, ...carried],
    unfinished:
      open && racks.length + things.length > 0
        ? { done: doneOf(steps, progress), of: steps.length, next: open.title }
        : undefined,
  }
}
