import type { BayRules } from '@/core/api/plan'
import { carOf, carsByJob, dueOf, type JobAbout, type LogEvent, nextTurn, united } from '@/core/api/fit'
import { saveGathered, readGathered } from './gathered'
import { savedAbouts, type JobAbouts, loadAbouts } from './job-abouts'
import { eventsIn, unsavedEvents } from './log'
import { togetherNow } from './together-now'
import { allUnder, keysOn, slicesOf } from './database'

/** Cars whose entries are read one car at a time; with more of them the whole log is, so much at a time. */
const FEW = 100
const AT_A_TIME = 400

/** What the log written under one car's name comes to, with how far it had come then. */
interface Digest {
  readonly car: string
  readonly print: string
  /** The jobs that entries of it name. */
  readonly jobs: readonly string[]
  /** How many of its entries read, and the last turn among them. */
  readonly count: number
  readonly turn: number
}

/** The day on which a car is next due by what stands under its name, by some rules and with how far its log had come. */
interface NextDay {
  readonly car: string
  readonly print: string
  readonly rules: string
  readonly on?: string
}

/** What this program wrote of its logs is not looked through field by field: there are thousands of them. */
const isOfCar = (raw: unknown): raw is object =>
  typeof raw === 'object' && raw !== null && 'car' in raw && 'print' in raw
const isDigest = (raw: unknown): raw is Digest => isOfCar(raw) && 'jobs' in raw
const isNextDay = (raw: unknown): raw is NextDay => isOfCar(raw) && 'rules' in raw

const carIn = (key: string) => key.slice(0, key.indexOf('/'))
const under = (carId: string) => `${carId}/`

/** How far the log of each car has come: how many entries, and which is the last. */
export function printsOf(keys: readonly string[]): ReadonlyMap<string, string> {
  const found = new Map<string, { count: number; last: string }>()
  for (const key of keys) {
    const before = found.get(carIn(key))
    found.set(carIn(key), {
      count: (before?.count ?? 0) + 1,
      last: before && before.last > key ? before.last : key,
    })
  }
  return new Map([...found].map(([car, { count, last }]) => [car, `${count} ${last}`]))
}

/** The entries of some cars, car by car, so many at a time that nothing else waits long. */
async function* logsOf(
  carIds: readonly string[],
): AsyncGenerator<readonly [car: string, events: LogEvent[]]> {
  if (carIds.length <= FEW) {
    for (const car of carIds) yield [car, eventsIn(await allUnder('log', [under(car)]))]
    return
  }
  const wanted = new Set(carIds)
  let car = ''
  let raw: unknown[] = []
  for await (const slice of slicesOf('log', AT_A_TIME))
    for (const [key, value] of slice) {
      if (carIn(key) !== car) {
        if (wanted.has(car)) yield [car, eventsIn(raw)]
        car = carIn(key)
        raw = []
      }
      raw.push(value)
    }
  if (wanted.has(car)) yield [car, eventsIn(raw)]
}

const printsNow = togetherNow(async () => printsOf(await keysOn('log')))

/** Of each car what is kept where its log has not gone on since, or else what its entries come to now; all is kept again. */
async function perCar<T extends { readonly car: string; readonly print: string }>(
  name: string,
  isOne: (raw: unknown) => raw is T,
  holds: (saved: T) => boolean,
  workOut: (car: string, print: string, events: readonly LogEvent[]) => T,
): Promise<ReadonlyMap<string, T>> {
  const [prints, saved] = await Promise.all([printsNow(), readGathered(name, isOne)])
  const found = new Map(
    saved.flatMap((one) => (prints.get(one.car) === one.print && holds(one) ? [[one.car, one]] : [])),
  )
  const stale = [...prints.keys()].filter((car) => !found.has(car))
  for await (const [car, events] of logsOf(stale)) found.set(car, workOut(car, prints.get(car) ?? '', events))
  if (stale.length > 0 || saved.length !== found.size) await saveGathered(name, [...found.values()])
  return found
}

const digestsNow = togetherNow(() =>
  perCar<Digest>(
    'carLogs',
    isDigest,
    () => true,
    (car, print, events) => ({
      car,
      print,
      jobs: [...new Set(events.flatMap(({ jobId }) => jobId ?? []))],
      count: events.length,
      turn: nextTurn(events) - 1,
    }),
  ),
)

function nextDays(by: BayRules): Promise<ReadonlyMap<string, NextDay>> {
  const rules = JSON.stringify(by)
  return perCar<NextDay>(
    'nextDays',
    isNextDay,
    (saved) => saved.rules === rules,
    (car, print, events) => {
      const on = dueOf(events, by)[0]?.on
      return { car, print, rules, ...(on !== undefined && { on }) }
    },
  )
}

/** A car's log: its entries in their order, the jobs of this browser, and the turn of whoever writes next. */
export interface CarLog extends JobAbouts {
  readonly events: readonly LogEvent[]
  readonly nextTurn: number
}

/** Whose entries are asked for: those of cars, and of jobs whatever car's name they were written under. */
export interface Whose {
  readonly cars: readonly string[]
  readonly jobs: readonly string[]
}

/** Whose log entries may be about that came from elsewhere. */
export const whoseIn = (events: readonly LogEvent[]): Whose => ({
  cars: [...new Set(events.map(({ vehicleId }) => vehicleId))],
  jobs: [...new Set(events.flatMap(({ jobId }) => jobId ?? []))],
})

const ofThese = ({ cars, jobs }: Whose): ((event: LogEvent) => boolean) => {
  const [theseCars, theseJobs] = [new Set(cars), new Set(jobs)]
  return ({ vehicleId, jobId }) => theseCars.has(vehicleId) || (jobId !== undefined && theseJobs.has(jobId))
}

/** All entries about some cars: written under their names, or in jobs of theirs under the name of a car they were parted from. */
async function eventsOf(
  whose: Whose,
  about: readonly JobAbout[],
  digests: ReadonlyMap<string, Digest>,
): Promise<readonly LogEvent[]> {
  const cars = new Set(whose.cars)
  const jobs = new Set(whose.jobs)
  for (const { id, car } of about) if (cars.has(car.id)) jobs.add(id)
  for (const [car, digest] of digests) if (digest.jobs.some((id) => jobs.has(id))) cars.add(car)
  const stored = await allUnder('log', [...cars].map(under))
  return united(eventsIn(stored), unsavedEvents().filter(ofThese({ cars: [...cars], jobs: [...jobs] })))
}

/** What was written under some cars' names and of what jobs, at once: what their jobs wrote elsewhere is not looked for. */
export async function glimpseCarLogs(
  cars: readonly string[],
): Promise<{ readonly events: readonly LogEvent[]; readonly jobs: readonly JobAbout[] }> {
  const events = united(eventsIn(await allUnder('log', cars.map(under))), unsavedEvents())
  return { events, jobs: await savedAbouts() }
}

/** The log of some cars and jobs, without that of all others being read. */
export async function loadCarLogs(whose: Whose): Promise<CarLog> {
  const [abouts, digests] = await Promise.all([loadAbouts(), digestsNow()])
  const stored = [...digests.values()].reduce((most, { turn }) => Math.max(most, turn), 0)
  return {
    ...abouts,
    events: await eventsOf(whose, abouts.jobs, digests),
    nextTurn: Math.max(nextTurn(unsavedEvents()), stored + 1),
  }
}

/** A car with a log or a job, as it stands in a list. */
export interface ListedCar {
  readonly id: string
  /** A job that is about it; nothing where only its log is here. */
  readonly about: JobAbout | undefined
  /** The day on which it is next due, if any. */
  readonly next: string | undefined
  readonly count: number
}

/** Every car that has a job or an entry here. */
export async function listCars(rules: BayRules): Promise<readonly ListedCar[]> {
  const [{ jobs }, digests] = await Promise.all([loadAbouts(), digestsNow()])
  const days = await nextDays(rules)
  const cars = carsByJob(jobs)
  const list = new Map<string, ListedCar>()
  for (const about of jobs) list.set(about.car.id, { id: about.car.id, about, next: undefined, count: 0 })
  /** Cars whose entries stand under more names than their own. */
  const mixed = new Set<string>()
  for (const [id, { count, jobs: named }] of digests) {
    list.set(id, { id, about: list.get(id)?.about, next: days.get(id)?.on, count })
    const others = named.flatMap((job) => cars.get(job) ?? []).filter((car) => car !== id)
    if (others.length > 0) for (const car of [id, ...others]) mixed.add(car)
  }
  for (const id of mixed) {
    const events = await eventsOf({ cars: [id], jobs: [] }, jobs, digests)
    const own = events.filter((event) => carOf(event, cars) === id)
    const about = list.get(id)?.about
    if (own.length === 0 && !about) list.delete(id)
    else list.set(id, { id, about, next: dueOf(own, rules)[0]?.on, count: own.length })
  }
  return [...list.values()]
}
