import * as z from '../units/schema'
import { kindsOf } from './kind'

interface GearShapeTraits {
  /** What the wind makes of it. */
  readonly flow: 'blunt' | 'plate' | 'rounded' | 'slender' | 'thin' | 'rod'
  /** Whether such a thing usually runs out over the ends of the vehicle, and whether it is of pieces that roll. */
  readonly long?: true
  readonly rolls?: true
}

/** What a piece of gear looks like: how it is drawn, and what the wind makes of it. */
export const GEAR_SHAPES = {
  box: { flow: 'blunt' },
  shell: { flow: 'rounded' },
  hull: { flow: 'slender', long: true },
  canoe: { flow: 'slender', long: true },
  board: { flow: 'thin', long: true },
  tray: { flow: 'plate' },
  cradles: { flow: 'plate' },
  clamps: { flow: 'plate' },
  deck: { flow: 'thin' },
  can: { flow: 'blunt' },
  bag: { flow: 'blunt' },
  person: { flow: 'blunt' },
  wheel: { flow: 'plate' },
  poles: { flow: 'rod', long: true, rolls: true },
} as const satisfies Record<string, GearShapeTraits>
export type GearShape = keyof typeof GEAR_SHAPES

/** The traits of a shape. */
export const shapeTraits = (shape: GearShape): GearShapeTraits => GEAR_SHAPES[shape]

export const gearShapeSchema = z.enum(kindsOf(GEAR_SHAPES))
