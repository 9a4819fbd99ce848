import { mountTraits } from '../../kinds/mount'
import { USUAL_STRAPS, type HouseRules } from '../../plan/schema/house'
import { packed, type ThingAt } from '../frame/arrangement'
import { isLong } from '../bars/long-load'
import { type MassPoint } from '../loads/mass-point'
import { withContents } from '../loads/mass-points'
import { STANDARD_GRAVITY } from '../../units/dimension'
import { ROAD_G } from './cases'

const FOOT_MM = 304.8
const LB_KG = 0.45359237

/**
 * Tie-downs by the length and mass of what is tied, with nothing in front of it to stop it: up to 5 ft and 1100 lb
 * one; up to 5 ft and more, or up to 10 ft, two; then one more for each further 10 ft or part of it.
 * Published: 49 CFR 393.110, from memory.
 */
export function tieDownsByLength(lengthMm: number, kg: number): number {
  const feet = lengthMm / FOOT_MM
  if (feet <= 5 + 1e-9) return kg <= 1100 * LB_KG + 1e-9 ? 1 : 2
  return feet <= 10 + 1e-9 ? 2 : 2 + Math.ceil((feet - 10) / 10 - 1e-9)
}

/**
 * The sum of working load limits that tie-downs must have: half the mass of what they hold. One that passes over
 * to the other side counts whole, one that ends on the thing or on its own side counts half. kg.
 * Published: 49 CFR 393.106(d), from memory.
 */
export function limitWanted(kg: number): number {
  return kg / 2
}

export function limitCounted(straps: number, eachKg: number, strapping: 'over' | 'sameSide'): number {
  return straps * eachKg * (strapping === 'over' ? 1 : 0.5)
}

/** Working load limit of webbing without a label, kg, by width in inches. Published: 49 CFR 393.108, from memory. */
export const UNLABELLED_WEBBING_KG: readonly (readonly [inches: number, kg: number])[] = [
  [1.75, 1750 * LB_KG],
  [2, 2000 * LB_KG],
  [3, 3000 * LB_KG],
  [4, 4000 * LB_KG],
]

interface Lashing {
  readonly kg: number
  /** Acceleration to hold, in g. */
  readonly push: number
  readonly friction: number
  readonly angleDeg: number
  readonly pullN: number
  /** 1.25 forward, 1.1 to the sides and rearward. */
  readonly safety: number
}

/**
 * How many straps pulled down over a load hold it by friction: (c − μ)·m·g / (2·μ·sin α·F_T) · f_s, not rounded;
 * none when friction alone holds. Published: EN 12195-1, friction lashing, from memory.
 */
export function frictionLashings({ kg, push, friction, angleDeg, pullN, safety }: Lashing): number {
  const sine = Math.sin((angleDeg * Math.PI) / 180)
  return Math.max(0, ((push - friction) * kg * STANDARD_GRAVITY) / (2 * friction * sine * pullN)) * safety
}

/** What one loose thing wants of straps, and what is planned. */
export interface TieDown {
  readonly thing: ThingAt
  readonly kg: number
  readonly lengthMm: number
  readonly byLength: number
  readonly byFriction: number
  readonly wanted: number
  /** The working load limit each of the straps wanted must have at least, when they pass over. */
  readonly eachKg: number
  /** What friction alone holds, in parts of its weight, against what braking asks. */
  readonly friction: number
  readonly planned: number
  readonly plannedEachKg: number | undefined
  readonly long: boolean
}

/** Whether straps are what holds a thing: it is strapped by its own sheet, or lies on a deck or in a cradle with nothing else to hold it. */
export function isLoose(thing: ThingAt): boolean {
  if (packed(thing)) return false
  return mountTraits(thing.gear.fit.mount.kind).fitted === 'straps'
}

/** Everything loose that rides, with the straps it wants by the published rules, under the house's way of tying. */
export function tieDowns(
  things: readonly ThingAt[],
  masses: readonly MassPoint[],
  rules: HouseRules,
): TieDown[] {
  const strapping = rules.straps ?? USUAL_STRAPS
  const driving = withContents(masses, ({ states, kg, factor }) =>
    states.includes('road') || states.includes('trail') ? kg * factor : 0,
  )
  return things.filter(isLoose).flatMap((thing): TieDown[] => {
    const kg = driving.get(thing) ?? 0
    if (kg <= 0) return []
    const lengthMm = thing.box.x1 - thing.box.x0
    const byLength = tieDownsByLength(lengthMm, kg)
    const lashing = { kg, friction: strapping.friction, angleDeg: strapping.angleDeg, pullN: strapping.pullN }
    const byFriction = Math.ceil(
      Math.max(
        frictionLashings({ ...lashing, push: ROAD_G.forward, safety: 1.25 }),
        frictionLashings({ ...lashing, push: ROAD_G.sideways, safety: 1.1 }),
      ) - 1e-9,
    )
    const wanted = Math.max(byLength, byFriction)
    return [
      {
        thing,
        kg,
        lengthMm,
        byLength,
        byFriction,
        wanted,
        eachKg: limitWanted(kg) / wanted,
        friction: strapping.friction,
        planned: thing.placement.straps?.count ?? 0,
        plannedEachKg: thing.placement.straps?.eachKg,
        long: isLong(thing),
      },
    ]
  })
}
