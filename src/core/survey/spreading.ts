import type { RackAt } from './arrangement'
import type { Member } from './layer'
import type { MassPoint } from './mass-points'

export const SIDES = ['left', 'right'] as const

/** How what comes down on feet, bars and racks spreads over the units of a layer. */
export type Spread = (
  mass: Pick<MassPoint, 'feet' | 'bars' | 'racks'>,
) => readonly { readonly unit: number; readonly fraction: number }[]

/** The masses on each unit, by how they spread. */
export function members(
  masses: readonly MassPoint[],
  spread: (mass: MassPoint) => ReturnType<Spread>,
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
export function byFoot(feet: RackAt['feet']): Spread {
  const unitOf = new Map(feet.map((foot, unit) => [foot.index, unit]))
  return ({ feet: shares }) => onUnits(unitOf, shares)
}

/** Onto the left and the right. */
export function bySide(feet: RackAt['feet']): Spread {
  const unitOf = new Map(feet.map((foot) => [foot.index, foot.side === 'left' ? 0 : 1]))
  return ({ feet: shares }) => {
    const sides = [0, 0]
    for (const [foot, fraction] of shares) {
      const unit = unitOf.get(foot)
      if (unit !== undefined) sides[unit] = (sides[unit] ?? 0) + fraction
    }
    return sides.map((fraction, unit) => ({ unit, fraction }))
  }
}

/** Onto each bar. */
export function byBar(rack: RackAt): Spread {
  const unitOf = new Map(rack.bars.map((bar, unit) => [bar.index, unit]))
  return ({ bars }) => onUnits(unitOf, bars)
}

/** Onto so many racks as one. */
export const onRacks =
  (racks: ReadonlySet<number>): Spread =>
  (mass) => {
    let fraction = 0
    for (const [rack, share] of mass.racks) if (racks.has(rack)) fraction += share
    return [{ unit: 0, fraction }]
  }
