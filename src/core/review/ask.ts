import type { Command, RatingOwner } from '../plan/command'
import { knownWithout } from '../plan/known'
import type { Plan } from '../plan/plan'
import type { Part } from '../plan/rack'
import type { Mass, Rating, Source } from '../plan/rating'
import { type State } from '../plan/scalars'
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
type VehicleField = 'kerbKg' | 'grossKg' | 'cabWallXMm'

/** Which field of the plan takes the answer. */
export type AskTarget =
  | {
      readonly field: 'rating'
      readonly owner: RatingOwner
      readonly state: State
      readonly per: 'set' | 'each'
    }
  | { readonly field: 'counts'; readonly owner: RatingOwner; readonly ratingId: string }
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
  /** Too much for one field: the form or the dialog that holds it. */
  | { readonly open: 'gear'; readonly gearId: string }
  | { readonly open: 'measuring' | 'house' | 'vehicle' | 'rack' }

/** What a field takes: a number with a unit, or one of a few words. */
export type AskInput =
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
      return target.name === 'cabWallXMm' ? LENGTH : MASS
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
          ['load', 'Only what stands on it'],
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
        options: [
          ['fixed', 'It does not open'],
          ['inside', 'It slides under the roof'],
          ['outside', 'It slides over the roof'],
          ['tilts', 'It tilts only'],
          ['tiltsAndSlides', 'It tilts and slides over the roof'],
        ],
      }
  }
}

const OPEN_WORD: Readonly<Record<Extract<AskTarget, { open: unknown }>['open'], string>> = {
  measuring: 'Open the measurements',
  house: 'Open the house rules',
  vehicle: 'Open the vehicle',
  rack: 'Open the rack',
  gear: 'Open the gear',
}

/** What was answered: a number in the core's unit with the words typed, or a choice. */
export type Answer =
  | { readonly kind: 'number'; readonly value: number; readonly typed: string }
  | { readonly kind: 'choice'; readonly value: string }

const SOURCE: Readonly<Record<Where, Source['kind']>> = {
  manual: 'manual',
  sheet: 'sheet',
  label: 'label',
  tape: 'measured',
  scale: 'measured',
  look: 'measured',
  person: 'told',
  house: 'told',
}

const partOf = (plan: Plan, partId: string): Part | undefined =>
  plan.racks.flatMap(({ parts }) => parts).find(({ id }) => id === partId)

/** The ratings of whoever an edit is about. */
function ratingsOf(plan: Plan, owner: RatingOwner): readonly Rating[] {
  switch (owner.of) {
    case 'roof':
      return plan.vehicle.roof.ratings
    case 'attachment': {
      const found = plan.vehicle.attachments.find(({ id }) => id === owner.id)
      if (!found) return []
      if (!('rated' in found)) return found.ratings
      return found.rated.by === 'own' ? found.rated.ratings : []
    }
    case 'part': {
      const rated = partOf(plan, owner.id)?.rated
      return rated?.by === 'own' ? rated.ratings : []
    }
    case 'gear': {
      const rated = plan.gear.find(({ id }) => id === owner.id)?.carries?.rated
      return rated?.by === 'own' ? rated.ratings : []
    }
  }
}

/** The first id of a family that nobody has. */
function freeId(taken: readonly { readonly id: string }[], stem: string): string {
  const ids = new Set(taken.map(({ id }) => id))
  let at = 1
  while (ids.has(`${stem}-${at}`)) at += 1
  return `${stem}-${at}`
}

const weighed = ({ value, typed }: Extract<Answer, { kind: 'number' }>): Mass => ({
  kg: value,
  basis: 'weighed',
  typed: { kg: typed },
})

function chosen(plan: Plan, target: AskTarget, value: string): Command | undefined {
  if ('open' in target) return undefined
  const { vehicle } = plan
  switch (target.field) {
    case 'counts':
    case 'seen': {
      const rating = ratingsOf(plan, target.owner).find(({ id }) => id === target.ratingId)
      if (!rating) return undefined
      const counts = value === 'everything' ? 'everything' : 'load'
      const kind = value === 'label' || value === 'manual' ? value : 'sheet'
      return {
        do: 'setRating',
        owner: target.owner,
        rating: target.field === 'counts' ? { ...rating, counts } : { ...rating, source: { kind } },
      }
    }
    case 'roofBears':
      return {
        do: 'setVehicle',
        vehicle: {
          ...vehicle,
          attachments: vehicle.attachments.map((each) =>
            each.id === target.attachmentId && each.kind === 'drilledTop'
              ? { ...each, roofBears: value === 'yes' }
              : each,
          ),
        },
      }
    case 'moves': {
      const ways = ['fixed', 'inside', 'outside', 'tilts', 'tiltsAndSlides'] as const
      const moves = ways.find((way) => way === value)
      return (
        moves && {
          do: 'setVehicle',
          vehicle: {
            ...vehicle,
            obstacles: vehicle.obstacles.map((each) =>
              each.id === target.obstacleId && each.kind === 'sunroof' ? { ...each, moves } : each,
            ),
          },
        }
      )
    }
    default:
      return undefined
  }
}

function numbered(
  plan: Plan,
  { target, where }: Ask,
  answer: Extract<Answer, { kind: 'number' }>,
): Command | undefined {
  if ('open' in target) return undefined
  const { value, typed } = answer
  const { vehicle } = plan
  switch (target.field) {
    case 'rating': {
      const { owner, state, per } = target
      const id = freeId(ratingsOf(plan, owner), `answer-${state}`)
      return {
        do: 'setRating',
        owner,
        rating: { id, state, kg: value, per, source: { kind: SOURCE[where] }, typed: { kg: typed } },
      }
    }
    case 'gearMass':
      return { do: 'setGearMass', gearId: target.gearId, mass: weighed(answer) }
    case 'loadMass': {
      const placement = plan.placements.find(({ id }) => id === target.placementId)
      const load = placement?.loads.find(({ id }) => id === target.loadId)
      if (!load || load.what.kind === 'fluid') return undefined
      const what =
        load.what.kind === 'mass'
          ? { kind: 'mass' as const, mass: weighed(answer) }
          : { ...load.what, each: weighed(answer) }
      return { do: 'setLoad', placementId: target.placementId, load: { ...load, what } }
    }
    case 'partMass': {
      const part = partOf(plan, target.partId)
      if (!part) return undefined
      const { known, ...rest } = part
      const left = knownWithout(known, ['eachKg'])
      return {
        do: 'swapPart',
        partId: part.id,
        part: {
          ...rest,
          ...(left ? { known: left } : {}),
          eachKg: value,
          typed: { ...part.typed, eachKg: typed },
        },
      }
    }
    case 'vehicle':
      return {
        do: 'setVehicle',
        vehicle: { ...vehicle, [target.name]: value, typed: { ...vehicle.typed, [target.name]: typed } },
      }
    case 'seat':
      return {
        do: 'setVehicle',
        vehicle: {
          ...vehicle,
          attachments: vehicle.attachments.map((each) =>
            each.id === target.attachmentId && each.kind === 'framePoint'
              ? { ...each, seatZMm: value }
              : each,
          ),
        },
      }
    case 'footWidth': {
      const rack = plan.racks.find(({ id }) => id === target.rackId)
      return rack && { do: 'setRack', rack: { ...rack, footWidthMm: value } }
    }
    case 'contacts':
    case 'base': {
      const gear = plan.gear.find(({ id }) => id === target.gearId)
      if (!gear) return undefined
      return {
        do: 'setGear',
        gear:
          target.field === 'base'
            ? { ...gear, fit: { ...gear.fit, baseMm: value } }
            : {
                ...gear,
                contactsMm: { along: gear.contactsMm?.along ?? [], across: [-value / 2, value / 2] },
              },
      }
    }
    case 'straps': {
      const straps = plan.placements.find(({ id }) => id === target.placementId)?.straps
      return (
        straps && { do: 'setStraps', placementId: target.placementId, straps: { ...straps, eachKg: value } }
      )
    }
    default:
      return undefined
  }
}

/** The edit that an answer makes; nothing where the plan no longer has what was asked about, or a form is asked for. */
export function answered(plan: Plan, ask: Ask, answer: Answer): Command | undefined {
  return answer.kind === 'choice' ? chosen(plan, ask.target, answer.value) : numbered(plan, ask, answer)
}
