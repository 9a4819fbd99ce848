import { EVENTS, type LogEvent } from './event'

/** What an entry speaks of; the same name is the same thing in every job's log. */
function subjectOf(event: LogEvent): string | undefined {
  const parts = EVENTS[event.kind].subject?.(event)
  return parts && [event.kind, event.vehicleId, event.jobId ?? '', ...parts].join('\u0000')
}

/** The entry that a new one puts in the place of, in a log in its order; an entry of the same kind on the same subject. */
export function replacedBy(event: LogEvent, log: readonly LogEvent[]): LogEvent | undefined {
  const subject = subjectOf(event)
  return subject === undefined ? undefined : log.findLast((each) => subjectOf(each) === subject)
}

/** Every entry that another has taken the place of, with the one that did, by id. Struck entries take no place. */
export function replacements(counting: readonly LogEvent[]): ReadonlyMap<string, string> {
  const last = new Map<string, LogEvent>()
  const replaced = new Map<string, string>()
  for (const event of counting) {
    const subject = subjectOf(event)
    if (subject === undefined) continue
    const before = last.get(subject)
    if (before) replaced.set(before.id, event.id)
    last.set(subject, event)
  }
  return replaced
}
