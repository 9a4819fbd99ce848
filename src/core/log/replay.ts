import type { Contents } from './contents'
import type { ProofOutcome } from './proof-outcome'
import type { Readings, Taped } from './taped'
import type { Calibration, LogEvent, PullEvidence } from './event'

type Of<K extends LogEvent['kind']> = Extract<LogEvent, { kind: K }>

/** A rack on the vehicle as the log has it. */
export interface FittedRack {
  readonly rackId: string
  readonly what: string
  readonly on: boolean
  readonly since: string
}

/** One pull as the log has it: what the wrench read, N·m, and how somebody knew that it was done. */
export interface Pulled {
  readonly nm?: number | undefined
  readonly how?: PullEvidence | undefined
  readonly tool?: string | undefined
  readonly calibration?: Calibration | undefined
  readonly simulated?: true | undefined
}

/** What a tick hung on when it was given, by the fact's name. */
export type Hung = Readonly<Record<string, number | string>>

/** One job's progress in the bay as the log has it. */
export interface BayProgress {
  readonly done: ReadonlySet<string>
  /** What each tick hung on, where its entry says so. */
  readonly hung: ReadonlyMap<string, Hung>
  readonly counted: ReadonlyMap<string, number>
  /** The last readings of each pair at each step, by `step pair`. */
  readonly measured: ReadonlyMap<string, Readings>
  /** What was typed for the last reading of each, by the same key. */
  readonly typed: ReadonlyMap<string, Readonly<Partial<Record<Taped, string>>>>
  /** Places whose sign was seen beside a reading, by `joint spot`; a pull anew takes it back. */
  readonly signs: ReadonlySet<string>
  /** Pulls done, by `joint spot pass`. */
  readonly torqued: ReadonlyMap<string, Pulled>
  readonly weighed: ReadonlyMap<string, number>
  /** Weights that a device of the demo played, and nobody weighed. */
  readonly playedWeights: ReadonlySet<string>
  readonly proved: ReadonlyMap<string, ProofOutcome>
  readonly told: readonly string[]
  readonly deviations: readonly Of<'deviated'>[]
  /** What was seen in each channel before it was loaded, by the channel's id. */
  readonly channels: ReadonlyMap<string, readonly Contents[]>
  /** What was said of a step, or of places of it, instead of doing it; by step. */
  readonly answers: ReadonlyMap<string, readonly Of<'answered'>[]>
}

/** What the events of one vehicle say about it now. */
export interface RackRecord {
  readonly racks: readonly FittedRack[]
  readonly missing: ReadonlyMap<string, number>
  readonly replaced: readonly Of<'replaced'>[]
  readonly jobs: ReadonlyMap<string, BayProgress>
  /** Events that still count, in order. */
  readonly counting: readonly LogEvent[]
}

interface Draft {
  done: Set<string>
  hung: Map<string, Hung>
  counted: Map<string, number>
  measured: Map<string, Readings>
  torqued: Map<string, Pulled>
  weighed: Map<string, number>
  playedWeights: Set<string>
  proved: Map<string, ProofOutcome>
  told: string[]
  deviations: Of<'deviated'>[]
  typed: Map<string, Partial<Record<Taped, string>>>
  answers: Map<string, readonly Of<'answered'>[]>
  channels: Map<string, readonly Contents[]>
  signs: Set<string>
}

const emptyJob = (): Draft => ({
  done: new Set(),
  hung: new Map(),
  counted: new Map(),
  measured: new Map(),
  torqued: new Map(),
  weighed: new Map(),
  playedWeights: new Set(),
  proved: new Map(),
  told: [],
  deviations: [],
  typed: new Map(),
  answers: new Map(),
  channels: new Map(),
  signs: new Set(),
})

/** What no event has touched yet. */
export const NOTHING_DONE: BayProgress = emptyJob()

export const pullKey = (jointId: string, spot: string, pass: number): string => `${jointId} ${spot} ${pass}`

export const signKey = (jointId: string, spot: string): string => `${jointId} ${spot}`

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
  const jobs = new Map<string, Draft>()
  const replaced: Of<'replaced'>[] = []
  for (const event of counting) {
    apply(event, jobOf(jobs, event.jobId))
    switch (event.kind) {
      case 'fitted':
      case 'refitted':
      case 'removed':
        racks.set(event.rackId, {
          rackId: event.rackId,
          what: event.what,
          on: event.kind !== 'removed',
          since: event.at,
        })
        break
      case 'lost':
        missing.set(event.what, (missing.get(event.what) ?? 0) + event.count)
        break
      case 'found': {
        const left = (missing.get(event.what) ?? 0) - event.count
        if (left > 0) missing.set(event.what, left)
        else missing.delete(event.what)
        break
      }
      case 'replaced':
        replaced.push(event)
        missing.delete(event.what)
        break
      case 'answered':
      case 'channelSeen':
      case 'checked':
      case 'corrected':
      case 'counted':
      case 'dated':
      case 'firstTrip':
      case 'deviated':
      case 'loadChanged':
      case 'measured':
      case 'proved':
      case 'stepDone':
      case 'signSeen':
      case 'stepReopened':
      case 'told':
      case 'torqued':
      case 'weighed':
        break
    }
  }
  return { racks: [...racks.values()], missing, replaced, jobs, counting }
}

function jobOf(jobs: Map<string, Draft>, id: string | undefined): Draft {
  if (id === undefined) return emptyJob()
  const job = jobs.get(id) ?? emptyJob()
  jobs.set(id, job)
  return job
}

function apply(event: LogEvent, job: Draft): void {
  switch (event.kind) {
    case 'stepDone':
      job.done.add(event.stepId)
      if (event.hung) job.hung.set(event.stepId, event.hung)
      else job.hung.delete(event.stepId)
      keepAnswers(job, event.stepId, ({ places }) => places !== undefined)
      return
    case 'stepReopened':
      job.done.delete(event.stepId)
      job.answers.delete(event.stepId)
      return
    case 'counted':
      job.counted.set(event.lineId, event.count)
      return
    case 'measured':
      job.measured.set(`${event.stepId} ${event.pairId}`, event.readings)
      job.typed.set(`${event.stepId} ${event.pairId}`, event.typed ?? {})
      return
    case 'torqued':
      job.torqued.set(pullKey(event.jointId, event.spot, event.pass), {
        nm: event.nm,
        how: event.nm === undefined ? event.how : 'reading',
        tool: event.tool,
        calibration: event.calibration,
        simulated: event.simulated,
      })
      job.signs.delete(signKey(event.jointId, event.spot))
      forgetPlaces(job, event.jointId, [event.spot])
      return
    case 'signSeen':
      for (const spot of event.spots) job.signs.add(signKey(event.jointId, spot))
      return
    case 'weighed':
      job.weighed.set(event.targetId, event.kg)
      if (event.simulated) job.playedWeights.add(event.targetId)
      else job.playedWeights.delete(event.targetId)
      return
    case 'proved':
      job.proved.set(event.item, event.outcome)
      return
    case 'told':
      job.told.push(event.what)
      return
    case 'deviated':
      job.deviations.push(event)
      return
    case 'channelSeen':
      job.channels.set(event.barId, event.inside)
      return
    case 'answered':
      answer(event, job)
      return
    case 'checked':
    case 'corrected':
    case 'dated':
    case 'firstTrip':
    case 'fitted':
    case 'found':
    case 'loadChanged':
    case 'lost':
    case 'refitted':
    case 'removed':
    case 'replaced':
      return
  }
}

function keepAnswers(job: Draft, stepId: string, which: (answer: Of<'answered'>) => boolean): void {
  const kept = (job.answers.get(stepId) ?? []).filter(which)
  if (kept.length > 0) job.answers.set(stepId, kept)
  else job.answers.delete(stepId)
}

/** A place that is pulled, or answered anew, has no answer from before. */
function forgetPlaces(job: Draft, jointId: string | undefined, spots: readonly string[]): void {
  if (jointId === undefined) return
  for (const [stepId, list] of job.answers) {
    const left = list.flatMap((each) => {
      if (each.jointId !== jointId || !each.places) return [each]
      const places = each.places.filter((place) => !spots.includes(place))
      return places.length === 0 ? [] : [{ ...each, places }]
    })
    if (left.length > 0) job.answers.set(stepId, left)
    else job.answers.delete(stepId)
  }
}

/** The whole step has one answer; each of its places has one. What was ticked is open again by it. */
function answer(event: Of<'answered'>, job: Draft): void {
  if (event.places) forgetPlaces(job, event.jointId, event.places)
  else keepAnswers(job, event.stepId, ({ places }) => places !== undefined)
  job.answers.set(event.stepId, [...(job.answers.get(event.stepId) ?? []), event])
  job.done.delete(event.stepId)
}
