import {
  bayRulesOf,
  carOf,
  dueOf,
  glanceOf,
  judgePlan,
  type LogEvent,
  ownEvents,
  type Plan,
  workStateOf,
} from '@/core'
import { type KeptGlance, keepGlances, readGlances } from '@/storage/glances'
import { loadEvents } from '@/storage/log'
import { storedFrom } from '@/storage/plans'
import { allOn } from '@/storage/transaction'
import { pictureOf } from '@/ui/drawing/side-marks'
import type { BoardCard } from './board-messages'

/** So many cards are told at a time, so that the first ones stand while the rest is worked out. */
const AT_A_TIME = 24

const KEPT_AT_A_TIME = 200

/** The day a fitted job's car has to come back; nothing where it is not fitted. */
function backOn(plan: Plan, own: readonly LogEvent[]): string | undefined {
  const fitted = own.some(({ kind, jobId }) => kind === 'fitted' && jobId === plan.id)
  return fitted ? dueOf(own, bayRulesOf(plan.rules), [plan])[0]?.on : undefined
}

function cardOf(plan: Plan, own: readonly LogEvent[]): BoardCard {
  const judged = judgePlan(plan)
  const { id } = plan
  return {
    ok: true,
    id,
    glance: glanceOf(judged),
    picture: pictureOf(judged.survey),
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

/** Which car a job is about, as it lies on its shelf. */
function carIn(raw: unknown): string | undefined {
  const car = typeof raw === 'object' && raw !== null && 'car' in raw ? raw.car : undefined
  const id = typeof car === 'object' && car !== null && 'id' in car ? car.id : undefined
  return typeof id === 'string' ? id : undefined
}

export type Tell = (cards: readonly BoardCard[], left: number) => void

/**
 * Every job's card: what is kept of those that have not changed since, at once; the others as they are worked out, a
 * few at a time. `wanted` says whether anybody still waits.
 */
export async function boardCards(
  judgedBy: string,
  unkept: readonly Plan[],
  tell: Tell,
  wanted: () => boolean = () => true,
): Promise<void> {
  const { revisions, kept, log } = await readGlances()
  const holds = (id: string, revision: number): KeptGlance | undefined => {
    const known = kept.get(id)
    return known?.judgedBy === judgedBy &&
      known.revision === revision &&
      Object.entries(known.log).every(([car, print]) => (log.get(car) ?? '') === print)
      ? known
      : undefined
  }
  const inMemory = new Set(unkept.map(({ id }) => id))
  const cards: BoardCard[] = []
  const stale: string[] = []
  for (const [id, revision] of revisions) {
    if (inMemory.has(id)) continue
    const known = holds(id, revision)
    if (known) cards.push(known.card as BoardCard)
    else stale.push(id)
  }
  tell(cards, stale.length + unkept.length)
  if (stale.length + unkept.length === 0) return

  const [events, plans] = await Promise.all([loadEvents(), allOn('plans')])
  // Which car an event is about hangs on the job it names, whoever's log it was written in: all jobs are asked.
  const cars = new Map(
    [...plans].flatMap(([id, raw]) => {
      const car = carIn(raw)
      return car === undefined ? [] : [[id, car] as const]
    }),
  )
  for (const { id, car } of unkept) cars.set(id, car.id)
  const own = new EventsByJob(events, cars)
  const fresh = new Map<string, KeptGlance>()
  const work = [...unkept, ...stale]
  for (let i = 0; i < work.length && wanted(); i += AT_A_TIME) {
    const told = work.slice(i, i + AT_A_TIME).map((each): BoardCard | undefined => {
      if (typeof each === 'string' && !plans.has(each)) return undefined
      const stored =
        typeof each === 'string' ? storedFrom(each, plans.get(each)) : { ok: true as const, plan: each }
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
          judgedBy,
          revision: revisions.get(plan.id) ?? 0,
          log: Object.fromEntries([...read].map((car) => [car, log.get(car) ?? ''])),
          card,
        })
      }
      return card
    })
    tell(
      told.flatMap((card) => card ?? []),
      Math.max(0, work.length - i - AT_A_TIME),
    )
    // What is worked out is kept as it goes: whoever leaves in the middle finds it there.
    if (fresh.size >= KEPT_AT_A_TIME) {
      await keepGlances(fresh, [])
      fresh.clear()
    }
    await pause()
  }
  await keepGlances(
    fresh,
    [...kept.keys()].filter((id) => !revisions.has(id)),
  )
}
