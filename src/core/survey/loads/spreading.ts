import type { FootSide, RackAt } from '../frame/arrangement'
import type { MassPoint } from './mass-point'

/** A mass on one unit of a layer (one bar, one foot, one side, or the set), and how much of it. */
export interface Member {
  readonly mass: MassPoint
  readonly unit: number
  readonly fraction: number
}

export const SIDES = ['left', 'right'] as const

/** How what comes down on feet, bars and racks spreads over the units of a layer. */
export type Sharing = (
  mass: Pick<MassPoint, 'feet' | 'bars' | 'racks'>,
) => readonly { readonly unit: number; readonly fraction: number }[]

/** The masses on each unit, by how they spread. */
export function members(
  masses: readonly MassPoint[],
  spread: (mass: MassPoint) => ReturnType<Sharing>,
): Member[] {
  const list: Member[] = []
  for (const mass of masses)
    for (const { unit, fraction } of spread(mass)) if (fraction !== 0) list.push({ mass, unit, fraction })
  return list
}

type Parts = { readonly unit: number; readonly fraction: number }[]

function onUnits(unitOf: ReadonlyMap<number, number>, shares: MassPoint['feet']): Parts {
  const parts: Parts = []
  for (const [support, fraction] of shares) {
    const unit = unitOf.get(support)
    if (unit !== undefined) parts.push({ unit, fraction })
  }
  return parts
}

/** Onto each foot. */
export function byFoot(feet: RackAt['feet']): Sharing {
  const unitOf = new Map(feet.map((foot, unit) => [foot.index, unit]))
  return ({ feet: shares }) => onUnits(unitOf, shares)
}

/** What a foot on either side, or on the centreline, brings to the left and to the right. */
const SIDE_PARTS: Readonly<Record<FootSide, readonly [left: number, right: number]>> = {
  left: [1, 0],
  middle: [0.5, 0.5],
  right: [0, 1],
}

/** Onto the left and the right. */
export function bySide(feet: RackAt['feet']): Sharing {
  const partsOf = new Map(feet.map((foot) => [foot.index, SIDE_PARTS[foot.side]]))
  return ({ feet: shares }) => {
    let [left, right] = [0, 0]
    for (const [foot, fraction] of shares) {
      const parts = partsOf.get(foot)
      if (!parts) continue
      left += fraction * parts[0]
      right += fraction * parts[1]
    }
    return [
      { unit: 0, fraction: left },
      { unit: 1, fraction: right },
    ]
  }
}

/**
 * The same, and what hangs on racks without feet (a ladder beside a rack) shared evenly by all units: where on the
 * attachment it hangs, nobody says.
 */
export function withFootless(spread: Sharing, footless: ReadonlySet<number>, units: number): Sharing {
  if (footless.size === 0) return spread
  return (mass) => {
    const share = mass.racks.reduce((sum, [rack, part]) => (footless.has(rack) ? sum + part : sum), 0)
    const evenly =
      share === 0 ? [] : Array.from({ length: units }, (_, unit) => ({ unit, fraction: share / units }))
    return [...spread(mass), ...evenly]
  }
}

/** Onto each bar. */
export function byBar(rack: RackAt): Sharing {
  const unitOf = new Map(rack.bars.map((bar, unit) => [bar.index, unit]))
  return ({ bars }) => onUnits(unitOf, bars)
}

/** Onto so many racks as one. */
export const onRacks =
  (racks: ReadonlySet<number>): Sharing =>
  (mass) => {
    let fraction = 0
    for (const [rack, share] of mass.racks) if (racks.has(rack)) fraction += share
    return [{ unit: 0, fraction }]
  }
