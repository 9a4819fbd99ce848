import { EVENT_WORD, type EventKind, type LogEvent } from './event'

/** Entries of one job on one day, one after the other: a visit, or a look in between. */
export interface Visit {
  readonly id: string
  readonly jobId: string | undefined
  /** The day as its entries say it; shown, never reckoned with. */
  readonly day: string
  readonly by: readonly string[]
  readonly events: readonly LogEvent[]
}

/** A log in its order as visits, in the same order. */
export function visitsOf(events: readonly LogEvent[]): Visit[] {
  const visits: { jobId: string | undefined; day: string; events: LogEvent[] }[] = []
  for (const event of events) {
    const day = event.at.slice(0, 10)
    const now = visits.at(-1)
    if (now && now.jobId === event.jobId && now.day === day) now.events.push(event)
    else visits.push({ jobId: event.jobId, day, events: [event] })
  }
  return visits.map(({ jobId, day, events: own }) => ({
    id: own[0]?.id ?? '',
    jobId,
    day,
    by: [...new Set(own.flatMap(({ by }) => by ?? []))],
    events: own,
  }))
}

/** What happened at a visit, by kind and how often, in the order of first happening. */
export function visitWords({ events }: Visit): string {
  const counts = new Map<EventKind, number>()
  for (const { kind } of events) counts.set(kind, (counts.get(kind) ?? 0) + 1)
  return [...counts]
    .map(([kind, count]) => `${EVENT_WORD[kind].toLowerCase()}${count > 1 ? ` ${count} times` : ''}`)
    .join(', ')
}
