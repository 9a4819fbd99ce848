import type { Member } from '../loads/spreading'
import type { Rating } from '../../plan/schema/rating'
import { STATES, type State } from '../../units/scalars'
import type { Use } from '../../plan/schema/placement'
import type { HouseRules } from '../../plan/schema/house'
import { exceeds } from '../../units/tolerance'
import type { ThingAt } from '../frame/arrangement'
import type { Counting, Layer } from './layer'
import { weighs, type MassPoint } from '../loads/mass-point'

/**
 * What a layer may hold in a state, and how that is known: published for the state; assumed from the driving
 * figure under a house rule; the driving figure itself, which holds parked as well; or not known at all.
 */
type Limit =
  | { readonly kind: 'published'; readonly kg: number; readonly rating: Rating }
  | {
      readonly kind: 'assumed'
      readonly kg: number
      readonly rating: Rating
      readonly by: 'derate' | 'ruleOfThree'
      readonly factor: number
    }
  | { readonly kind: 'driving'; readonly kg: number; readonly rating: Rating }
  | {
      readonly kind: 'missing'
      /** The driving figure that would stand in, where a house rule let it. */
      readonly driving: Rating | undefined
      /** Figures for one kind of gear alone, while other gear hangs here too. */
      readonly partial: readonly Rating[]
    }

/** Sums on a layer in one state, per unit and in all; `counted` includes the house margin on guesses. kg. */
interface Sums {
  readonly kg: number
  readonly countedKg: number
  readonly unitKg: readonly number[]
  readonly unitCountedKg: readonly number[]
}

/** A layer in a state: what is counted, against what, and what is left. */
export interface Cell {
  readonly layer: Layer
  readonly state: State
  /** Nothing that its figure counts weighs anything in this state. */
  readonly idle: boolean
  readonly limit: Limit
  readonly per: 'set' | 'each'
  readonly counting: Counting
  readonly countingStated: boolean
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
  readonly sums: BothSums
}

/** A figure that rules a layer in a state, scaled where a house rule scales it. kg. */
export interface InForce {
  readonly limitKg: number
  readonly per: 'set' | 'each'
  readonly counting: Counting
  readonly rating: Rating
}

function addInto(kg: number[], counted: number[], list: readonly Member[], state: State): void {
  for (const { mass, unit, fraction } of list) {
    if (!mass.states.includes(state)) continue
    const share = mass.kg * fraction
    kg[unit] = (kg[unit] ?? 0) + share
    counted[unit] = (counted[unit] ?? 0) + share * mass.factor
  }
}

function total(list: readonly number[]): number {
  let sum = 0
  for (const each of list) sum += each
  return sum
}

const summed = (unitKg: readonly number[], unitCountedKg: readonly number[]): Sums => ({
  kg: total(unitKg),
  countedKg: total(unitCountedKg),
  unitKg,
  unitCountedKg,
})

/** The sums of a layer in each state: where nothing on it or of it comes and goes, one state's are all of them. */
export function sumsOf(layer: Layer): (state: State) => BothSums {
  const stays = ({ mass }: Member) => mass.states.length === STATES.length
  if (!layer.load.every(stays) || !layer.own.every(stays)) return (state) => sums(layer, state)
  const alike = sums(layer, 'road')
  return () => alike
}

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
  const fullest = worst(mine.unitKg)
  // A unit that is over as the masses are said goes before one that only a guess's margin makes the fullest.
  const unit = exceeds(mine.unitKg[fullest] ?? 0, limitKg) ? fullest : worst(mine.unitCountedKg)
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
  list.map(({ limitKg, counting, rating }) => ({ limitKg, counting, per: rating.per, rating }))

/** The figure that leaves least; one that is exceeded as the masses are said goes before one that only a margin exceeds. */
function tightest(list: readonly Candidate[]): Candidate | undefined {
  return list.reduce<Candidate | undefined>((least, each) => {
    if (!least) return each
    const [was, is] = [exceeds(least.kg, least.limitKg), exceeds(each.kg, each.limitKg)]
    if (was !== is) return was ? least : each
    return least.limitKg - least.countedKg <= each.limitKg - each.countedKg ? least : each
  }, undefined)
}

/** Whether a mass is gear of a kind, or in or on gear of that kind. */
function isOfKind(mass: MassPoint, kind: Rating['gearKind']): boolean {
  if (!('thing' in mass)) return false
  for (let thing: ThingAt | undefined = mass.thing; thing; thing = thing.parent)
    if (thing.gear.kind === kind) return true
  return false
}

/** The figures of a state that speak for all that hangs on a layer there, and those that speak for some of it alone. */
function speaking(
  layer: Layer,
  which: State,
  state: State,
  use: Use,
): { readonly whole: readonly Rating[]; readonly partial: readonly Rating[] } {
  const general: Rating[] = []
  const ofKind: Rating[] = []
  for (const rating of layer.ratings)
    if (rating.state === which) (rating.gearKind === undefined ? general : ofKind).push(rating)
  const speed = state === 'road' ? use.roadKmH : state === 'trail' ? use.trailKmH : 0
  const slowEnough = general.filter(({ upToKmH }) => upToKmH === undefined || speed <= upToKmH)
  // Faster than every figure allows: it is judged by them all the same, and the speed is a Stop of its own.
  const atSpeed = slowEnough.length > 0 ? slowEnough : general
  if (ofKind.length === 0) return { whole: atSpeed, partial: ofKind }
  const there = layer.load.filter(({ mass }) => weighs(mass) && mass.states.includes(state))
  const met = ofKind.filter(({ gearKind }) => there.some(({ mass }) => isOfKind(mass, gearKind)))
  const alone = met.some(({ gearKind }) => there.every(({ mass }) => isOfKind(mass, gearKind)))
  return atSpeed.length > 0 || alone
    ? { whole: [...atSpeed, ...met], partial: [] }
    : { whole: [], partial: ofKind }
}

const anyWeighs = (list: readonly Member[], state: State) =>
  list.some(({ mass }) => weighs(mass) && mass.states.includes(state))

/** Judges one layer in one state, with its sums there, under the house rules: which rating binds, what it counts, what is left (kg). */
export function cellOf(layer: Layer, state: State, both: BothSums, rules: HouseRules, use: Use): Cell {
  const counts: Readonly<Record<Counting, boolean>> = {
    load: anyWeighs(layer.load, state),
    everything: anyWeighs(layer.load, state) || anyWeighs(layer.own, state),
  }
  const candidates = (ratings: readonly Rating[], factor = 1) =>
    ratings.map((rating) => candidate(layer, both, rating, factor))

  const { whole, partial } = speaking(layer, state, state, use)
  const stated = candidates(whole)
  const published = tightest(stated)
  if (published)
    return known(published, stated, { kind: 'published', kg: published.limitKg, rating: published.rating })

  const road = speaking(layer, 'road', state, use).whole
  const forDriving = candidates(
    state === 'parked' && road.length === 0 ? speaking(layer, 'trail', state, use).whole : road,
  )
  const driving = state === 'road' ? undefined : tightest(forDriving)
  if (state === 'trail' && driving && rules.trailMissing.school === 'derate') {
    const { factor } = rules.trailMissing
    const scaled = candidates(road, factor)
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
      const scaled = candidates(road, 3)
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
  // With no figure for the state, what is counted is what the figure it would be derived from counts.
  const counting = driving?.counting ?? layer.usualCounting
  const other = both[counting === 'load' ? 'everything' : 'load']
  return {
    layer,
    state,
    idle: !counts[counting],
    limit: { kind: 'missing', driving: driving?.rating, partial },
    per: driving?.rating.per ?? 'set',
    counting,
    countingStated: driving?.rating.counts !== undefined,
    unit: driving?.unit ?? 0,
    kg: driving?.kg ?? both[counting].kg,
    countedKg: driving?.countedKg ?? both[counting].countedKg,
    otherwiseKg: driving?.otherwiseKg ?? other.countedKg,
    leftKg: undefined,
    addableKg: undefined,
    share: undefined,
    inForce: [],
    sums: both,
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
      idle: !list.some((each) => counts[each.counting]),
      limit,
      per: chosen.rating.per,
      counting: chosen.counting,
      countingStated: chosen.rating.counts !== undefined,
      unit: chosen.unit,
      kg: chosen.kg,
      countedKg: chosen.countedKg,
      otherwiseKg: chosen.otherwiseKg,
      leftKg,
      addableKg: Math.min(...list.map((each) => addable(each, layer))),
      share: limit.kg > 0 ? chosen.countedKg / limit.kg : chosen.countedKg > 0 ? 1 : 0,
      inForce: inForce(list),
      sums: both,
    }
  }
}

/** What may be added evenly by one figure: a figure for each, as often as there are of it. kg. */
const addable = ({ limitKg, countedKg, rating }: Candidate, layer: Layer): number =>
  (limitKg - countedKg) * (rating.per === 'each' ? layer.units.length : 1)

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
