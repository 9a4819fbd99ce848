import { EVENTS, type LogEvent } from './event'
import { emptyJob, type BayProgress, type FittedRack, type JobDraft, type Replaced } from './record'

/** What the events of one vehicle say about it now. */
export interface RackRecord {
  readonly racks: readonly FittedRack[]
  readonly missing: ReadonlyMap<string, number>
  readonly replaced: readonly Replaced[]
  readonly jobs: ReadonlyMap<string, BayProgress>
  /** Events that still count, in order. */
  readonly counting: readonly LogEvent[]
}

/** Events that were not corrected away. A correction can itself be corrected: then what it named counts again. */
export function countingEvents(events: readonly LogEvent[]): LogEvent[] {
  const struck = new Set<string>()
  for (const event of events.toReversed())
    if (event.kind === 'corrected' && !struck.has(event.id)) struck.add(event.eventId)
  return events.filter(({ id }) => !struck.has(id))
}

/** What a vehicle's log says, event after event. Any beginning of a log is a record too. */
export function replay(events: readonly LogEvent[]): RackRecord {
  const counting = countingEvents(events)
  const racks = new Map<string, FittedRack>()
  const missing = new Map<string, number>()
  const jobs = new Map<string, JobDraft>()
  const replaced: Replaced[] = []
  for (const event of counting)
    EVENTS[event.kind].changes?.({ racks, missing, replaced, job: jobOf(jobs, event.jobId) }, event)
  return { racks: [...racks.values()], missing, replaced, jobs, counting }
}

function jobOf(jobs: Map<string, JobDraft>, id: string | undefined): JobDraft {
  if (id === undefined) return emptyJob()
  const job = jobs.get(id) ?? emptyJob()
  jobs.set(id, job)
  return job
}
