import * as z from '../units/schema'
import { kindsOf } from './kind'

interface GearShapeTraits {
  /** What the wind makes of it. */
  readonly flow: 'blunt' | 'plate' | 'rounded' | 'slender' | 'thin' | 'rod'
}

/** What a piece of gear looks like: how it is drawn, and what the wind makes of it. */
export const GEAR_SHAPES = {
  box: { flow: 'blunt' },
  shell: { flow: 'rounded' },
  hull: { flow: 'slender' },
  canoe: { flow: 'slender' },
  board: { flow: 'thin' },
  tray: { flow: 'plate' },
  cradles: { flow: 'plate' },
  clamps: { flow: 'plate' },
  deck: { flow: 'thin' },
  can: { flow: 'blunt' },
  bag: { flow: 'blunt' },
  person: { flow: 'blunt' },
  wheel: { flow: 'plate' },
  poles: { flow: 'rod' },
} as const satisfies Record<string, GearShapeTraits>
export type GearShape = keyof typeof GEAR_SHAPES

export const gearShapeSchema = z.enum(kindsOf(GEAR_SHAPES))
