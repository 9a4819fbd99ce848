import type { Plan } from '../../plan/plan'
import type { Arrangement } from '../arrangement'
import type { MassPoint } from '../mass-points'
import { holdAt } from '../statics/influence'
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

type Cargo = Extract<MassPoint, { thing: unknown }>

/** Height of the plane in which the feet under a load stand, mm. */
function feetPlane(arrangement: Arrangement, { feet }: Cargo): number {
  if (feet.length === 0) return 0
  return feet.reduce((sum, [index]) => sum + (arrangement.feet[index]?.seatZMm ?? 0), 0) / feet.length
}

/** What a load puts on each foot while it is pushed: as if its centre of gravity stood push × height further along. */
function pushed(arrangement: Arrangement, mass: Cargo, motion: MotionCase): (readonly [number, number])[] {
  const weight = mass.kg * mass.factor * motion.down
  const height = mass.at.z - feetPlane(arrangement, mass)
  const dx = (motion.along / motion.down) * height
  const dy = (motion.across / motion.down) * height
  const { feet } = holdAt(mass.influence, { x: mass.at.x + dx, y: mass.at.y + dy })
  if (mass.influence.via !== 'panel') return feet.map(([index, share]) => [index, share * weight])
  return [
    ...feet.map(([index, share]) => [index, share * weight] as const),
    ...tipped(arrangement, mass, weight * dy),
  ]
}

/** A load on one side's feet tips over onto the other's: so much off the one side's feet and onto the other's, each taking an even part. */
function tipped(arrangement: Arrangement, mass: Cargo, momentKgMm: number): (readonly [number, number])[] {
  const rack = arrangement.racks[mass.racks[0]?.[0] ?? -1]
  if (!rack) return []
  const left = rack.feet.filter((foot) => foot.side === 'left')
  const right = rack.feet.filter((foot) => foot.side === 'right')
  const mean = (feet: typeof left) => feet.reduce((sum, foot) => sum + foot.yMm, 0) / feet.length
  const gauge = mean(right) - mean(left)
  if (!(gauge > 0)) return []
  const over = momentKgMm / gauge
  return [
    ...right.map((foot) => [foot.index, over / right.length] as const),
    ...left.map((foot) => [foot.index, -over / left.length] as const),
  ]
}

/**
 * Every foot at rest and in every load case of the plan: the gear's weight by statics, with Δ = m·a·h / base moved by
 * its height over the feet's plane, one case at a time. Handbook: statics of rigid bodies, from memory.
 */
export function feetInMotion(
  plan: Plan,
  arrangement: Arrangement,
  masses: readonly MassPoint[],
): FootInMotion[] {
  const cargo = masses.filter((mass): mass is Cargo => 'thing' in mass && mass.feet.length > 0)
  const cases = motionCases(plan.use)
  const onFeet = (state: 'road' | 'trail', of: (mass: Cargo) => readonly (readonly [number, number])[]) => {
    const kg = new Array<number>(arrangement.feet.length).fill(0)
    for (const mass of cargo)
      if (mass.states.includes(state))
        for (const [index, part] of of(mass)) kg[index] = (kg[index] ?? 0) + part
    return kg
  }
  return (['road', 'trail'] as const).flatMap((state) => {
    const rest = onFeet(state, (mass) =>
      mass.feet.map(([index, part]) => [index, part * mass.kg * mass.factor]),
    )
    const moved = cases
      .filter((each) => each.state === state)
      .map((motion) => ({ motion, kg: onFeet(state, (mass) => pushed(arrangement, mass, motion)) }))
    return arrangement.feet.map(({ index }): FootInMotion => {
      const list = moved.map(({ motion, kg }) => ({ case: motion, kg: kg[index] ?? 0 }))
      const all = [
        { name: 'At rest', kg: rest[index] ?? 0 },
        ...list.map((each) => ({ name: each.case.name, kg: each.kg })),
      ]
      return {
        footIndex: index,
        state,
        restKg: rest[index] ?? 0,
        cases: list,
        least: all.reduce((so, each) => (each.kg < so.kg ? each : so)),
        most: all.reduce((so, each) => (each.kg > so.kg ? each : so)),
      }
    })
  })
}
