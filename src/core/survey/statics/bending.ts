import { STATES, type State } from '../../units/scalars'
import type { Arrangement, BarAt } from '../frame/arrangement'
import { STANDARD_GRAVITY } from '../../units/dimension'
import type { MassPoint } from '../loads/mass-point'
import { beamOf, spreadLoad, type Beam, type BeamLoad } from '../../geometry/beam'
import { bendingStiffness, sectionOf } from './section'
import { supportShares } from './supports'

/** A bar in a state with all that stands on it, its own weight and its deck's included. */
export interface LoadedBar {
  readonly at: BarAt
  readonly state: State
  /** Loads and reactions in kg, places in mm across the vehicle. */
  readonly beam: Beam
  readonly carriesKg: number
  /** The largest bending moment along it, N·m, and where, mm. Sagging is positive. */
  readonly moment: { readonly nm: number; readonly atMm: number }
  /** Stress at that place, MPa; nothing where the section is not known. */
  readonly stressMPa: number | undefined
  /** How far the bar comes down at y, mm; nothing where section or material is not known. */
  readonly deflectionMm: ((yMm: number) => number) | undefined
  /** Where it bends down most, and by how much, mm. */
  readonly lowest: { readonly yMm: number; readonly downMm: number } | undefined
}

function loadsOn(masses: readonly MassPoint[], bar: BarAt, state: State): BeamLoad[] {
  const loads: BeamLoad[] = []
  for (const { base, bars, states, kg, factor, at } of masses) {
    if (!base || kg === 0 || !states.includes(state)) continue
    const share = bars.find(([index]) => index === bar.index)
    if (!share) continue
    const load = kg * factor * share[1]
    if (base.kind === 'line') loads.push(spreadLoad(base.fromMm, base.toMm, load, at.y))
    else
      supportShares(base.ys, at.y).forEach((part, i) =>
        loads.push({ kind: 'point', atMm: base.ys[i] ?? at.y, load: load * part }),
      )
  }
  return loads
}

const down = (value: number, stiffness: number) => (value * STANDARD_GRAVITY) / stiffness

function lowestOf(beam: Beam, stiffness: number): LoadedBar['lowest'] {
  const { atMm, value } = beam.lowest()
  return { yMm: atMm, downMm: down(value, stiffness) }
}

function loadedBar(masses: readonly MassPoint[], at: BarAt, state: State): LoadedBar {
  const { bar } = at
  const half = bar.lengthMm / 2
  const loads = loadsOn(masses, at, state)
  const beam = beamOf(bar.feetYMm, loads, { fromMm: -half, toMm: half })
  const section = sectionOf(bar.profile)
  const stiffness = bendingStiffness(bar.profile)
  const nm = (beam.largestMoment.value * STANDARD_GRAVITY) / 1000
  return {
    at,
    state,
    beam,
    carriesKg: beam.reactions.reduce((sum, each) => sum + each, 0),
    moment: { nm, atMm: beam.largestMoment.atMm },
    stressMPa: section && (Math.abs(nm) * 1000) / section.wMm3,
    deflectionMm: stiffness === undefined ? undefined : (yMm) => down(beam.deflectionAt(yMm), stiffness),
    lowest: stiffness === undefined ? undefined : lowestOf(beam, stiffness),
  }
}

/** Every bar in every state, each computed when it is first asked for. */
export function loadedBars(
  arrangement: Arrangement,
  masses: readonly MassPoint[],
): (barIndex: number, state: State) => LoadedBar | undefined {
  const cached = new Map<string, LoadedBar>()
  // Where nothing on the bars comes and goes, one state is all of them.
  const alike = masses.every(({ bars, states }) => bars.length === 0 || states.length === STATES.length)
  return (barIndex, state) => {
    const key = alike ? String(barIndex) : `${barIndex} ${state}`
    const bar = arrangement.bars[barIndex]
    const before = cached.get(key)
    if (!bar) return undefined
    const loaded = before ?? loadedBar(masses, bar, state)
    if (!before) cached.set(key, loaded)
    return loaded.state === state ? loaded : { ...loaded, state }
  }
}

/** How far a bar comes down at a place in the worst state, mm: what it takes from the room under it. 0 where nobody knows its section. */
export function sag(
  loaded: (barIndex: number, state: State) => LoadedBar | undefined,
  barIndex: number,
  yMm: number,
): number {
  let most = 0
  for (const state of STATES) most = Math.max(most, loaded(barIndex, state)?.deflectionMm?.(yMm) ?? 0)
  return most
}
