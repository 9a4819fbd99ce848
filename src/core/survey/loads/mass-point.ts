import type { Basis } from '../../kinds/basis'
import type { PartRole } from '../../kinds/part-role'
import type { PlanEntry } from '../../plan/schema/entry'
import type { OtherMass } from '../../plan/schema/gear-mass'
import type { Load } from '../../plan/schema/placement'
import type { State } from '../../units/scalars'
import type { Point, ThingAt } from '../frame/arrangement'
import type { Base, Influence, Share, Via } from '../statics/influence'

interface Common {
  readonly id: string
  readonly label: string
  readonly kg: number
  readonly basis: Basis | 'computed'
  /** Which entry of the plan it comes from, and how many times that it is; nothing where it was computed. */
  readonly from?: { readonly entry: PlanEntry; readonly times: number } | undefined
  /** Who said so, where that is known. */
  readonly by?: string | undefined
  /** Other weights from other sources, as long as nobody said which one holds. kg. */
  readonly others?: readonly OtherMass[] | undefined
  /** House margin on a guess; 1 for what is known. */
  readonly factor: number
  readonly states: readonly State[]
  readonly at: Point
  readonly feet: readonly Share[]
  readonly bars: readonly Share[]
  /** Share of it on each rack that holds it. */
  readonly racks: readonly Share[]
  /** How it stands on its bars, where it does. */
  readonly base?: Base | undefined
}

export type MassPoint =
  | (Common & {
      readonly of: 'gear' | 'load' | 'wet' | 'snow' | 'adapter'
      readonly thing: ThingAt
      readonly via: Via
      /** How a load on its rack comes down, wherever it may shift to. */
      readonly influence: Influence
      readonly load?: Load
    })
  | (Common & {
      readonly of: 'rackSnow'
      readonly rackId: string
      readonly via: Via
      readonly influence: Influence
    })
  | (Common & {
      readonly of: 'part'
      readonly role: PartRole
      readonly partId: string
      readonly partName: string
      /** Where a bar has a weight of its own: the field of its rack's sheet that takes it. */
      readonly ownField?: { readonly rackId: string; readonly at: string } | undefined
    })
  /** What is on the vehicle and holds a rack in its turn: a canopy. */
  | (Common & { readonly of: 'holder'; readonly attachmentId: string })
  | (Common & { readonly of: 'occupant'; readonly occupantId: string })
  | (Common & { readonly of: 'tail'; readonly tailId: string })

/** A mass that something on the plan brings along: gear, what is in it, and what clings to it. */
export type Cargo = Extract<MassPoint, { thing: unknown }>

/** Whether a mass is people: as a load, or as somebody who stands there. */
export const isPeople = (mass: MassPoint): mass is Cargo =>
  'thing' in mass &&
  ((mass.of === 'load' && mass.load?.what.kind === 'people' && mass.load.what.count !== 0) ||
    (mass.of === 'gear' && mass.thing.gear.kind === 'person'))

/** Whether something weighs, as far as anybody knows: what nobody knows yet is never nothing. */
export const weighs = ({ kg, basis }: MassPoint): boolean => kg > 0 || basis === 'unknown'
