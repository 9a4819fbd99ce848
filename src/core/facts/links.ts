import { entryKey, type PlanEntry } from '../plan/schema/entry'
import type { HouseRules } from '../plan/schema/house'
import type { Plan } from '../plan/schema/plan'
import type { Rating } from '../plan/schema/rating'
import type { Counting, Layer } from '../survey/load-path/layer'
import type { Cell } from '../survey/load-path/limit'
import type { LoadPath } from '../survey/load-path/load-path'
import type { MassPoint } from '../survey/loads/mass-point'
import type { Member } from '../survey/loads/spreading'
import type { Survey } from '../survey/survey'
import { exceeds } from '../units/tolerance'
import { howOfBasis, massBracket, partBracket } from './bracket'
import { atMost, slackOf, type Comparison, type FactUse, type Compared } from './comparison'
import {
  joined,
  judgeComparison,
  mostOver,
  mostSwing,
  type Doubt,
  type ComparisonVerdict,
} from './judge-comparison'
import { payloadUses } from './vehicle-figures'

/** A link of the load path held against one figure in force: all of it together, or one of its units. kg. */
export interface LinkComparison extends Comparison {
  readonly rating: Rating
  /** The unit that a figure for each is held against; nothing where it is for the set. */
  readonly unitIndex: number | undefined
  readonly counting: Counting
  /** The figure itself: what a house lets stand over it is not in it. */
  readonly figureKg: number
  /** The measure with the house's margin on guesses. */
  readonly countedKg: number
}

/** What stands behind a sum: its masses as entries of the plan. Loads that nobody knows may be anything more. */
export function massUses(
  masses: Iterable<readonly [mass: MassPoint, fraction: number]>,
  rules: HouseRules,
): FactUse[] {
  const uses: FactUse[] = []
  for (const [{ kg, from, basis }, fraction] of masses) {
    if (!from || fraction === 0) continue
    const per = fraction * from.times
    const value = from.times === 0 ? 0 : kg / from.times
    if (basis === 'unknown')
      uses.push({ entry: from.entry, value, how: 'unknown', bracket: Infinity, per: Math.max(0, per) })
    else {
      const how = howOfBasis(basis)
      if (how) uses.push({ entry: from.entry, value, how, bracket: value * massBracket(basis, rules), per })
    }
  }
  return uses
}

/** A figure as an entry: a comparison fails by less of it. `times` is the factor of a house rule on it. */
const ratingUse = ({ id, kg, source }: Rating, times: number, rules: HouseRules): FactUse => ({
  entry: { of: 'rating', id, field: 'kg' },
  value: kg,
  how: source.kind,
  bracket: kg * partBracket(source.kind, rules),
  per: -times,
})

/** What a limit comes from: a figure of the link's own; of the payload the vehicle's two masses. */
const limitUses = ({ layer }: Cell, rating: Rating, times: number, plan: Plan): readonly FactUse[] =>
  layer.role === 'payload' ? payloadUses(plan) : [ratingUse(rating, times, plan.rules)]

const membersOf = ({ layer }: Cell, counting: Counting): readonly Member[] =>
  counting === 'everything' ? [...layer.load, ...layer.own] : layer.load

function* massesOn(
  cell: Cell,
  counting: Counting,
  unit: number | undefined,
): Iterable<readonly [MassPoint, number]> {
  for (const member of membersOf(cell, counting))
    if (member.mass.states.includes(cell.state) && (unit === undefined || member.unit === unit))
      yield [member.mass, member.fraction]
}

/**
 * By how much a figure is taken before it is a Stop. A parked load within the driving figure holds; above it strict
 * shops ask, so that it may not pass unasked; the rule of three stops at three times the road figure.
 */
const stopsAt = (cell: Cell, { state }: Rating, rules: HouseRules): number =>
  cell.limit.kind === 'driving' && rules.parkedMissing === 'ruleOfThree' && state === 'road' ? 3 : 1

/** A link in a state held against every figure that rules there, for the set and for each of its units. */
export function linkComparisons(cell: Cell, plan: Plan): readonly LinkComparison[] {
  const { rules } = plan
  const { layer, state, sums } = cell
  return cell.inForce.flatMap(({ rating, limitKg, per, counting }): LinkComparison[] => {
    const times = stopsAt(cell, rating, rules)
    const factor = rating.kg > 0 ? (limitKg * times) / rating.kg : times
    const of = (unitIndex: number | undefined, kg: number, countedKg: number): LinkComparison => ({
      id: [layer.id, state, rating.id, ...(unitIndex === undefined ? [] : [unitIndex])].join(' '),
      measure: kg,
      limit: limitKg * times,
      direction: 'atMost',
      unit: 'mass',
      states: [state],
      rating,
      unitIndex,
      counting,
      figureKg: limitKg,
      countedKg,
      uses: () => [
        ...massUses(massesOn(cell, counting, unitIndex), rules),
        ...limitUses(cell, rating, factor, plan),
      ],
    })
    const { kg, countedKg, unitKg, unitCountedKg } = sums[counting]
    return per === 'set'
      ? [of(undefined, kg, countedKg)]
      : unitKg.map((each, unit) => of(unit, each, unitCountedKg[unit] ?? each))
  })
}

/** The weights that somebody else has for a mass of a link, with what the comparison would be with each. kg. */
export interface OtherWeight {
  readonly mass: MassPoint
  readonly overBy: number
  readonly comparison: LinkComparison
}

/** A fact that turns one of a link's comparisons. */
export interface LinkDoubt extends Doubt {
  readonly comparison: LinkComparison
}

/** What becomes of a link in a state: the comparison that says so, and what it depends on. */
export interface LinkVerdict {
  readonly verdict: ComparisonVerdict
  /** What it depends on, each with the comparison that it turns. */
  readonly doubts: readonly LinkDoubt[]
  readonly others: readonly OtherWeight[]
  /** The sum if the figure counted the other way, where its source is silent and that turns it. kg. */
  readonly otherwise:
    | { readonly countedKg: number; readonly otherwiseKg: number; readonly comparison: LinkComparison }
    | undefined
}

/** Other weights of an entry turn a comparison as they are: one fact, wherever it stands. */
function otherWeights(cell: Cell, comparison: LinkComparison, counting: Counting): OtherWeight[] {
  const over = comparison.measure - comparison.limit
  const failing = exceeds(comparison.measure, comparison.limit)
  const fractions = new Map<string, { readonly mass: MassPoint; fraction: number }>()
  for (const [mass, fraction] of massesOn(cell, counting, comparison.unitIndex)) {
    if (!mass.others || mass.others.length === 0 || !mass.from) continue
    const key = `${mass.from.entry.id} ${mass.from.entry.field}`
    const alike = fractions.get(key)
    if (alike) alike.fraction += fraction
    else fractions.set(key, { mass, fraction })
  }
  return [...fractions.values()].flatMap(({ mass, fraction }) =>
    (mass.others ?? []).flatMap((other): OtherWeight[] => {
      const by = over + fraction * (other.kg - mass.kg)
      return exceeds(comparison.limit + by, comparison.limit) !== failing
        ? [{ mass, overBy: by, comparison }]
        : []
    }),
  )
}

/**
 * A figure whose source is silent on what it counts, where counting the other way turns it: of a figure for each, the
 * fullest of them either way.
 */
function otherwiseOf(cell: Cell, all: readonly LinkComparison[]): LinkVerdict['otherwise'] {
  for (const comparison of all) {
    const { rating, unitIndex, limit } = comparison
    if (rating.counts !== undefined) continue
    const counting = cell.layer.usualCounting
    const [now, other] = [cell.sums[counting], cell.sums[counting === 'load' ? 'everything' : 'load']]
    const [nowKg, countedKg, otherwiseKg] =
      unitIndex === undefined
        ? [now.kg, now.countedKg, other.countedKg]
        : [Math.max(...now.unitKg), Math.max(...now.unitCountedKg), Math.max(...other.unitCountedKg)]
    if (exceeds(otherwiseKg, limit) !== exceeds(nowKg, limit)) return { countedKg, otherwiseKg, comparison }
  }
  return undefined
}

/** What turns a link most comes first; of equals that which is nearer to its limit, wherever it stands. */
const byWeightOfDoubt = (over: boolean) => (a: LinkDoubt, b: LinkDoubt) => {
  const by = a.overBy === b.overBy ? 0 : over ? a.overBy - b.overBy : b.overBy - a.overBy
  return by === 0 ? leftOf(a.comparison) - leftOf(b.comparison) : by
}

/** What is left to a figure with the house's margin on guesses. kg. */
const leftOf = ({ limit, countedKg }: LinkComparison) => limit - countedKg

const RANK: Readonly<Record<ComparisonVerdict['is'], number>> = { over: 0, hangs: 1, together: 2, within: 3 }

type OnCells = Map<Cell, LinkVerdict | undefined>
const asked = new WeakMap<LoadPath, OnCells>()

/**
 * Judges a link in a state by every figure in force at once; nothing where it has none. Many checks ask it of each, so
 * the answers are kept with the load path.
 */
export function linkVerdict(
  cell: Cell,
  { loadPath, plan }: Pick<Survey, 'loadPath' | 'plan'>,
): LinkVerdict | undefined {
  if (cell.inForce.length === 0) return undefined
  let cached = asked.get(loadPath)
  if (!cached) {
    cached = new Map()
    asked.set(loadPath, cached)
  }
  if (cached.has(cell)) return cached.get(cell)
  const result = linkInDoubt(cell, plan)
  cached.set(cell, result)
  return result
}

const unsettled = new WeakMap<LoadPath, ReadonlyMap<Cell, LinkVerdict>>()

/** The links, state by state, that are over or that some fact may turn: most are neither, and are asked no further. */
export function unsettledLinks(survey: Pick<Survey, 'loadPath' | 'plan'>): ReadonlyMap<Cell, LinkVerdict> {
  const before = unsettled.get(survey.loadPath)
  if (before) return before
  const links = new Map<Cell, LinkVerdict>()
  for (const cell of survey.loadPath.cells) {
    const result = linkVerdict(cell, survey)
    if (result && result !== SURELY) links.set(cell, result)
  }
  unsettled.set(survey.loadPath, links)
  return links
}

const SURELY: LinkVerdict = { verdict: { is: 'within' }, doubts: [], others: [], otherwise: undefined }

function linkInDoubt(cell: Cell, plan: Plan): LinkVerdict | undefined {
  if (surelyWithin(cell, plan)) return SURELY
  const all = linkComparisons(cell, plan).map((comparison) => ({
    comparison,
    verdict: judgeComparison(comparison),
  }))
  const [first, ...rest] = all
  if (!first) return undefined
  const worst = rest.reduce((sofar, each) => {
    const by = RANK[each.verdict.is] - RANK[sofar.verdict.is]
    return by < 0 || (by === 0 && leftOf(each.comparison) < leftOf(sofar.comparison)) ? each : sofar
  }, first)
  const { verdict } = worst
  // Each figure in force may depend on facts of its own: all of them are asked. A Stop keeps its own questions.
  const asking = verdict.is === 'over' ? [worst] : verdict.is === 'hangs' ? all : []
  return {
    verdict,
    doubts: asking
      .flatMap(({ comparison, verdict: each }) =>
        each.is === 'over' || each.is === 'hangs'
          ? each.doubts.map((doubt) => ({ ...doubt, comparison }))
          : [],
      )
      .toSorted(byWeightOfDoubt(verdict.is === 'over')),
    others: all.flatMap(({ comparison }) =>
      verdict.is === 'over' && comparison !== worst.comparison
        ? []
        : otherWeights(cell, comparison, comparison.rating.counts ?? cell.layer.usualCounting),
    ),
    otherwise: otherwiseOf(
      cell,
      all.map(({ comparison }) => comparison),
    ),
  }
}

/** What counts on a link one way with every mass at its worse end: in all, and on its fullest unit; nothing where that has no end. kg. */
function mostOf(
  { layer, state, sums }: Cell,
  counting: Counting,
  rules: HouseRules,
): { readonly all: number; readonly fullest: number } | undefined {
  const units = [...sums[counting].unitKg]
  for (const list of counting === 'everything' ? [layer.load, layer.own] : [layer.load])
    for (const { mass, unit, fraction } of list) {
      if (!mass.states.includes(state)) continue
      if (mass.others && mass.others.length > 0) return undefined
      const off = Math.max(massBracket(mass.basis, rules), mass.factor - 1)
      if (off > 0) units[unit] = (units[unit] ?? 0) + Math.abs(mass.kg * fraction) * off
    }
  let all = 0
  let fullest = -Infinity
  for (const each of units) {
    all += each
    if (each > fullest) fullest = each
  }
  return { all, fullest }
}

/** The most that any mass of a layer may be more, as a part of it; nothing where some of it lifts, or has another weight. */
function mostPartOf({ load, own }: Layer, rules: HouseRules): number | undefined {
  let most = 0
  for (const list of [load, own])
    for (const { mass, fraction } of list) {
      if (fraction < 0 || (mass.others && mass.others.length > 0)) return undefined
      const part = Math.max(massBracket(mass.basis, rules), mass.factor - 1)
      if (part > most) most = part
    }
  return most
}

const mostParts = new WeakMap<Layer, number | undefined>()

/** The same of a layer that was asked before: each is asked in every state. */
function mostPart(layer: Layer, rules: HouseRules): number | undefined {
  if (mostParts.has(layer)) return mostParts.get(layer)
  const part = mostPartOf(layer, rules)
  mostParts.set(layer, part)
  return part
}

const fullestOf = (unitKg: readonly number[]): number => {
  let fullest = -Infinity
  for (const each of unitKg) if (each > fullest) fullest = each
  return fullest
}

/**
 * Whether no fact at all can turn a link: what counts stays within every figure though all facts were at their worse
 * ends at once. It spares most links the sums line by line.
 */
function surelyWithin(cell: Cell, plan: Plan): boolean {
  if (cell.layer.unweighed) return false
  const { rules } = plan
  const part = mostPart(cell.layer, rules)
  const most: Partial<Record<Counting, ReturnType<typeof mostOf>>> = {}
  const holds = (counting: Counting, per: 'set' | 'each', limitKg: number) => {
    const { kg, unitKg } = cell.sums[counting]
    if (part !== undefined && (per === 'set' ? kg : fullestOf(unitKg)) * (1 + part) <= limitKg) return true
    const sum = (most[counting] ??= mostOf(cell, counting, rules))
    return sum !== undefined && !exceeds(per === 'set' ? sum.all : sum.fullest, limitKg)
  }
  for (const { rating, limitKg, per, counting } of cell.inForce) {
    let off = 0
    for (const use of limitUses(cell, rating, 1, plan)) off += use.bracket
    const limit = limitKg - off * (limitKg / Math.max(rating.kg, 1e-9))
    if (!holds(counting, per, limit)) return false
    if (rating.counts === undefined && !holds(counting === 'load' ? 'everything' : 'load', per, limit))
      return false
  }
  return true
}

/**
 * How much of one mass a link takes in a state, within every figure in force, so that nothing else turns it any more: with
 * every guess at the house's margin, and with any one other fact, or all guesses together, at the worse end; what nobody
 * knows at all is asked for beside it. Nothing where the mass does not count there. kg.
 */
export function mostOfMass(cell: Cell, mass: MassPoint, plan: Plan): number | undefined {
  let most: number | undefined
  for (const comparison of linkComparisons(cell, plan)) {
    const { counting, unitIndex, figureKg, measure, countedKg } = comparison
    let fraction = 0
    for (const [each, share] of massesOn(cell, counting, unitIndex)) if (each === mass) fraction += share
    if (fraction <= 1e-6) continue
    const others = joined(comparison.uses()).filter(
      ({ entry }) => mass.from === undefined || entryKey(entry) !== entryKey(mass.from.entry),
    )
    const rest = measure - fraction * mass.kg
    const restCounted = countedKg - fraction * mass.kg * mass.factor
    const upTo = figureKg + slackOf({ unit: 'mass', limit: figureKg })
    const room = Math.min(upTo - restCounted, upTo - rest - mostSwing(others)) / fraction
    most = most === undefined ? room : Math.min(most, room)
  }
  return most
}

/** By how much a link is past the figure that is exceeded most, with the house's margin on guesses and any one fact at its worse end. kg. */
export const mostOverOfLink = (cell: Cell, plan: Plan): number =>
  linkComparisons(cell, plan).reduce(
    (most, comparison) =>
      Math.max(
        most,
        comparison.countedKg - comparison.figureKg,
        mostOver({ ...comparison, limit: comparison.figureKg }),
      ),
    -Infinity,
  )

/** A sum held against the figure of a comparison, counted one way or the other. kg */
export const heldTo = ({ limit }: LinkComparison, countedKg: number): Compared =>
  atMost(countedKg, limit, 'mass')

/** The mass of a link that an entry of the plan is. */
export const massOfEntry = ({ layer }: Cell, { of, id, field }: PlanEntry): MassPoint | undefined =>
  [...layer.load, ...layer.own].find(
    ({ mass: { from } }) => from?.entry.of === of && from.entry.id === id && from.entry.field === field,
  )?.mass
