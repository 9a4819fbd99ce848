import { turned, type Arrangement, type ThingAt } from '../frame/arrangement'
import type { MassPoint } from '../loads/mass-point'
import { holdAt } from '../statics/influence'

/** Half the width somebody lying takes, and how near an end of the floor their middle gets as they sit up. mm. Common practice, no source. */
const HALF_WIDTH_MM = 250
const SITS_IN_MM = 500

/** What a foot bears parked as sleepers lie: as placed, and at its worst wherever on the floor they lie. kg. */
export interface SleptOn {
  readonly footIndex: number
  readonly asPlacedKg: number
  readonly leastKg: number
  readonly mostKg: number
}

interface Floor {
  readonly x0: number
  readonly x1: number
  readonly y0: number
  readonly y1: number
}

/**
 * Where the middle of so many people side by side in a tent can be: up against any wall, lying either way. On the
 * base, edge included where the floor runs on past it onto a ladder; without a ladder out to where the opened floor
 * ends. What the ladder takes is not counted off. mm.
 */
function floorsOf({ box, gear, turn }: ThingAt, count: number): readonly Floor[] {
  const side = HALF_WIDTH_MM * Math.max(1, count)
  const { opens } = gear
  const [ox, oy] = opens
    ? ({ left: [0, -1], right: [0, 1], front: [-1, 0], rear: [1, 0] } as const)[opens.toward]
    : [0, 0]
  const [dx, dy] = turned(ox, oy, turn)
  return [
    [side, SITS_IN_MM],
    [SITS_IN_MM, side],
  ].map(([inX = 0, inY = 0]) => {
    const past = (inward: number) => (opens ? (opens.ladder ? inward : opens.reachMm) : 0)
    return kept({
      x0: box.x0 + inX - (dx < 0 ? past(inX) : 0),
      x1: box.x1 - inX + (dx > 0 ? past(inX) : 0),
      y0: box.y0 + inY - (dy < 0 ? past(inY) : 0),
      y1: box.y1 - inY + (dy > 0 ? past(inY) : 0),
    })
  })
}

/** A floor too small for them is its middle line. */
function kept({ x0, x1, y0, y1 }: Floor): Floor {
  const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2]
  return { x0: Math.min(x0, mx), x1: Math.max(x1, mx), y0: Math.min(y0, my), y1: Math.max(y1, my) }
}

/** Load on each foot parked, and between what it may be as people lie elsewhere on their floors: all in the corner that is worst for it. */
export function feetUnderSleepers(arrangement: Arrangement, masses: readonly MassPoint[]): SleptOn[] {
  const people = masses.filter(
    (mass): mass is Extract<MassPoint, { thing: unknown }> =>
      mass.of === 'load' &&
      mass.load?.what.kind === 'people' &&
      mass.states.includes('parked') &&
      mass.kg > 0,
  )
  if (people.length === 0) return []
  const count = arrangement.feet.length
  const rest = new Array<number>(count).fill(0)
  for (const mass of masses) {
    if (mass.of === 'part' || !mass.states.includes('parked')) continue
    for (const [foot, share] of mass.feet) rest[foot] = (rest[foot] ?? 0) + share * mass.kg * mass.factor
  }
  const least = [...rest]
  const most = [...rest]
  for (const mass of people) {
    const count = mass.of === 'load' && mass.load?.what.kind === 'people' ? mass.load.what.count : 1
    const corners = floorsOf(mass.thing, count).flatMap(({ x0, x1, y0, y1 }) =>
      [x0, x1].flatMap((x) => [y0, y1].map((y) => new Map(holdAt(mass.influence, { x, y }).feet))),
    )
    const placed = new Map(mass.feet)
    const touched = new Set(corners.flatMap((corner) => [...corner.keys()]))
    for (const foot of touched) {
      const shares = corners.map((corner) => corner.get(foot) ?? 0)
      const kg = mass.kg * mass.factor
      const now = placed.get(foot) ?? 0
      least[foot] = (least[foot] ?? 0) + (Math.min(now, ...shares) - now) * kg
      most[foot] = (most[foot] ?? 0) + (Math.max(now, ...shares) - now) * kg
    }
  }
  return arrangement.feet.map(({ index }) => ({
    footIndex: index,
    asPlacedKg: rest[index] ?? 0,
    leastKg: least[index] ?? 0,
    mostKg: most[index] ?? 0,
  }))
}
