import type { Use } from '../../plan/schema/placement'
import type { Arrangement, RackAt } from '../frame/arrangement'
import type { Cargo, MassPoint } from '../loads/mass-point'
import { shareAt } from '../statics/supports'
import { motionCases, type MotionCase } from './cases'

/** What a foot bears at rest and in each case of motion, gear only. kg as a weight; negative is uplift. */
export interface FootInMotion {
  readonly footIndex: number
  readonly state: 'road' | 'trail'
  readonly restKg: number
  readonly cases: readonly { readonly case: MotionCase; readonly kg: number }[]
  readonly least: { readonly name: string; readonly kg: number }
  readonly most: { readonly name: string; readonly kg: number }
}

/** Height of the plane in which the feet under a load stand, mm. */
function feetPlane(arrangement: Arrangement, { feet }: Cargo): number {
  if (feet.length === 0) return 0
  return feet.reduce((sum, [index]) => sum + (arrangement.feet[index]?.seatZMm ?? 0), 0) / feet.length
}

/** What a load puts on one foot per kg at rest, and how that changes per mm that it is pushed along and across. */
interface Push {
  readonly foot: number
  readonly rest: number
  readonly along: number
  readonly across: number
}

function pushes(arrangement: Arrangement, { influence, at, racks }: Cargo): Push[] {
  const list: Push[] = []
  for (const { share, feet } of influence.bars) {
    const part = shareAt(share, at.x)
    for (const { index, share: own } of feet) {
      const ofBar = shareAt(own, at.y)
      list.push({ foot: index, rest: part * ofBar, along: share.perMm * ofBar, across: part * own.perMm })
    }
  }
  for (const { index, share } of influence.posts)
    list.push({ foot: index, rest: shareAt(share, at.x), along: share.perMm, across: 0 })
  if (influence.via === 'panel') list.push(...tipped(arrangement.racks[racks[0]?.[0] ?? -1]))
  return list
}

/** A load on one side's feet tips over onto the other's: off the one side's feet and onto the other's, each an even part. */
function tipped(rack: RackAt | undefined): Push[] {
  if (!rack) return []
  const left = rack.feet.filter((foot) => foot.side === 'left')
  const right = rack.feet.filter((foot) => foot.side === 'right')
  const mean = (feet: typeof left) => feet.reduce((sum, foot) => sum + foot.yMm, 0) / feet.length
  const gauge = mean(right) - mean(left)
  if (!(gauge > 0)) return []
  const onto = (feet: typeof left, per: number) =>
    feet.map(({ index }): Push => ({ foot: index, rest: 0, along: 0, across: per / gauge / feet.length }))
  return [...onto(right, 1), ...onto(left, -1)]
}

/**
 * Every foot at rest and in every load case of the plan: the gear's weight by statics, with Δ = m·a·h / base moved by
 * its height over the feet's plane, one case at a time. Handbook: statics of rigid bodies, from memory.
 */
export function feetInMotion(
  use: Use,
  arrangement: Arrangement,
  masses: readonly MassPoint[],
): FootInMotion[] {
  const cases = motionCases(use)
  const states = ['road', 'trail'] as const
  const sums = states.map(() => arrangement.feet.map(() => ({ rest: 0, along: 0, across: 0 })))
  for (const mass of masses) {
    if (!('thing' in mass) || mass.feet.length === 0) continue
    const kg = mass.kg * mass.factor
    const kgMm = kg * (mass.at.z - feetPlane(arrangement, mass))
    for (const push of pushes(arrangement, mass))
      states.forEach((state, i) => {
        const sum = sums[i]?.[push.foot]
        if (!sum || !mass.states.includes(state)) return
        sum.rest += kg * push.rest
        sum.along += kgMm * push.along
        sum.across += kgMm * push.across
      })
  }
  return states.flatMap((state, i) => {
    const own = cases.filter((each) => each.state === state)
    return arrangement.feet.map(({ index }): FootInMotion => {
      const { rest, along, across } = sums[i]?.[index] ?? { rest: 0, along: 0, across: 0 }
      let least = { name: 'At rest', kg: rest }
      let most = least
      const list = own.map((each) => {
        const kg = each.down * rest + each.along * along + each.across * across
        if (kg < least.kg) least = { name: each.name, kg }
        if (kg > most.kg) most = { name: each.name, kg }
        return { case: each, kg }
      })
      return { footIndex: index, state, restKg: rest, cases: list, least, most }
    })
  })
}
