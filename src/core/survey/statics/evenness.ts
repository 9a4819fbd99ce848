import type { State } from '../../units/scalars'
import type { RackAt } from '../frame/arrangement'
import type { Layer } from '../load-path/layer'
import type { Cell } from '../load-path/limit'
import type { LoadPath } from '../load-path/load-path'
import type { MassPoint } from '../loads/mass-point'

/** Where the load of a rack stands over its feet in a state. kg and mm; shares 0 to 1, beyond them where it overhangs. */
export interface Evenness {
  readonly rack: RackAt
  readonly state: State
  readonly kg: number
  /** Centre of gravity of all that stands on it, and the middle of its feet. */
  readonly centre: { readonly xMm: number; readonly yMm: number; readonly zMm: number }
  readonly middle: { readonly xMm: number; readonly yMm: number }
  readonly frontShare: number
  readonly leftShare: number
}

/** The share that stands in front of, or left of, by the lever rule between the outermost feet. */
const lever = (from: number, to: number, at: number) => (to - from < 1e-9 ? 0.5 : (to - at) / (to - from))

/** Where the part of a load that reaches this rack comes down, when another rack takes the rest: on its own bars. mm. */
function onOwnBars({ bars, at }: MassPoint, rack: RackAt): number {
  let share = 0
  let moment = 0
  for (const { index, bar } of rack.bars) {
    const part = bars.find(([each]) => each === index)?.[1] ?? 0
    share += part
    moment += part * bar.xMm
  }
  return Math.abs(share) < 1e-9 ? at.x : moment / share
}

/** Centre of gravity of what a rack carries against the middle of its feet; nothing while it carries nothing. Lever rule; handbook, from memory. */
export function evennessOf(masses: readonly MassPoint[], rack: RackAt, state: State): Evenness | undefined {
  let kg = 0
  const sum = { x: 0, y: 0, z: 0 }
  for (const mass of masses) {
    if (mass.of === 'part' || mass.of === 'occupant' || !mass.states.includes(state)) continue
    const share = mass.racks.find(([index]) => index === rack.index)?.[1] ?? 0
    const here = mass.kg * mass.factor * share
    kg += here
    sum.x += here * (mass.racks.length > 1 ? onOwnBars(mass, rack) : mass.at.x)
    sum.y += here * mass.at.y
    sum.z += here * mass.at.z
  }
  if (kg <= 1e-9 || rack.feet.length < 2) return undefined
  const centre = { xMm: sum.x / kg, yMm: sum.y / kg, zMm: sum.z / kg }
  const xs = rack.feet.map((foot) => foot.xMm)
  const ys = rack.feet.map((foot) => foot.yMm)
  const mean = (list: readonly number[]) => list.reduce((total, each) => total + each, 0) / list.length
  return {
    rack,
    state,
    kg,
    centre,
    middle: { xMm: mean(xs), yMm: mean(ys) },
    frontShare: lever(Math.min(...xs), Math.max(...xs), centre.xMm),
    leftShare: lever(Math.min(...ys), Math.max(...ys), centre.yMm),
  }
}

/** From here on a foot is lifted; less is the rounding of a hand on the scale. kg. */
export const LIFTED_KG = 0.05

/** Whether a layer is what stands under the bars, foot by foot. */
const underBars = ({ role }: Layer) => role === 'feet' || role === 'legs' || role === 'fitKit'

/** What one foot of a rack may bear in a state by one figure: its own, or its even share of the set's. kg. */
interface FootFigure {
  readonly cell: Cell
  readonly per: 'set' | 'each'
  readonly kg: number
}

/** Every figure in force for the feet of a rack in a state, for one foot, the least first. */
export function footFigures(path: LoadPath, rackId: string, state: State): FootFigure[] {
  return path.cells
    .filter((cell) => cell.state === state && underBars(cell.layer) && cell.layer.rackIds.includes(rackId))
    .flatMap((cell) =>
      cell.inForce.map(({ limitKg, per }) => ({
        cell,
        per,
        kg: per === 'each' ? limitKg : limitKg / Math.max(1, cell.layer.units.length),
      })),
    )
    .sort((one, other) => one.kg - other.kg)
}

/** A foot that bears more than its even share of a figure for the set. kg. */
export interface OverShare {
  readonly cell: Cell
  readonly corner: string
  readonly countedKg: number
  readonly shareKg: number
}

/** What each foot of a layer counts: its own units where it is of feet, the rack's feet where one figure is for all of it. */
function perFoot(
  cell: Cell,
  racks: readonly RackAt[],
): { names: readonly string[]; kg: number[] } | undefined {
  const { layer, state } = cell
  if (underBars(layer)) {
    const kg = new Array<number>(layer.units.length).fill(0)
    for (const { mass, unit, fraction } of layer.load)
      if (mass.states.includes(state)) kg[unit] = (kg[unit] ?? 0) + mass.kg * mass.factor * fraction
    return { names: layer.units, kg }
  }
  const rack = racks.find((each) => layer.rackIds.includes(each.rack.id))
  if (layer.role !== 'whole' || !rack) return undefined
  const place = new Map(rack.feet.map((foot, i) => [foot.index, i]))
  const kg = rack.feet.map(() => 0)
  for (const { mass } of layer.load)
    if (mass.states.includes(state))
      for (const [foot, fraction] of mass.feet) {
        const i = place.get(foot)
        if (i !== undefined) kg[i] = (kg[i] ?? 0) + mass.kg * mass.factor * fraction
      }
  return { names: rack.feet.map(({ corner }) => corner), kg }
}

/** For each figure for a set of feet, or for a rack as a whole: the one foot that bears most against its even share. */
export function footShares(path: LoadPath, racks: readonly RackAt[], state: State): OverShare[] {
  return path.cells.flatMap((cell): OverShare[] => {
    if (cell.state !== state || cell.idle || cell.limit.kind === 'missing') return []
    const feet = perFoot(cell, racks)
    if (!feet || feet.kg.length < 2) return []
    const set = cell.inForce.filter(({ per }) => per === 'set')
    const limitKg = Math.min(...set.map((each) => each.limitKg))
    if (!Number.isFinite(limitKg)) return []
    const most = Math.max(...feet.kg)
    return [
      {
        cell,
        corner: feet.names[feet.kg.indexOf(most)] ?? '',
        countedKg: most,
        shareKg: limitKg / feet.kg.length,
      },
    ]
  })
}
