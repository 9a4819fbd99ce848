import type { Taped } from '../../log/taped'
import type { Minutes } from '../../plan/schema/minutes'
import type { Phase } from '../../plan/schema/work'
import type { Phrase } from '../../units/phrase'
import type { BarChannel } from '../channel/channel'
import type { ProofItem } from '../proof'
import type { PlannedPair } from '../squareness/taped'
import type { Joint } from '../torque/joint'
import type { Pull } from '../torque/passes'

/** A joint at every place it has on this vehicle, and the order in which they are pulled. */
export interface JointGroup {
  readonly joint: Joint
  readonly spots: readonly string[]
  /** Where its places are, as far as that is known: x and y in the vehicle's frame, mm. */
  readonly at: ReadonlyMap<string, { readonly xMm: number; readonly yMm: number }>
  /** Fasteners at these places in all, and a place on average. */
  readonly count: number
  readonly perSpot: number
  readonly pulls: readonly Pull[]
  /** It was on when the vehicle came: it is looked at and tried, and not started. */
  readonly alreadyOn?: true
}

/** Two bars to tape, and what of them. */
export interface PairAsk {
  readonly id: string
  readonly pair: PlannedPair
  readonly taped: readonly Taped[]
}

/** A place at which a mark is looked for: which it should be, and which others of the part could be there instead. */
export interface MarkAsk {
  readonly id: string
  readonly partId: string
  /** What is marked: a pad, or the part itself. */
  readonly what: string
  readonly at: string
  readonly where: 'corner' | 'place'
  readonly mark: string
  readonly marks: readonly string[]
  /** The way its arrow points, where it has one. */
  readonly arrow?: string
}

/** What is hung on the scale: a piece of gear, or a load in or on one. */
export type WeighTarget =
  | { readonly of: 'gear'; readonly gearId: string }
  | { readonly of: 'load'; readonly placementId: string; readonly loadId: string }

/** What of a plan evidence may hang on: kinds of facts, by their names. */
export type FactName =
  | 'figure'
  | 'bars'
  | 'sheetMark'
  | 'feet'
  | 'parts'
  | 'marks'
  | 'thing'
  | 'stands'
  | 'words'
  | 'channel'
  | 'lines'
  | 'holes'
  | 'cuts'
  | 'weighs'
  | 'speed'
  | 'outside'
  | 'load'
  | 'swing'
  | 'opening'
  | 'printed'

/** What the group of a step about a thing on the rack begins with; its placement's id follows. */
export const OF_THING = 'gear:'

/** What a step is about, beyond doing what it says. */
export type Task =
  /** Done on somebody's word, which hangs on these. */
  | { readonly kind: 'do'; readonly on: readonly FactName[] }
  | { readonly kind: 'count' }
  /** Pieces that are told by their marks, each at its place. */
  | { readonly kind: 'marks'; readonly asks: readonly MarkAsk[] }
  | {
      readonly kind: 'weigh'
      readonly target: WeighTarget
      readonly targetId: string
      readonly name: string
      readonly guessKg: number
    }
  | { readonly kind: 'start'; readonly groups: readonly JointGroup[] }
  | { readonly kind: 'measure'; readonly pairs: readonly PairAsk[] }
  | { readonly kind: 'torque'; readonly group: JointGroup }
  | { readonly kind: 'channel'; readonly channel: BarChannel }
  /** Strips: those under the bars, those of their channels, or all. */
  | { readonly kind: 'cut'; readonly rackId: string; readonly which: 'under' | 'top' | 'all' }
  | { readonly kind: 'confirm'; readonly partId: string }
  | { readonly kind: 'prove'; readonly item: ProofItem }
  | { readonly kind: 'tell'; readonly what: readonly string[] }

/** One step of the job, with what must be done before it. Minutes with hands on it, and minutes it then waits by itself. */
export interface Step {
  readonly id: string
  /** By what the house knows it, alike on every rack and thing; nothing of a step that a sheet brings. */
  readonly key?: string
  /** It stands for a seat or a latch: no house leaves it out. */
  readonly kept?: true
  /** The rack it is about, or `gear`, or `job`. */
  readonly group: string
  readonly stage: Phase
  readonly title: string
  readonly detail: Phrase
  /** What has to be found out before it: what only a form has filled in is no instruction. */
  readonly asks?: readonly string[]
  /** What is said before it, where somebody can come to harm. */
  readonly cautions?: readonly string[]
  readonly after: readonly string[]
  /** Of what it comes after, what its own sheet names. */
  readonly bySheet?: readonly string[]
  /** The step that its sheet puts it in the place of. */
  readonly replaces?: string
  /** Its title without the rack's name, where several racks are fitted. */
  readonly said?: string
  /** What its sheet names and no step of the job is. */
  readonly lost?: readonly string[]
  readonly minutes: Minutes
  readonly waitMinutes: number
  readonly hands: 1 | 2
  /** Too heavy for two: a loader, a hoist or more hands. */
  readonly byLoader: boolean
  readonly tools: readonly string[]
  readonly task: Task
  /** The feet it is about, for the small drawing. */
  readonly footIds: readonly string[]
  readonly rackId: string | undefined
  /** What other steps are ordered by: a channel is closed, or the spread is decided. */
  readonly purpose?: 'closesChannel' | 'decidesSpread'
}

export const PHASE_WORD: Readonly<Record<Phase, string>> = {
  bench: 'On the bench',
  vehicle: 'Prepare the vehicle',
  start: 'Start by hand',
  place: 'Place and square',
  torque: 'Tighten',
  trim: 'Trim and lock',
  prove: 'Prove and hand over',
}
