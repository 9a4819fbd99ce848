import type { State } from '../../units/scalars'
import type { MassPoint } from '../loads/mass-points'

/** What a bar bears in a state, guesses with the house's margin. kg */
export interface BarLoads {
  /** What stands on it, without anything of the rack. */
  readonly loadKg: number
  /** The same with the rack's own parts that it bears, itself among them. */
  readonly withRackKg: number
}

/** What lands on a bar, of the load alone and with the rack's own parts. kg; statics as everywhere. */
export function barLoads(masses: readonly MassPoint[], barIndex: number, state: State): BarLoads {
  let loadKg = 0
  let withRackKg = 0
  for (const { of, kg, factor, bars, states } of masses) {
    if (!states.includes(state)) continue
    for (const [index, share] of bars) {
      if (index !== barIndex) continue
      const here = kg * factor * share
      withRackKg += here
      if (of !== 'part') loadKg += here
    }
  }
  return { loadKg, withRackKg }
}
