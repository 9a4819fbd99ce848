import type { LogEvent } from './event'

/**
 * The order of two events: by what each had seen, then by device, then by name. Entries from before events had turns come
 * first, by their time. A clock set back or forward changes nothing for the others.
 */
export function compareEvents(a: LogEvent, b: LogEvent): number {
  const [x, y] = [a.turn ?? 0, b.turn ?? 0]
  if (x !== y) return x - y
  if (x === 0) return a.at < b.at ? -1 : a.at > b.at ? 1 : 0
  const [d, e] = [a.device ?? '', b.device ?? '']
  if (d !== e) return d < e ? -1 : 1
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0
}

/**
 * Logs of several devices as one: every event once, in order. Whichever is taken in first, it is the same log; an event
 * that is there already is never written over.
 */
export function united(...logs: readonly (readonly LogEvent[])[]): LogEvent[] {
  const byId = new Map<string, LogEvent>()
  for (const event of logs.flat()) if (!byId.has(event.id)) byId.set(event.id, event)
  return [...byId.values()].sort(compareEvents)
}

/** The turn of what is written next by somebody who has seen these. */
export const nextTurn = (seen: readonly LogEvent[]): number =>
  seen.reduce((most, { turn }) => Math.max(most, turn ?? 0), 0) + 1
