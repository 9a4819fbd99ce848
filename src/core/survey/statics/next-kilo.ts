import type { Member } from '../loads/spreading'
import type { State } from '../../units/scalars'
import type { Arrangement, RackAt } from '../frame/arrangement'
import type { Cell } from '../load-path/limit'
import type { LoadPath } from '../load-path/load-path'
import { holdAt, overBars, type Via } from './influence'

/** The largest mass that one spot still takes in a state, and what says so; unknown while a link on the way has no figure. kg. */
export interface NextKilo {
  readonly xMm: number
  readonly yMm: number
  readonly kg: number
  readonly binding: Cell | undefined
  readonly unit: string
  /** Links on the way without a figure: with any, `kg` is at most. */
  readonly unrated: readonly string[]
  /** Links on the way that hold something of unknown weight: with any, `kg` is at most. */
  readonly unweighed: readonly string[]
}

/** What is counted on each unit without the relief of what lifts: a thing that may be taken off must not be what holds a limit. */
function unrelieved(list: readonly Member[], units: number, state: State): number[] {
  const kg = new Array<number>(units).fill(0)
  for (const { mass, unit, fraction } of list)
    if (fraction > 0 && mass.states.includes(state))
      kg[unit] = (kg[unit] ?? 0) + mass.kg * mass.factor * fraction
  return kg
}

/** What is counted on all units together: what one thing lifts here and presses there is its own, and nets out. */
function netted(list: readonly Member[], state: State): number {
  const of = new Map<Member['mass'], number>()
  for (const { mass, fraction } of list)
    if (mass.states.includes(state)) of.set(mass, (of.get(mass) ?? 0) + fraction)
  let kg = 0
  for (const [mass, fraction] of of) kg += Math.max(0, fraction) * mass.kg * mass.factor
  return kg
}

/**
 * The largest mass that may stand at x, y on a rack's bars or deck (mm) with every link, bar and foot on its way
 * within its figures, guesses with their margin. What a load elsewhere lifts is not counted as room. Lever rule;
 * handbook, from memory.
 */
export function nextKiloAt(
  arrangement: Arrangement,
  path: LoadPath,
  rack: RackAt,
  state: State,
  spot: { readonly xMm: number; readonly yMm: number },
): NextKilo {
  const { xMm, yMm } = spot
  const via: Via = rack.deck ? 'deck' : 'bars'
  const influence = overBars(rack.bars, arrangement.feet, { kind: 'points', ys: [yMm] }, via)
  const hold = holdAt(influence, { x: xMm, y: yMm })
  let kg = Infinity
  let binding: Cell | undefined
  let unit = ''
  const unrated: string[] = []
  const unweighed: string[] = []
  for (const cell of path.cells) {
    const { layer } = cell
    if (cell.state !== state || !layer.rackIds.includes(rack.rack.id) || !layer.takes(via)) continue
    if (layer.unweighed) unweighed.push(layer.name)
    if (cell.limit.kind === 'missing') {
      unrated.push(layer.name)
      continue
    }
    const shares = new Array<number>(layer.units.length).fill(0)
    for (const part of layer.spread(hold)) shares[part.unit] = (shares[part.unit] ?? 0) + part.fraction
    for (const { limitKg, per, counting } of cell.inForce) {
      const list = counting === 'everything' ? [...layer.load, ...layer.own] : layer.load
      const now = unrelieved(list, layer.units.length, state)
      const rooms =
        per === 'each'
          ? shares.map((share, i) => ({ share, room: limitKg - (now[i] ?? 0), name: layer.units[i] ?? '' }))
          : [
              {
                share: shares.reduce((sum, each) => sum + each, 0),
                room: limitKg - netted(list, state),
                name: '',
              },
            ]
      for (const { share, room, name } of rooms) {
        if (share <= 1e-9) continue
        const here = Math.max(0, room / share)
        if (here >= kg) continue
        kg = here
        binding = cell
        unit = name
      }
    }
  }
  return { xMm, yMm, kg, binding, unit, unrated, unweighed }
}

/** The same over a grid on the rack's bars or deck: rows from front to rear, spots from left to right. */
export function nextKiloField(
  arrangement: Arrangement,
  path: LoadPath,
  rack: RackAt,
  state: State,
  grid: { readonly rows: number; readonly columns: number },
): NextKilo[][] {
  const area = fieldOf(rack)
  if (!area) return []
  const step = (from: number, to: number, i: number, of: number) => from + ((i + 0.5) * (to - from)) / of
  return Array.from({ length: grid.rows }, (_, row) =>
    Array.from({ length: grid.columns }, (_, column) =>
      nextKiloAt(arrangement, path, rack, state, {
        xMm: step(area.x0, area.x1, row, grid.rows),
        yMm: step(area.y0, area.y1, column, grid.columns),
      }),
    ),
  )
}

/** Where on a rack a thing may stand: its deck, or from a little before the first bar to as much behind the last. mm. */
function fieldOf(rack: RackAt): { x0: number; x1: number; y0: number; y1: number } | undefined {
  if (rack.deck) return rack.deck.box
  const [first, last] = [rack.bars[0], rack.bars.at(-1)]
  if (!first || !last || first === last) return undefined
  const beyond = (last.bar.xMm - first.bar.xMm) / 4
  const half = Math.min(...rack.bars.map(({ bar }) => bar.usableMm)) / 2
  return { x0: first.bar.xMm - beyond, x1: last.bar.xMm + beyond, y0: -half, y1: half }
}
