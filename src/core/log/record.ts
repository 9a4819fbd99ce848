import type { Calibration } from './calibration'
import type { StepAnswer } from './answer'
import type { Contents } from './contents'
import type { ProofOutcome } from './proof-outcome'
import type { PullEvidence } from './pull-evidence'
import type { ReadFrom } from './read-from'
import type { Readings, Taped } from './taped'

/** What each was read from, where that was not its usual mark. */
export type ReadingsFrom = Readonly<Partial<Record<Taped, ReadFrom>>>

/** What somebody said of a step, or of places of it, instead of doing it. */
export interface Answered {
  readonly id: string
  readonly at: string
  readonly by?: string | undefined
  readonly stepId: string
  readonly title: string
  readonly answer: StepAnswer
  readonly places?: readonly string[] | undefined
  readonly jointId?: string | undefined
  readonly reason: string
  readonly hung?: EvidenceFacts | undefined
}

/** What somebody said to differ from the sheet. */
interface Deviated {
  readonly id: string
  readonly at: string
  readonly by?: string | undefined
  readonly stepId: string
  readonly title: string
  readonly reason: string
  readonly about?: readonly string[] | undefined
}

/** What somebody found where a joint was tightened over its figure, to so much, N·m. */
export interface OverLook {
  readonly at: string
  readonly by?: string | undefined
  readonly jointId: string
  readonly spot: string
  readonly nm: number
  readonly found: string
}

/** A part that another took the place of. */
export interface Replaced {
  readonly at: string
  readonly what: string
  readonly with: string
}

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

/** What a tick depended on when it was given, by the fact's name. */
export type EvidenceFacts = Readonly<Record<string, number | string>>

/** A job's progress while a log is read. */
export interface JobDraft {
  done: Set<string>
  /** When each tick was given: what has to rest after it is reckoned from there. */
  doneAt: Map<string, string>
  /** What each tick depended on, where its entry says so. */
  hung: Map<string, EvidenceFacts>
  counted: Map<string, number>
  /** The last readings of each pair at each step, by `step pair`. */
  measured: Map<string, Readings>
  /** What was typed for the last reading of each, by the same key. */
  typed: Map<string, Readonly<Partial<Record<Taped, string>>>>
  /** What the tape was read from for each, where it was not its usual mark, by the same key. */
  readFrom: Map<string, ReadingsFrom>
  /** Places whose sign was seen beside a reading, by `joint spot`; a pull again takes it back. */
  signs: Set<string>
  /** Places whose sign was looked at and is not right, each with what was seen, by `joint spot`. */
  wrong: Map<string, string>
  /** Pulls done, by `joint spot pass`. */
  torqued: Map<string, Pulled>
  /** Which of those pulls went to the whole figure. */
  fullPulls: Set<string>
  /** The highest reading at each place since somebody last looked at it, N·m, by `joint spot`: a lower one later forgives it nothing. */
  highest: Map<string, number>
  /** What somebody found at places that were tightened over their figure. */
  overLooks: OverLook[]
  weighed: Map<string, number>
  /** Weights that a device of the demo played, and nobody weighed. */
  playedWeights: Set<string>
  proved: Map<string, ProofOutcome>
  told: string[]
  deviations: Deviated[]
  /** The mark that was seen at each place of marked pieces, by the place's id. */
  marks: Map<string, string>
  /** What was seen in each channel before it was loaded, by the channel's id. */
  channels: Map<string, readonly Contents[]>
  /** What was said of a step, or of places of it, instead of doing it; by step. */
  answers: Map<string, readonly Answered[]>
}

type Settled<T> =
  T extends Set<infer V> ? ReadonlySet<V> : T extends Map<infer K, infer V> ? ReadonlyMap<K, V> : Readonly<T>

/** One job's progress in the bay as the log has it. */
export type BayProgress = { readonly [K in keyof JobDraft]: Settled<JobDraft[K]> }

export const emptyJob = (): JobDraft => ({
  done: new Set(),
  doneAt: new Map(),
  hung: new Map(),
  counted: new Map(),
  measured: new Map(),
  wrong: new Map(),
  torqued: new Map(),
  fullPulls: new Set(),
  highest: new Map(),
  overLooks: [],
  weighed: new Map(),
  playedWeights: new Set(),
  proved: new Map(),
  told: [],
  deviations: [],
  typed: new Map(),
  readFrom: new Map(),
  answers: new Map(),
  channels: new Map(),
  marks: new Map(),
  signs: new Set(),
})

/** What no event has touched yet. */
export const NOTHING_DONE: BayProgress = emptyJob()

export const pullKey = (jointId: string, spot: string, pass: number): string => `${jointId} ${spot} ${pass}`

export const signKey = (jointId: string, spot: string): string => `${jointId} ${spot}`

/** What an entry may change: the vehicle's racks and parts, and its own job. */
export interface RecordDraft {
  readonly racks: Map<string, FittedRack>
  readonly missing: Map<string, number>
  readonly replaced: Replaced[]
  readonly job: JobDraft
}

/** Keeps those of a step's answers that something holds of. */
export function retainAnswers(job: JobDraft, stepId: string, which: (answer: Answered) => boolean): void {
  const kept = (job.answers.get(stepId) ?? []).filter(which)
  if (kept.length > 0) job.answers.set(stepId, kept)
  else job.answers.delete(stepId)
}

/** A place that is pulled, or answered again, has no answer from before. */
export function forgetPlaces(job: JobDraft, jointId: string | undefined, spots: readonly string[]): void {
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
