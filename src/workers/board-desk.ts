import { bayRulesOf, carOf, dueOf, glanceOf, judgePlan, type LogEvent, ownEvents, type Plan } from '@/core'
import { type KeptGlance, keepGlances, readGlances } from '@/storage/glances'
import { loadEvents } from '@/storage/log'
import { loadPlan } from '@/storage/plans'
import { pictureOf } from '@/ui/drawing/side-marks'
import type { BoardCard } from './board-messages'

/** So many cards are told at a time, so that the first ones stand while the rest is worked out. */
const AT_A_TIME = 24

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
    backOn: backOn(plan, own),
  }
}

/** Which of all events may be a job's own: by its car and by its name. */
class EventsByJob {
  private readonly byCar = new Map<string, LogEvent[]>()
  private readonly byJob = new Map<string, LogEvent[]>()
  constructor(events: readonly LogEvent[]) {
    const into = (map: Map<string, LogEvent[]>, key: string, event: LogEvent) => {
      const list = map.get(key)
      if (list) list.push(event)
      else map.set(key, [event])
    }
    for (const event of events) {
      into(this.byCar, event.vehicleId, event)
      if (event.jobId !== undefined) into(this.byJob, event.jobId, event)
    }
  }
  of(plan: Plan, cars: ReadonlyMap<string, string>): readonly LogEvent[] {
    const both = new Set([...(this.byCar.get(plan.car.id) ?? []), ...(this.byJob.get(plan.id) ?? [])])
    return ownEvents([...both], plan, cars)
  }
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

  const events = await loadEvents()
  const own = new EventsByJob(events)
  // Which car each event is about hangs on the jobs it names: those at hand here and those whose cards are kept.
  const cars = new Map(
    [...kept].flatMap(([id, { card }]) => {
      const known = card as BoardCard
      return known.ok ? [[id, known.glance.carId] as const] : []
    }),
  )
  const fresh = new Map<string, KeptGlance>()
  const work = [...unkept, ...stale]
  for (let i = 0; i < work.length && wanted(); i += AT_A_TIME) {
    const told = await Promise.all(
      work.slice(i, i + AT_A_TIME).map(async (each): Promise<BoardCard | undefined> => {
        const stored = typeof each === 'string' ? await loadPlan(each) : { ok: true as const, plan: each }
        if (!stored) return undefined
        if (!stored.ok) return { ok: false, id: stored.id, reason: stored.problems[0]?.text }
        const { plan } = stored
        cars.set(plan.id, plan.car.id)
        const its = own.of(plan, cars)
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
      }),
    )
    tell(
      told.flatMap((card) => card ?? []),
      Math.max(0, work.length - i - AT_A_TIME),
    )
  }
  await keepGlances(
    fresh,
    [...kept.keys()].filter((id) => !revisions.has(id)),
  )
}
