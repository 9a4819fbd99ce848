import type { Lift } from '../survey/motion/lifting'
import { atMost, type Compared } from './comparison'

/** What one piece of a lift weighs for one person, and for each of two, against what is advised. kg; NIOSH 94-110, from memory. */
export function liftHelds({ kg, pieces, oneKg, twoKg }: Lift): {
  readonly one: Compared
  readonly two: Compared
} {
  const piece = kg / pieces
  return {
    one: atMost(piece, Math.min(oneKg.ground, oneKg.up), 'mass'),
    two: atMost(piece / 2, Math.min(twoKg.ground, twoKg.up), 'mass'),
  }
}
