import type { Plan } from '../plan/schema/plan'
import type { LogEvent } from './event'

/** What a job says of itself where many are looked through: its name, its customer and whose car it is about. A plan says it too. */
export interface JobAbout extends Pick<Plan, 'id' | 'car'> {
  readonly job: Pick<Plan['job'], 'name' | 'number' | 'customer'>
  readonly vehicle: Pick<Plan['vehicle'], 'name'>
}

/** What a job says of itself, without the rest of it. */
export const aboutOf = ({ id, car, job: { name, number, customer }, vehicle }: JobAbout): JobAbout => ({
  id,
  car,
  job: { name, ...(number !== undefined && { number }), ...(customer !== undefined && { customer }) },
  vehicle: { name: vehicle.name },
})

/** A car as people tell it from another of its kind. */
export const carName = ({ vehicle, car, job }: JobAbout): string =>
  [vehicle.name, car.plate ?? car.number, job.customer].filter((each) => each !== undefined).join(' · ')

/** Which car each job is about, by the job's id. */
export const carsByJob = (jobs: readonly Pick<JobAbout, 'id' | 'car'>[]): ReadonlyMap<string, string> =>
  new Map(jobs.map(({ id, car }) => [id, car.id]))

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
  job: Pick<JobAbout, 'id' | 'car'>,
  cars: ReadonlyMap<string, string>,
): LogEvent[] {
  return events.filter((event) =>
    event.jobId === job.id ? true : !job.car.shared && carOf(event, cars) === job.car.id,
  )
}

/** Other jobs that perhaps have the same car: from the time when a car was told apart by its stock entry alone. */
export const perhapsSame = <J extends Pick<JobAbout, 'id' | 'car'>>(
  { id, car }: Pick<JobAbout, 'id' | 'car'>,
  jobs: readonly J[],
): readonly J[] => (car.shared ? jobs.filter((other) => other.id !== id && other.car.id === car.id) : [])
