import type { LogEvent } from './event'

/**
 * What an entry speaks of, so that a later one of the same puts it aside; nothing for what only adds to what was said.
 * The same name is the same thing in every job's log.
 */
function subjectOf(event: LogEvent): string | undefined {
  const own = (...parts: readonly (string | number)[]) =>
    [event.kind, event.vehicleId, event.jobId ?? '', ...parts].join('\u0000')
  switch (event.kind) {
    case 'counted':
      return own(event.lineId)
    case 'measured':
      return own(event.stepId, event.pairId)
    case 'weighed':
      return own(event.targetId)
    case 'torqued':
      return own(event.jointId, event.spot, event.pass)
    case 'proved':
      return own(event.item)
    case 'channelSeen':
      return own(event.barId)
    case 'answered':
      return event.places ? undefined : own(event.stepId)
    case 'checked':
    case 'corrected':
    case 'dated':
    case 'deviated':
    case 'firstTrip':
    case 'fitted':
    case 'found':
    case 'loadChanged':
    case 'lost':
    case 'refitted':
    case 'removed':
    case 'replaced':
    case 'signSeen':
    case 'stepDone':
    case 'stepReopened':
    case 'told':
      return undefined
  }
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
