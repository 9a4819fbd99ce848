import type { Plan } from '../plan/plan'
import type { LogEvent } from './event'

/** A car as people tell it from another of its kind. */
export const carName = ({ vehicle, car, job }: Plan): string =>
  [vehicle.name, car.plate ?? car.number, job.customer].filter((each) => each !== undefined).join(' · ')

/** Which car each job is about, by the job's id. */
export const carsByJob = (plans: readonly Plan[]): ReadonlyMap<string, string> =>
  new Map(plans.map((plan) => [plan.id, plan.car.id]))

/**
 * Which car an event is about: that of its job, which may have been parted from another since; else the one it names.
 */
export const carOf = (event: LogEvent, cars: ReadonlyMap<string, string>): string =>
  (event.jobId === undefined ? undefined : cars.get(event.jobId)) ?? event.vehicleId

/**
 * The events of a job's own car. While nobody has said whether another job from before has the same car, only what was
 * written in this very job is its own.
 */
export function ownEvents(
  events: readonly LogEvent[],
  plan: Plan,
  cars: ReadonlyMap<string, string>,
): LogEvent[] {
  return events.filter((event) =>
    event.jobId === plan.id ? true : !plan.car.shared && carOf(event, cars) === plan.car.id,
  )
}

/** Other jobs that perhaps have the same car: from the time when a car was told apart by its stock entry alone. */
export const perhapsSame = (plan: Plan, plans: readonly Plan[]): readonly Plan[] =>
  plan.car.shared ? plans.filter((other) => other.id !== plan.id && other.car.id === plan.car.id) : []
