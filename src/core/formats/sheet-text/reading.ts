import type { GearKind } from '../../kinds/gear-kind'
import type { PartRole } from '../../kinds/part-role'
import type { State } from '../../units/scalars'

/** Of what a reading is: of the vehicle, of a rack or one of its parts, of a thing that goes on it. */
export type ReadingOf = 'vehicle' | 'rack' | 'gear'

interface Read {
  /** The stretch of the text it was read from, with the line round it. */
  readonly words: string
  /** Where its figure begins in the text, and where it ends. */
  readonly at: number
  readonly to: number
  /** The page it stands on, where the text has pages or names one. */
  readonly page?: string
  /** Of gear, where the text names several things: which of them it is said of. */
  readonly thing?: GearKind
  /** Somebody supposes it, or it can be read two ways: a person says first that it is so. */
  readonly doubtful: boolean
}

/** What a pasted text was read to say. Masses kg, lengths mm, torques N·m, speeds km/h. What the text does not say is left out. */
export type SheetReading =
  | (Read & {
      readonly what: 'limit'
      readonly of: ReadingOf
      /** The part of a rack that the text names. */
      readonly part?: PartRole
      readonly kg: number
      readonly state?: State
      readonly per?: 'set' | 'each'
      readonly counts?: 'everything' | 'load'
      /** The kind of thing for which alone it holds. */
      readonly gearKind?: string
      readonly upToKmH?: number
    })
  | (Read & {
      readonly what: 'weight'
      readonly of: ReadingOf
      readonly part?: PartRole
      readonly kg: number
      readonly per?: 'each' | 'pair' | 'set'
    })
  | (Read & {
      readonly what: 'spread'
      readonly of: ReadingOf
      readonly fromMm: number
      readonly toMm: number
    })
  | (Read & {
      readonly what: 'torque'
      readonly fromNm: number
      readonly toNm: number
      /** The thread that its words name, and how many bolts each of the part has. */
      readonly thread?: string
      readonly bolts?: number
    })
  | (Read & { readonly what: 'length' | 'width' | 'height'; readonly of: ReadingOf; readonly mm: number })
  | (Read & { readonly what: 'wheelbase'; readonly mm: number })
  | (Read & { readonly what: 'kerb' | 'gross'; readonly kg: number })
  | (Read & { readonly what: 'speed'; readonly kmH: number })
  | (Read & { readonly what: 'years'; readonly from: number; readonly until?: number })
  | (Read & { readonly what: 'doors'; readonly doors: number })
  | (Read & { readonly what: 'page'; readonly page: string })
  | (Read & { readonly what: 'day'; readonly on: string })

type Bare<T> = T extends unknown ? Omit<T, 'words' | 'at' | 'to' | 'doubtful'> : never
/** What a reading says, without the place it was read at. */
export type BareReading = Bare<SheetReading>

/** What a text leaves open that a sheet needs: in which state, of one or of all, whether it is so, whether it is of this thing, and how many bolts one of it has. */
export type Question = 'state' | 'per' | 'doubt' | 'thing' | 'bolts'

/** A person’s answers to what a text leaves open. */
export interface Answers {
  readonly state?: State
  readonly per?: 'set' | 'each'
  readonly doubt?: 'so'
  readonly thing?: 'this'
  readonly bolts?: '1' | '2' | '4'
}

/** A reading with what a person answered in its open places. */
export function withAnswers(
  reading: SheetReading,
  { state, per, doubt, thing, bolts }: Answers,
): SheetReading {
  const { thing: _, ...rest } = reading
  const ofThis: SheetReading = thing === 'this' ? rest : reading
  const sure = doubt === 'so' ? { ...ofThis, doubtful: false } : ofThis
  if (sure.what === 'limit') return { ...sure, ...(state && { state }), ...(per && { per }) }
  if (sure.what === 'torque') return { ...sure, ...(bolts && { bolts: Number(bolts) }) }
  return sure.what === 'weight' && per ? { ...sure, per } : sure
}
