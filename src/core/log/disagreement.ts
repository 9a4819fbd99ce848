import { compareEvents } from './sequence'
import { EVENTS, type LogEvent } from './event'
import { factText } from './fact-print'

/** What two devices said of one thing, neither having seen the other's word. */
export interface Disagreement {
  /** What both speak of: the same name for the same thing. */
  readonly subject: string
  readonly here: LogEvent
  readonly there: LogEvent
}

/** What an entry says of one thing of which there is one answer: a count, a reading, a proof, a date. */
function answersOf(event: LogEvent): string | undefined {
  const of = (...parts: readonly (string | number)[]) =>
    [event.kind, event.vehicleId, event.jobId ?? '', ...parts].join('\u0000')
  switch (event.kind) {
    case 'counted':
    case 'measured':
    case 'weighed':
    case 'proved':
    case 'channelSeen':
      return of(...(EVENTS[event.kind].subject?.(event) ?? []))
    case 'dated':
    case 'firstTrip':
      return of(event.what)
    default:
      return undefined
  }
}

/** When, by whom and in which order an entry was written: not what it says. */
const WRITTEN: ReadonlySet<string> = new Set(['id', 'at', 'by', 'turn', 'device', 'replaces'])

/** What is said last of each thing, struck entries left out. */
function lastOf(log: readonly LogEvent[]): ReadonlyMap<string, LogEvent> {
  const struck = new Set(log.flatMap((event) => (event.kind === 'corrected' ? [event.eventId] : [])))
  const last = new Map<string, LogEvent>()
  for (const event of log.toSorted(compareEvents)) {
    const subject = struck.has(event.id) ? undefined : answersOf(event)
    if (subject !== undefined) last.set(subject, event)
  }
  return last
}

/**
 * Where a log of another device says otherwise than this one, and neither had seen the other's word: which holds is asked,
 * for neither the longer log nor the later clock is right by that.
 */
export function disagreements(
  here: readonly LogEvent[],
  given: readonly LogEvent[],
): readonly Disagreement[] {
  const [knownHere, knownThere] = [new Set(here.map(({ id }) => id)), new Set(given.map(({ id }) => id))]
  const theirs = lastOf(given)
  return [...lastOf(here)].flatMap(([subject, mine]) => {
    const other = theirs.get(subject)
    const apart = other !== undefined && !knownThere.has(mine.id) && !knownHere.has(other.id)
    return apart && factText(mine, WRITTEN) !== factText(other, WRITTEN)
      ? [{ subject, here: mine, there: other }]
      : []
  })
}
