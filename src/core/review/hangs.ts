import { BASES, offOf, type Basis } from '../kinds/basis'
import type { OtherMass } from '../plan/gear-mass'
import type { Rating } from '../plan/rating'
import type { HouseRules } from '../plan/house'
import { cellParts, type Cell, type CellPart } from '../survey/load-path/limit'
import type { LoadPath } from '../survey/load-path/load-path'
import type { Survey } from '../survey/survey'
import { exceeds } from '../units/tolerance'

/**
 * A verdict hangs on a fact when it differs at either end of the fact's bracket, one fact at a time. Brackets by how a
 * fact is known, as parts of it. Common practice, no source.
 */
export const BRACKET = {
  told: BASES.told.off,
  startLength: 0.05,
  startLengthMm: 40,
  toldLength: 0.01,
  toldLengthMm: 5,
  measuredMm: 1,
} as const

/** How far a mass may be off, as a part of it. A target is what is to be loaded, and a maker's figure is taken as it is. */
export function massBracket(basis: Basis | 'computed', rules: HouseRules): number {
  if (basis === 'guess') return rules.guess.school === 'margin' ? rules.guess.percent / 100 : 0
  return offOf(basis)
}

/** How far a starting length may be off. mm. */
export const startLengthBracket = (mm: number): number =>
  Math.max(BRACKET.startLengthMm, Math.abs(mm) * BRACKET.startLength)

/** A fact on which a cell's verdict hangs, with the sum and the limit at the end where it turns. kg. */
export type Hang = { readonly sumKg: number; readonly limitKg: number } & (
  | { readonly on: 'mass'; readonly part: CellPart }
  | { readonly on: 'other'; readonly part: CellPart; readonly other: OtherMass }
  | { readonly on: 'guesses'; readonly parts: readonly CellPart[] }
  | { readonly on: 'rating'; readonly rating: Rating }
  | { readonly on: 'counting'; readonly rating: Rating }
)

type Figured = Exclude<Cell['limit'], { kind: 'missing' }>

type OnCells = Map<Cell, readonly Hang[]>
const known = new WeakMap<LoadPath, OnCells>()

const NONE: readonly Hang[] = []

/**
 * Every fact on which a layer's verdict hangs in a state. A link without a figure hangs on that, and is asked elsewhere.
 * Seven checks ask it of each cell, so the answers are kept with the load path.
 */
export function hangsOf(cell: Cell, { loadPath, plan }: Pick<Survey, 'loadPath' | 'plan'>): readonly Hang[] {
  const { limit } = cell
  if (limit.kind === 'missing') return NONE
  const onCells: OnCells = known.get(loadPath) ?? new Map<Cell, readonly Hang[]>()
  if (onCells.size === 0) known.set(loadPath, onCells)
  const before = onCells.get(cell)
  if (before) return before
  const hangs = surelyWithin(cell, limit, plan.rules) ? NONE : hangsAsked(cell, limit, plan.rules)
  onCells.set(cell, hangs)
  return hangs
}

/** What is weighed as one: a piece of gear wherever it stands, a load in its thing. */
const weighedAs = (mass: CellPart['mass']): string | undefined =>
  mass.of === 'gear' ? `gear ${mass.thing.gear.id}` : mass.of === 'load' ? mass.id : undefined

/** The weights of gear and loads that somebody else has, where the verdict would turn with one: it is one fact wherever it stands. */
function* otherHangs(
  { kg }: Cell,
  limit: Figured,
  parts: readonly CellPart[],
  turns: (sumKg: number, limitKg: number) => boolean,
): Iterable<Hang> {
  const fractions = new Map<string, { readonly part: CellPart; fraction: number }>()
  for (const part of parts) {
    const id = weighedAs(part.mass)
    if (id === undefined || !part.mass.others) continue
    const alike = fractions.get(id)
    if (alike) alike.fraction += part.fraction
    else fractions.set(id, { part, fraction: part.fraction })
  }
  for (const { part, fraction } of fractions.values()) {
    const { mass } = part
    for (const other of mass.others ?? []) {
      const offKg = fraction * (other.kg - mass.kg)
      if (turns(kg + offKg, limit.kg))
        yield { on: 'other', part, other, sumKg: kg + offKg, limitKg: limit.kg }
    }
  }
}

/**
 * What nobody knows the weight of, anywhere on the link: it may weigh so much that its own foot or bar is the fullest one.
 * What stands is the least it can be, and there is no upper end that would not turn it.
 */
function* unknownHangs({ layer, state, counting, kg }: Cell, limit: Figured): Iterable<Hang> {
  const list = counting === 'everything' ? [...layer.load, ...layer.own] : layer.load
  const asked = new Set<CellPart['mass']>()
  for (const { mass, fraction } of list) {
    if (mass.basis !== 'unknown' || fraction <= 0 || !mass.states.includes(state) || asked.has(mass)) continue
    asked.add(mass)
    const part = { mass, fraction, kg: mass.kg * fraction, countedKg: mass.kg * fraction * mass.factor }
    yield { on: 'mass', part, sumKg: kg, limitKg: limit.kg }
  }
}

/**
 * Whether no fact at all can turn a verdict: what counts stays within its limit though every mass were off to the end of
 * its bracket at once. It spares most links the sum line by line.
 */
function surelyWithin(cell: Cell, { kg: limitKg, rating }: Figured, rules: HouseRules): boolean {
  const { layer, counting, state } = cell
  if (layer.unweighed || rating.source.kind === 'told') return false
  if (!cell.countingSaid && exceeds(cell.otherwiseKg, limitKg)) return false
  let offKg = 0
  for (const list of counting === 'everything' ? [layer.load, layer.own] : [layer.load])
    for (const { mass, fraction } of list) {
      if (!mass.states.includes(state)) continue
      if (mass.others && mass.others.length > 0) return false
      offKg += Math.abs(mass.kg * fraction) * massBracket(mass.basis, rules)
    }
  return !exceeds(Math.max(cell.kg + offKg, cell.countedKg), limitKg)
}

function hangsAsked(cell: Cell, limit: Figured, rules: HouseRules): Hang[] {
  const over = exceeds(cell.kg, limit.kg)
  const turns = (sumKg: number, limitKg: number) => exceeds(sumKg, limitKg) !== over
  const hangs: Hang[] = []
  const parts = cellParts(cell)
  for (const part of parts) {
    const off = Math.abs(part.kg) * massBracket(part.mass.basis, rules)
    if (off === 0) continue
    const sumKg = over ? cell.kg - off : cell.kg + off
    if (turns(sumKg, limit.kg)) hangs.push({ on: 'mass', part, sumKg, limitKg: limit.kg })
  }
  if (!over && cell.layer.unweighed) hangs.push(...unknownHangs(cell, limit))
  hangs.push(...otherHangs(cell, limit, parts, turns))
  // Guesses are counted with the house's margin all together: over by that alone hangs on them.
  if (!over && exceeds(cell.countedKg, limit.kg))
    hangs.push({
      on: 'guesses',
      parts: parts.filter(({ mass }) => mass.factor > 1 && mass.kg > 0),
      sumKg: cell.countedKg,
      limitKg: limit.kg,
    })
  const { rating } = limit
  if (rating.source.kind === 'told') {
    const limitKg = limit.kg * (over ? 1 + BRACKET.told : 1 - BRACKET.told)
    if (turns(cell.kg, limitKg)) hangs.push({ on: 'rating', rating, sumKg: cell.kg, limitKg })
  }
  if (!cell.countingSaid && turns(cell.otherwiseKg, limit.kg))
    hangs.push({ on: 'counting', rating, sumKg: cell.otherwiseKg, limitKg: limit.kg })
  return hangs
}
