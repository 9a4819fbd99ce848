import type { Rating } from '../plan/rating'
import type { State } from '../plan/scalars'
import type { HouseRules } from '../rules/house'
import type { Counting, Layer, Member } from './layer'

/**
 * What a layer may hold in a state, and how that is known: published for the state; assumed from the driving
 * figure under a house rule; the driving figure itself, which holds parked as well; or not known at all.
 */
export type Limit =
  | { readonly kind: 'published'; readonly kg: number; readonly rating: Rating }
  | {
      readonly kind: 'assumed'
      readonly kg: number
      readonly rating: Rating
      readonly by: 'derate' | 'ruleOfThree'
      readonly factor: number
    }
  | { readonly kind: 'driving'; readonly kg: number; readonly rating: Rating }
  | { readonly kind: 'missing'; readonly driving: Rating | undefined }

/** Sums on a layer in one state, per unit and in all; `counted` includes the house margin on guesses. kg. */
export interface Sums {
  readonly kg: number
  readonly countedKg: number
  readonly unitKg: readonly number[]
  readonly unitCountedKg: readonly number[]
}

/** A layer in a state: what is counted, against what, and what is left. */
export interface Cell {
  readonly layer: Layer
  readonly state: State
  /** Nothing stands on it in this state; its own parts may still weigh on it. */
  readonly idle: boolean
  readonly limit: Limit
  readonly per: 'set' | 'each'
  readonly counting: Counting
  readonly countingSaid: boolean
  /** The unit that bears most, for a rating per each. */
  readonly unit: number
  readonly kg: number
  readonly countedKg: number
  /** The same sum if the rating counted the other way. */
  readonly otherwiseKg: number
  readonly leftKg: number | undefined
  readonly addableKg: number | undefined
  readonly share: number | undefined
  /** Every figure that rules here at once; the one that leaves least is the limit. */
  readonly inForce: readonly InForce[]
}

/** A figure that rules a layer in a state, scaled where a house rule scales it. kg. */
export interface InForce {
  readonly limitKg: number
  readonly per: 'set' | 'each'
  readonly counting: Counting
}

/** Equal to the limit is within it: masses in pounds and kilograms meet only to a rounding. */
const TOLERANCE = 1e-6

/** Whether a mass is over a limit (both kg). */
export function exceeds(kg: number, limitKg: number): boolean {
  return kg > limitKg * (1 + TOLERANCE)
}

function addInto(kg: number[], counted: number[], list: readonly Member[], state: State): void {
  for (const { mass, unit, fraction } of list) {
    if (!mass.states.includes(state)) continue
    const share = mass.kg * fraction
    kg[unit] = (kg[unit] ?? 0) + share
    counted[unit] = (counted[unit] ?? 0) + share * mass.factor
  }
}

const total = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0)

const summed = (unitKg: readonly number[], unitCountedKg: readonly number[]): Sums => ({
  kg: total(unitKg),
  countedKg: total(unitCountedKg),
  unitKg,
  unitCountedKg,
})

function sums(layer: Layer, state: State): BothSums {
  const unitKg: number[] = new Array<number>(layer.units.length).fill(0)
  const unitCountedKg: number[] = new Array<number>(layer.units.length).fill(0)
  addInto(unitKg, unitCountedKg, layer.load, state)
  const load = summed([...unitKg], [...unitCountedKg])
  addInto(unitKg, unitCountedKg, layer.own, state)
  return { load, everything: summed(unitKg, unitCountedKg) }
}

function worst(list: readonly number[]): number {
  let at = 0
  list.forEach((value, i) => {
    if (value > (list[at] ?? -Infinity)) at = i
  })
  return at
}

interface Candidate {
  readonly rating: Rating
  readonly limitKg: number
  readonly counting: Counting
  readonly unit: number
  readonly kg: number
  readonly countedKg: number
  readonly otherwiseKg: number
}

type BothSums = Readonly<Record<Counting, Sums>>

function candidate(layer: Layer, both: BothSums, rating: Rating, factor: number): Candidate {
  const counting = rating.counts ?? layer.usualCounting
  const other = both[counting === 'load' ? 'everything' : 'load']
  const mine = both[counting]
  const limitKg = rating.kg * factor
  if (rating.per === 'set')
    return {
      rating,
      limitKg,
      counting,
      unit: 0,
      kg: mine.kg,
      countedKg: mine.countedKg,
      otherwiseKg: other.countedKg,
    }
  const unit = worst(mine.unitCountedKg)
  return {
    rating,
    limitKg,
    counting,
    unit,
    kg: mine.unitKg[unit] ?? 0,
    countedKg: mine.unitCountedKg[unit] ?? 0,
    otherwiseKg: Math.max(...other.unitCountedKg),
  }
}

const inForce = (list: readonly Candidate[]): InForce[] =>
  list.map(({ limitKg, counting, rating }) => ({ limitKg, counting, per: rating.per }))

function tightest(list: readonly Candidate[]): Candidate | undefined {
  return list.reduce<Candidate | undefined>(
    (least, each) =>
      least && least.limitKg - least.countedKg <= each.limitKg - each.countedKg ? least : each,
    undefined,
  )
}

/** Ratings for one kind of gear apply only where such gear hangs on the layer. */
function applies(rating: Rating, layer: Layer, state: State): boolean {
  if (rating.gearKind === undefined) return true
  return layer.load.some(
    ({ mass }) => 'thing' in mass && mass.thing.gear.kind === rating.gearKind && mass.states.includes(state),
  )
}

/** Judges one layer in one state under the house rules: which rating binds, what it counts, what is left (kg). */
export function cellOf(layer: Layer, state: State, rules: HouseRules): Cell {
  const both = sums(layer, state)
  const idle = !layer.load.some(({ mass }) => mass.kg > 0 && mass.states.includes(state))
  const inState = (which: State) =>
    layer.ratings
      .filter((rating) => rating.state === which && applies(rating, layer, state))
      .map((rating) => candidate(layer, both, rating, 1))

  const stated = inState(state)
  const published = tightest(stated)
  if (published)
    return known(published, stated, { kind: 'published', kg: published.limitKg, rating: published.rating })

  const road = inState('road')
  const forDriving = state === 'parked' && road.length === 0 ? inState('trail') : road
  const driving = tightest(forDriving)
  if (state === 'trail' && driving && rules.trailMissing.school === 'derate') {
    const { factor } = rules.trailMissing
    const scaled = road.map(({ rating }) => candidate(layer, both, rating, factor))
    const derated = tightest(scaled) ?? driving
    return known(derated, scaled, {
      kind: 'assumed',
      kg: derated.limitKg,
      rating: derated.rating,
      by: 'derate',
      factor,
    })
  }
  if (state === 'parked' && driving) {
    if (!exceeds(driving.countedKg, driving.limitKg))
      return known(driving, forDriving, { kind: 'driving', kg: driving.limitKg, rating: driving.rating })
    if (rules.parkedMissing === 'ruleOfThree') {
      const scaled = road.map(({ rating }) => candidate(layer, both, rating, 3))
      const tripled = tightest(scaled)
      if (tripled)
        return known(tripled, scaled, {
          kind: 'assumed',
          kg: tripled.limitKg,
          rating: tripled.rating,
          by: 'ruleOfThree',
          factor: 3,
        })
    }
  }
  const counting = layer.usualCounting
  return {
    layer,
    state,
    idle,
    limit: { kind: 'missing', driving: driving?.rating },
    per: 'set',
    counting,
    countingSaid: false,
    unit: 0,
    kg: both[counting].kg,
    countedKg: both[counting].countedKg,
    otherwiseKg: both[counting === 'load' ? 'everything' : 'load'].countedKg,
    leftKg: undefined,
    addableKg: undefined,
    share: undefined,
    inForce: [],
  }

  function known(
    chosen: Candidate,
    list: readonly Candidate[],
    limit: Exclude<Limit, { kind: 'missing' }>,
  ): Cell {
    const leftKg = limit.kg - chosen.countedKg
    return {
      layer,
      state,
      idle,
      limit,
      per: chosen.rating.per,
      counting: chosen.counting,
      countingSaid: chosen.rating.counts !== undefined,
      unit: chosen.unit,
      kg: chosen.kg,
      countedKg: chosen.countedKg,
      otherwiseKg: chosen.otherwiseKg,
      leftKg,
      addableKg: chosen.rating.per === 'each' ? leftKg * layer.units.length : leftKg,
      share: chosen.countedKg / limit.kg,
      inForce: inForce(list),
    }
  }
}

export interface CellPart {
  readonly mass: Member['mass']
  /** How much of it this link holds, 0 to 1; negative is uplift. */
  readonly fraction: number
  readonly kg: number
  readonly countedKg: number
}

/** The sum behind a cell, line by line: each mass, its share on this link, and what is counted of it (kg). */
export function cellParts(cell: Cell): CellPart[] {
  const { layer, state, counting, per, unit } = cell
  const list = counting === 'everything' ? [...layer.load, ...layer.own] : layer.load
  const lines = new Map<Member['mass'], number>()
  for (const member of list) {
    if (!member.mass.states.includes(state) || (per === 'each' && member.unit !== unit)) continue
    lines.set(member.mass, (lines.get(member.mass) ?? 0) + member.fraction)
  }
  return [...lines].map(([mass, fraction]) => ({
    mass,
    fraction,
    kg: mass.kg * fraction,
    countedKg: mass.kg * fraction * mass.factor,
  }))
}
