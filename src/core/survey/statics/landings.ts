import type { State } from '../../units/scalars'
import type { MassPoint } from '../loads/mass-point'

/** How much of a mass goes to which support of one sort: its bars, or its feet. */
type SharesOf = (mass: MassPoint) => MassPoint['feet']

/** What of a mass lands on one support, a guess with the house's margin. kg; statics as everywhere. */
function landsKg(mass: MassPoint, sharesOf: SharesOf, support: number): number {
  const share = sharesOf(mass).reduce((sum, [index, part]) => (index === support ? sum + part : sum), 0)
  return mass.kg * mass.factor * share
}

/** A mass, or several together, and what of it lands on each of some supports, in their order. kg */
interface Landed {
  readonly kg: number
  readonly onKg: readonly number[]
}

interface Landings {
  readonly each: readonly (Landed & { readonly mass: MassPoint })[]
  /** What stands there, without anything of a rack. */
  readonly load: Landed
  /** The same with the rack's own parts. */
  readonly withRack: Landed
}

/** Every mass that lands on any of some supports in a state, and their sums of the load alone and with the rack. kg */
export function landings(
  masses: readonly MassPoint[],
  state: State,
  supports: readonly number[],
  sharesOf: SharesOf,
): Landings {
  const each = masses.flatMap((mass) => {
    if (mass.kg <= 0 || !mass.states.includes(state)) return []
    if (!sharesOf(mass).some(([index]) => supports.includes(index))) return []
    const onKg = supports.map((support) => landsKg(mass, sharesOf, support))
    return [{ mass, kg: mass.kg * mass.factor, onKg }]
  })
  const sumOf = (landed: readonly Landed[]): Landed => ({
    kg: landed.reduce((sum, { kg }) => sum + kg, 0),
    onKg: supports.map((_, i) => landed.reduce((sum, { onKg }) => sum + (onKg[i] ?? 0), 0)),
  })
  return { each, load: sumOf(each.filter(({ mass }) => mass.of !== 'part')), withRack: sumOf(each) }
}

/** What a bar bears in a state, guesses with the house's margin. kg */
export interface BarLoads {
  /** What stands on it, without anything of the rack. */
  readonly loadKg: number
  /** The same with the rack's own parts that it bears, itself among them. */
  readonly withRackKg: number
}

/** What lands on a bar, of the load alone and with the rack's own parts. kg */
export function barLoads(masses: readonly MassPoint[], barIndex: number, state: State): BarLoads {
  const { load, withRack } = landings(masses, state, [barIndex], ({ bars }) => bars)
  return { loadKg: load.onKg[0] ?? 0, withRackKg: withRack.onKg[0] ?? 0 }
}
