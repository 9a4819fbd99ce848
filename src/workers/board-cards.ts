import { bayRulesOf, type Plan } from '@/core/api/plan'
import { carOf, carsByJob, dueOf, type LogEvent, ownEvents } from '@/core/api/fit'
import { jobSummaryOf, assess, workStateOf } from '@/core/api/assess'
import { loadCarLogs } from '@/storage/car-logs'
import { type SavedSummary, saveSummaries, readSummaries } from '@/storage/summary-cache'
import { loadAbouts } from '@/storage/job-abouts'
import { loadEvents } from '@/storage/log'
import { storedFrom } from '@/storage/plans'
import { severalOn } from '@/storage/database'
import { pictureOf } from '@/drawing/side-marks'
import type { BoardCard } from './board-messages'

/** So many cards are told at a time, so that the first ones stand while the rest is worked out. */
const AT_A_TIME = 24

/** So many of the cards that are kept are told at a time. */
const TOLD_AT_A_TIME = 400

const KEPT_AT_A_TIME = 200

/** Of so many jobs only what is about them is read. */
const FEW = 60

/** The day a fitted job's car has to come back; nothing where it is not fitted. */
function backOn(plan: Plan, own: readonly LogEvent[]): string | undefined {
  const fitted = own.some(({ kind, jobId }) => kind === 'fitted' && jobId === plan.id)
  return fitted ? dueOf(own, bayRulesOf(plan.rules), [plan])[0]?.on : undefined
}

function cardOf(plan: Plan, own: readonly LogEvent[]): BoardCard {
  const assessment = assess(plan)
  const { id } = plan
  return {
    ok: true,
    id,
    summary: jobSummaryOf(assessment),
    picture: pictureOf(assessment.survey),
    work: workStateOf(own, id),
    backOn: backOn(plan, own),
  }
}

/** Which of all events may be a job's own: by its car and by its name. */
class EventsByJob {
  private readonly byCar = new Map<string, LogEvent[]>()
  private readonly byJob = new Map<string, LogEvent[]>()
  constructor(
    events: readonly LogEvent[],
    private readonly cars: ReadonlyMap<string, string>,
  ) {
    const into = (map: Map<string, LogEvent[]>, key: string, event: LogEvent) => {
      const list = map.get(key)
      if (list) list.push(event)
      else map.set(key, [event])
    }
    for (const event of events) {
      into(this.byCar, carOf(event, cars), event)
      if (event.jobId !== undefined) into(this.byJob, event.jobId, event)
    }
  }
  of(plan: Plan): readonly LogEvent[] {
    const both = new Set([...(this.byCar.get(plan.car.id) ?? []), ...(this.byJob.get(plan.id) ?? [])])
    return ownEvents([...both], plan, this.cars)
  }
}

/** Between two tellings messages come in. */
const pause = () => new Promise((resolve) => setTimeout(resolve))

/** A job that is worked out: by its id, or whole where it is in memory alone. */
type Work = string | Plan

const idOf = (work: Work) => (typeof work === 'string' ? work : work.id)

/** The entries about some jobs: of their cars alone, where there are few. */
async function eventsFor(
  work: readonly Work[],
  cars: ReadonlyMap<string, string>,
): Promise<readonly LogEvent[]> {
  if (work.length > FEW) return loadEvents()
  const jobs = work.map(idOf)
  const { events } = await loadCarLogs({ cars: jobs.flatMap((id) => cars.get(id) ?? []), jobs })
  return events
}

/** Jobs as they lie on their shelf. */
async function rawPlans(work: readonly Work[]): Promise<ReadonlyMap<string, unknown>> {
  const ids = work.filter((each) => typeof each === 'string')
  const found = await severalOn('plans', ids)
  return new Map(ids.map((id, i) => [id, found[i]]))
}

/** Some cards; `left` are still to be worked out. `whole` says that all have been told that are kept. */
export type OnBatch = (cards: readonly BoardCard[], left: number, whole: boolean) => void

/**
 * Every job's card: what is kept of those that have not changed since, at once; the others as they are worked out, a
 * few at a time. `wanted` says whether anybody still waits.
 */
export async function boardCards(
  assessedBy: string,
  unsaved: readonly Plan[],
  tell: OnBatch,
  wanted: () => boolean = () => true,
): Promise<void> {
  const { revisions, saved, log } = await readSummaries()
  const holds = (id: string, revision: number): SavedSummary | undefined => {
    const cached = saved.get(id)
    return cached?.assessedBy === assessedBy &&
      cached.revision === revision &&
      Object.entries(cached.log).every(([car, print]) => (log.get(car) ?? '') === print)
      ? cached
      : undefined
  }
  const inMemory = new Set(unsaved.map(({ id }) => id))
  const cards: BoardCard[] = []
  const stale: string[] = []
  for (const [id, revision] of revisions) {
    if (inMemory.has(id)) continue
    const cached = holds(id, revision)
    if (cached) cards.push(cached.card as BoardCard)
    else stale.push(id)
  }
  const rest = stale.length + unsaved.length
  // Told at once, thousands of cards would hold the page up.
  const last = Math.max(0, Math.ceil(cards.length / TOLD_AT_A_TIME) - 1)
  for (let i = 0; i <= last; i += 1) {
    tell(cards.slice(i * TOLD_AT_A_TIME, (i + 1) * TOLD_AT_A_TIME), rest, i === last)
    await pause()
  }
  if (rest === 0) return

  // Which car an event is about depends on the job it names, whoever's log it was written in: all jobs are asked.
  const { jobs } = await loadAbouts()
  const cars = carsByJob([...jobs, ...unsaved])
  const work = [...unsaved, ...stale]
  const own = new EventsByJob(await eventsFor(work, cars), cars)
  const fresh = new Map<string, SavedSummary>()
  for (let i = 0; i < work.length && wanted(); i += AT_A_TIME) {
    const now = work.slice(i, i + AT_A_TIME)
    const raw = await rawPlans(now)
    const cards = now.map((each): BoardCard | undefined => {
      if (typeof each === 'string' && raw.get(each) === undefined) return undefined
      const stored =
        typeof each === 'string' ? storedFrom(each, raw.get(each)) : { ok: true as const, plan: each }
      if (!stored.ok) return { ok: false, id: stored.id, reason: stored.problems[0]?.text }
      const { plan } = stored
      const its = own.of(plan)
      const card = cardOf(plan, its)
      if (typeof each === 'string') {
        const read = new Set([
          plan.car.id,
          ...its.map((event) => event.vehicleId),
          ...its.map((event) => carOf(event, cars)),
        ])
        fresh.set(plan.id, {
          assessedBy,
          revision: revisions.get(plan.id) ?? 0,
          log: Object.fromEntries([...read].map((car) => [car, log.get(car) ?? ''])),
          card,
        })
      }
      return card
    })
    tell(
      cards.flatMap((card) => card ?? []),
      Math.max(0, work.length - i - AT_A_TIME),
      true,
    )
    // What is worked out is kept as it goes: whoever leaves in the middle finds it there.
    if (fresh.size >= KEPT_AT_A_TIME) {
      await saveSummaries(fresh, [])
      fresh.clear()
    }
    await pause()
  }
  await saveSummaries(
    fresh,
    [...saved.keys()].filter((id) => !revisions.has(id)),
  )
}
