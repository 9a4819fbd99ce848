import type { Plan } from '../../plan/schema/plan'
import { STATES, type State } from '../../units/scalars'
import type { Arrangement } from '../frame/arrangement'
import { exceeds } from '../../units/tolerance'
import { layersOf } from './layers'
import type { Layer } from './layer'
import { cellOf, sumsOf, type Cell } from './limit'
import type { MassPoint } from '../loads/mass-point'

export interface LoadPath {
  readonly layers: readonly Layer[]
  readonly cells: readonly Cell[]
  readonly cellAt: (layerId: string, state: State) => Cell | undefined
  /** The rack or vehicle layer with the least left in each state. */
  readonly governing: Readonly<Record<State, Cell | undefined>>
}

/**
 * What may still be added to a rack, spread evenly, in a state. With an unrated link there is no such figure,
 * only what the known links leave at most; where a driving figure stands in for parked, it is at least that. kg.
 */
export type Allowance =
  | {
      readonly kind: 'known' | 'atLeast'
      readonly rackId: string
      readonly state: State
      readonly kg: number
      readonly binding: Cell
      /** The other links that leave just as much. */
      readonly alike: readonly Cell[]
    }
  | {
      readonly kind: 'unknown'
      readonly rackId: string
      readonly state: State
      readonly atMostKg: number | undefined
      /** The link that leaves least of those with a figure. */
      readonly binding: Cell | undefined
      readonly alike: readonly Cell[]
      readonly unrated: readonly Layer[]
      /** What stands on it and weighs nobody knows what: at most is said without it. */
      readonly unweighed: readonly string[]
    }

/** All layers in all states, with what governs each state. */
export function loadPath(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): LoadPath {
  const layers = layersOf(plan, arrangement, masses)
  const cells: Cell[] = []
  const byState = {
    road: new Map<string, Cell>(),
    trail: new Map<string, Cell>(),
    parked: new Map<string, Cell>(),
  }
  for (const layer of layers) {
    const sumsIn = sumsOf(layer)
    for (const state of layer.states) {
      const cell = cellOf(layer, state, sumsIn(state), plan.rules, plan.use)
      cells.push(cell)
      byState[state].set(layer.id, cell)
    }
  }
  const governing = (state: State) =>
    leastLeft(cells.filter((cell) => cell.state === state && cell.layer.governs && !cell.idle))
  return {
    layers,
    cells,
    cellAt: (layerId, state) => byState[state].get(layerId),
    governing: { road: governing('road'), trail: governing('trail'), parked: governing('parked') },
  }
}

function leastLeft(cells: readonly Cell[]): Cell | undefined {
  return cells.reduce<Cell | undefined>(
    (least, cell) =>
      cell.leftKg !== undefined && (least?.leftKg === undefined || cell.leftKg < least.leftKg) ? cell : least,
    undefined,
  )
}

/** What may be added to each rack in each state, and which link says so. */
export function allowances(arrangement: Arrangement, path: LoadPath): Allowance[] {
  return arrangement.racks.flatMap(({ rack }) => STATES.map((state) => allowance(rack.id, state, path)))
}

const unknownOn = ({ load, own }: Layer, state: State): string[] =>
  [...load, ...own]
    .filter(({ mass }) => mass.basis === 'unknown' && mass.states.includes(state))
    .map(({ mass }) => mass.label)

/** Why there is no figure for what may still be added: a link without one, or a weight that nobody knows. */
export const whyUnknown = ({ unrated, unweighed }: Extract<Allowance, { kind: 'unknown' }>): string =>
  [
    ...(unrated.length > 0 ? [`no figure for ${unrated.map(({ name }) => name).join(', ')}`] : []),
    ...(unweighed.length > 0 ? [`nobody knows yet what ${unweighed.join(', ')} weighs`] : []),
  ].join('; ')

/** The links that what is added to a rack hangs on in a state, down to what the vehicle offers. */
export const linksUnder = (path: LoadPath, rackId: string, state: State): readonly Cell[] =>
  path.cells.filter(
    (cell) =>
      cell.state === state &&
      cell.layer.group !== 'carrier' &&
      cell.layer.role !== 'panels' &&
      cell.layer.rackIds.includes(rackId),
  )

function allowance(rackId: string, state: State, path: LoadPath): Allowance {
  const cells = linksUnder(path, rackId, state)
  const unrated = cells.filter((cell) => cell.limit.kind === 'missing').map((cell) => cell.layer)
  const binding = cells.reduce<Cell | undefined>(
    (least, cell) =>
      cell.addableKg !== undefined && (least?.addableKg === undefined || cell.addableKg < least.addableKg)
        ? cell
        : least,
    undefined,
  )
  const kg = Math.max(0, binding?.addableKg ?? 0)
  const alike = cells.filter(
    ({ addableKg }) =>
      addableKg !== undefined && kg > 0 && !exceeds(addableKg, kg) && !exceeds(kg, addableKg),
  )
  const others = alike.filter((cell) => cell !== binding)
  const unweighed = [
    ...new Set(cells.flatMap(({ layer }) => (layer.unweighed ? unknownOn(layer, state) : []))),
  ]
  if (unrated.length > 0 || unweighed.length > 0 || !binding)
    return {
      kind: 'unknown',
      rackId,
      state,
      atMostKg: binding ? kg : undefined,
      binding,
      alike: others,
      unrated,
      unweighed,
    }
  return {
    kind: binding.limit.kind === 'driving' ? 'atLeast' : 'known',
    rackId,
    state,
    kg,
    binding,
    alike: others,
  }
}
