import { STATES, type State } from '../../units/scalars'
import type { Arrangement, RackAt } from '../frame/arrangement'
import type { LoadPath } from '../load-path/load-path'
import type { MassPoint } from '../loads/mass-point'
import { memo, type Memo } from '../../units/memo'
import { loadedBars, sag, type LoadedBar } from './bending'
import { bendingStiffness } from './section'
import { evennessOf, footShares, type Evenness, type OverShare } from './evenness'
import { nextKiloAt, nextKiloField, type NextKilo } from './next-kilo'

/** A thing held by one bar alone: the bar takes it all, and the offset twists it. N·m about the bar. */
interface Twist {
  readonly placementId: string
  readonly barIndex: number
  readonly state: State
  readonly kg: number
  readonly offMm: number
}

/** Where the weight lands. Each part is computed when it is first asked for. */
export interface Statics {
  readonly bars: Memo<(barIndex: number, state: State) => LoadedBar | undefined>
  readonly bar: (barIndex: number, state: State) => LoadedBar | undefined
  /** How far a bar comes down at y in its worst state, mm; 0 where nobody knows its section. */
  readonly sagMm: (barIndex: number, yMm: number) => number
  readonly evenness: Memo<readonly Evenness[]>
  readonly footShares: Memo<readonly OverShare[]>
  readonly twists: Memo<readonly Twist[]>
  readonly nextKilo: (
    rack: RackAt,
    state: State,
    spot: { readonly xMm: number; readonly yMm: number },
  ) => NextKilo
  readonly nextKiloField: (
    rack: RackAt,
    state: State,
    grid: { readonly rows: number; readonly columns: number },
  ) => NextKilo[][]
}

function twistsOf(arrangement: Arrangement, masses: readonly MassPoint[]): Twist[] {
  const twists = new Map<string, Twist>()
  for (const mass of masses) {
    if (!('thing' in mass) || mass.bars.length !== 1) continue
    const index = mass.bars[0]?.[0] ?? -1
    const bar = arrangement.bars[index]
    if (!bar) continue
    const off = mass.at.x - bar.bar.xMm
    for (const state of mass.states) {
      const key = `${mass.thing.placement.id} ${state}`
      const before = twists.get(key)
      const kg = (before?.kg ?? 0) + mass.kg * mass.factor
      const moment = (before ? before.offMm * before.kg : 0) + off * mass.kg * mass.factor
      twists.set(key, {
        placementId: mass.thing.placement.id,
        barIndex: index,
        state,
        kg,
        offMm: kg > 0 ? moment / kg : 0,
      })
    }
  }
  return [...twists.values()]
}

/** The statics of a plan's loads on its racks; of those before an edit, each part that depends on nothing that was changed. */
export function staticsOf(
  arrangement: Arrangement,
  masses: () => readonly MassPoint[],
  path: () => LoadPath,
  before: Statics | undefined,
): Statics {
  const { racks } = arrangement
  const bars = memo(
    before?.bars,
    () => [racks, masses()],
    () => loadedBars(arrangement, masses()),
  )
  const bar: Statics['bar'] = (barIndex, state) => bars()(barIndex, state)
  const bends = arrangement.bars.map((at) => bendingStiffness(at.bar.profile) !== undefined)
  return {
    bars,
    bar,
    sagMm: (barIndex, yMm) => (bends[barIndex] ? sag(bar, barIndex, yMm) : 0),
    evenness: memo(
      before?.evenness,
      () => [racks, masses()],
      () => racks.flatMap((rack) => STATES.flatMap((state) => evennessOf(masses(), rack, state) ?? [])),
    ),
    footShares: memo(
      before?.footShares,
      () => [racks, path()],
      () => STATES.flatMap((state) => footShares(path(), racks, state)),
    ),
    twists: memo(
      before?.twists,
      () => [racks, masses()],
      () => twistsOf(arrangement, masses()),
    ),
    nextKilo: (rack, state, spot) => nextKiloAt(arrangement, path(), rack, state, spot),
    nextKiloField: (rack, state, grid) => nextKiloField(arrangement, path(), rack, state, grid),
  }
}
