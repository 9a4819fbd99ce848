import { choicesOf } from '../kinds/kind'
import { PANE_MOVES } from '../kinds/obstacle'
import type { RatingOwner } from '../plan/commands/rating-commands'
import type { FigureSheet } from '../provenance/conflicting-figures'
import type { State } from '../units/scalars'
import type { Dimension } from '../units/dimension'

/** Where the answer to a question is usually read. */
export const WHERES = ['manual', 'sheet', 'label', 'tape', 'scale', 'look', 'person', 'house'] as const
export type Where = (typeof WHERES)[number]

export const WHERE_WORD: Readonly<Record<Where, string>> = {
  manual: 'From the manual',
  sheet: "From the maker's sheet",
  label: 'From a label',
  tape: 'With the tape',
  scale: 'With the scale',
  look: 'By looking',
  person: 'From who said so',
  house: 'By the house',
}

/** Numbers of the vehicle that one field answers. */
type VehicleField = 'kerbKg' | 'grossKg' | 'cabWallXMm' | 'skinZMm'

/** Whose weight it is: a piece of gear's, or a load's in or on one. */
export type WeightOf = { readonly gearId: string } | { readonly placementId: string; readonly loadId: string }

/** Which field of the plan takes the answer. */
export type AskTarget =
  | {
      readonly field: 'rating'
      readonly owner: RatingOwner
      readonly state: State
      readonly per: 'set' | 'each'
      /** The figure that was read wrongly: the answer stands in its place. */
      readonly insteadOf?: string
    }
  | { readonly field: 'counts'; readonly owner: RatingOwner; readonly ratingId: string }
  | {
      /** Which of several figures for the same holds. */
      readonly field: 'holds'
      readonly owner: RatingOwner
      readonly options: readonly (readonly [ratingId: string, words: string])[]
    }
  | {
      /** Which of several weights of a thing holds; the first is the one that counts. */
      readonly field: 'massHolds'
      readonly of: WeightOf
      readonly options: readonly (readonly [place: string, words: string])[]
    }
  | {
      /** Which of several figures for one field of a sheet holds; the first is the one in use. */
      readonly field: 'figureHolds'
      readonly sheet: FigureSheet
      readonly owner: readonly string[]
      readonly name: string
      readonly options: readonly (readonly [place: string, words: string])[]
    }
  | {
      /** What a fit sheet and the vehicle's points say of a spread: which of them holds. */
      readonly field: 'sheetSpread'
      readonly rackId: string
    }
  | { readonly field: 'seen'; readonly owner: RatingOwner; readonly ratingId: string }
  | { readonly field: 'gearMass'; readonly gearId: string }
  | { readonly field: 'loadMass'; readonly placementId: string; readonly loadId: string }
  | { readonly field: 'partMass'; readonly partId: string }
  | { readonly field: 'vehicle'; readonly name: VehicleField }
  | { readonly field: 'footWidth'; readonly rackId: string }
  | { readonly field: 'contacts'; readonly gearId: string }
  | { readonly field: 'base'; readonly gearId: string }
  | { readonly field: 'seat'; readonly attachmentId: string }
  | { readonly field: 'roofBears'; readonly attachmentId: string }
  | { readonly field: 'moves'; readonly obstacleId: string }
  | { readonly field: 'straps'; readonly placementId: string }
  /** Too much for one field: the sheet that holds it, at the path of its field there, or the dialog. */
  | { readonly open: 'gear'; readonly gearId: string; readonly at?: string }
  | { readonly open: 'rack'; readonly rackId: string; readonly at?: string }
  | { readonly open: 'vehicle'; readonly at?: string }
  | { readonly open: 'measuring' | 'house' | 'inside' }

/** What a field takes: a number with a unit, or one of a few words. */
type AskInput =
  | { readonly kind: 'number'; readonly dimension: Dimension }
  | { readonly kind: 'choice'; readonly options: readonly (readonly [value: string, words: string])[] }
  | { readonly kind: 'open'; readonly words: string }

export interface Ask {
  readonly where: Where
  readonly label: string
  readonly target: AskTarget
}

const MASS = { kind: 'number', dimension: 'mass' } as const
const LENGTH = { kind: 'number', dimension: 'length' } as const

/** What the field of a question takes. */
export function inputOf(target: AskTarget): AskInput {
  if ('open' in target) return { kind: 'open', words: OPEN_WORD[target.open] }
  switch (target.field) {
    case 'rating':
    case 'gearMass':
    case 'loadMass':
    case 'partMass':
    case 'straps':
      return MASS
    case 'vehicle':
      return target.name === 'cabWallXMm' || target.name === 'skinZMm' ? LENGTH : MASS
    case 'footWidth':
    case 'contacts':
    case 'base':
    case 'seat':
      return LENGTH
    case 'counts':
      return {
        kind: 'choice',
        options: [
          ['everything', 'The rack and what is between too'],
          ['load', 'Only its load'],
        ],
      }
    case 'holds':
    case 'massHolds':
    case 'figureHolds':
      return { kind: 'choice', options: target.options }
    case 'sheetSpread':
      return {
        kind: 'choice',
        options: [
          ['points', 'The points, as they are entered'],
          ['sheet', 'The sheet: the rear points are where it puts them'],
        ],
      }
    case 'seen':
      return {
        kind: 'choice',
        options: [
          ['label', 'Seen on a label'],
          ['manual', 'Seen in the manual'],
          ['sheet', "Seen on the maker's sheet"],
        ],
      }
    case 'roofBears':
      return {
        kind: 'choice',
        options: [
          ['yes', 'The roof skin still bears it'],
          ['no', 'The reinforcement bears it past the roof'],
        ],
      }
    case 'moves':
      return {
        kind: 'choice',
        options: choicesOf(PANE_MOVES, ({ choice }) => choice),
      }
  }
}

const OPEN_WORD: Readonly<Record<Extract<AskTarget, { open: unknown }>['open'], string>> = {
  measuring: 'Open the measurements',
  house: 'Open the house rules',
  inside: 'Open who is inside',
  vehicle: 'Open the vehicle',
  rack: 'Open the rack',
  gear: 'Open the gear',
}
