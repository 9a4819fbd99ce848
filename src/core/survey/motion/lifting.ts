import { packed, type ThingAt } from '../frame/arrangement'
import type { MassPoint } from '../loads/mass-point'

/** One end of a lift: hands out from the ankles, and over the ground, cm. */
interface HandsAt {
  readonly outCm: number
  readonly heightCm: number
}

export type Grip = 'good' | 'fair' | 'poor'

/** Multiplier for the grip: it matters more below 75 cm. */
function gripFactor(grip: Grip, heightCm: number): number {
  if (grip === 'good') return 1
  if (grip === 'poor') return 0.9
  return heightCm < 75 ? 0.95 : 1
}

/**
 * Recommended weight limit at one end of a lift, kg: 23·HM·VM·DM·AM·FM·CM, for a lift now and then (FM = 1).
 * 0 beyond the equation's range: hands over 175 cm, or more than 63 cm out. Published: NIOSH 94-110, revised
 * lifting equation, from memory.
 */
export function recommendedLimit(
  { outCm, heightCm }: HandsAt,
  travelCm: number,
  grip: Grip,
  twistDeg = 0,
): number {
  if (outCm > 63 || heightCm < 0 || heightCm > REACH_CM || twistDeg > 135 || travelCm > 175) return 0
  const across = 25 / Math.max(25, outCm)
  const height = 1 - 0.003 * Math.abs(heightCm - 75)
  const travel = travelCm <= 25 ? 1 : 0.82 + 4.5 / travelCm
  const twist = 1 - 0.0032 * twistDeg
  return 23 * across * height * travel * twist * gripFactor(grip, heightCm)
}

/** Who lifts a thing, and from what. */
type Advice =
  | { readonly by: 'one' | 'two' }
  | { readonly by: 'stepTwo'; readonly stepMm: number }
  /** Light enough for two, but over the equation's reach from any step. */
  | { readonly by: 'platform' }
  | { readonly by: 'loader' }

/** The lift of one thing, or of one load into it, from the ground to where it sits. kg; index is mass over limit. */
export interface Lift {
  readonly thing: ThingAt
  readonly name: string
  readonly kg: number
  readonly toMm: number
  /** Whether that is over the reach of a lift by hand. */
  readonly outOfReach: boolean
  /** In how many pieces it is carried up; 1 for what does not come apart. */
  readonly pieces: number
  /** Limits at the ground and up there, for one person; 0 is beyond the equation's range. */
  readonly oneKg: { readonly ground: number; readonly up: number }
  /** The same for each of two, at its ends. */
  readonly twoKg: { readonly ground: number; readonly up: number }
  readonly advice: Advice
}

/** The height of the hands where the equation ends, cm. */
const REACH_CM = 175

/** Steps that a fitter has, mm. Common practice, no source. */
const STEPS = [200, 300, 400, 500, 600] as const

/** How far out the hands of one of two are, who hold a thing at its ends: as near as the equation counts. cm. */
const ENDS_OUT_CM = 25

function limits(outCm: number, fromCm: number, toCm: number): { ground: number; up: number } {
  const travel = Math.abs(toCm - fromCm)
  return {
    ground: recommendedLimit({ outCm, heightCm: fromCm }, travel, 'fair'),
    up: recommendedLimit({ outCm, heightCm: toCm }, travel, 'fair'),
  }
}

const holds = (kg: number, limit: { ground: number; up: number }) =>
  kg <= Math.min(limit.ground, limit.up) + 1e-9

/**
 * A lift of the given kg from the ground up to an underside at `toMm`, held across its narrower side: for one, for
 * two, for two on a step; else it is a job for a loader or a hoist. Hands start at half the thing's height, at
 * most 75 cm up. H = 20 + W/2 cm, W the depth held, at least 25 (NIOSH 94-110, from memory).
 */
export function liftOf(
  kg: number,
  sizeMm: { readonly depth: number; readonly height: number },
  toMm: number,
): Pick<Lift, 'oneKg' | 'twoKg' | 'advice'> {
  const fromCm = Math.min(75, sizeMm.height / 20)
  const outCm = Math.max(25, 20 + sizeMm.depth / 20)
  const oneKg = limits(outCm, fromCm, toMm / 10)
  const twoKg = limits(ENDS_OUT_CM, fromCm, toMm / 10)
  if (holds(kg, oneKg)) return { oneKg, twoKg, advice: { by: 'one' } }
  if (holds(kg / 2, twoKg)) return { oneKg, twoKg, advice: { by: 'two' } }
  const step = STEPS.find((mm) => holds(kg / 2, limits(ENDS_OUT_CM, fromCm, (toMm - mm) / 10)))
  if (step !== undefined) return { oneKg, twoKg, advice: { by: 'stepTwo', stepMm: step } }
  const atReach = limits(ENDS_OUT_CM, fromCm, Math.min(toMm / 10, REACH_CM))
  return { oneKg, twoKg, advice: { by: holds(kg / 2, atReach) ? 'platform' : 'loader' } }
}

/** What goes up in pieces after the empty thing: as few as one person, or two on a step, may lift there. */
function inPieces(kg: number, toMm: number): Pick<Lift, 'oneKg' | 'twoKg' | 'advice' | 'pieces'> {
  for (let pieces = 1; pieces <= MOST_PIECES; pieces++) {
    const lift = liftOf(kg / pieces, IN_PIECES, toMm)
    if (lift.advice.by === 'one' || (lift.oneKg.up <= 0 && lift.advice.by !== 'loader'))
      return { ...lift, pieces }
  }
  return { ...liftOf(kg, IN_PIECES, toMm), pieces: 1 }
}

/** Past so many trips nobody takes it up in pieces. */
const MOST_PIECES = 40

/** Every thing that is lifted onto the vehicle: itself empty first, what it is filled with along with it, then what goes into it. */
export function liftsOf(things: readonly ThingAt[], masses: readonly MassPoint[]): Lift[] {
  const filled = new Map<ThingAt, number>()
  const contents = new Map<ThingAt, { readonly label: string; readonly kg: number }[]>()
  for (const mass of masses) {
    if (mass.of !== 'load' || mass.kg <= 0) continue
    const { thing, load, label, kg } = mass
    if (load?.what.kind === 'fluid') filled.set(thing, (filled.get(thing) ?? 0) + kg)
    if (load?.what.kind === 'mass') contents.set(thing, [...(contents.get(thing) ?? []), { label, kg }])
  }
  return things.flatMap((thing): Lift[] => {
    const { gear, box } = thing
    if (gear.kind === 'person') return []
    const sides = { length: box.x1 - box.x0, width: box.y1 - box.y0, height: box.z1 - box.z0 }
    const own = { depth: Math.min(sides.length, sides.width), height: sides.height }
    const toMm = box.z0
    const lifts: Lift[] = []
    const kg = gear.mass.kg + (filled.get(thing) ?? 0)
    if (!packed(thing) && kg > 0)
      lifts.push({
        thing,
        name: gear.name,
        kg,
        toMm,
        outOfReach: toMm / 10 > REACH_CM,
        ...(gear.kind === 'lumber' ? inPieces(kg, toMm) : { pieces: 1, ...liftOf(kg, own, toMm) }),
      })
    for (const { label, kg: loadKg } of contents.get(thing) ?? [])
      lifts.push({
        thing,
        name: `${label} into ${gear.name}`,
        kg: loadKg,
        toMm,
        outOfReach: toMm / 10 > REACH_CM,
        ...inPieces(loadKg, toMm),
      })
    return lifts
  })
}

/** What is carried up in pieces is held close: about 300 mm deep and high. Common practice, no source. */
const IN_PIECES = { depth: 300, height: 300 } as const
