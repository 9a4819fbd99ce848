import { massBracket } from '../facts/bracket'
import { type HouseRules, USUAL_GUESS_SPREAD } from '../plan/schema/house'
import type { State } from '../units/scalars'
import { cellParts, type Cell, type InForce } from '../survey/load-path/limit'
import type { MassPoint } from '../survey/loads/mass-point'
import type { Survey } from '../survey/survey'

/** A stated spread is read as holding 19 times out of 20: as 1.96 standard deviations of a normal distribution. */
const NINETEEN_OF_TWENTY = 1.96

function statedSpread(mass: MassPoint): number | undefined {
  if (mass.of === 'gear') return mass.thing.gear.mass.spreadPercent
  if (mass.of !== 'load' || !mass.load) return undefined
  const { what } = mass.load
  return what.kind === 'mass'
    ? what.mass.spreadPercent
    : what.kind === 'people'
      ? what.each.spreadPercent
      : undefined
}

/** How uncertain a mass is, kg as a standard deviation: its stated spread, the house's for a guess, else its bracket. */
function sigmaOf(mass: MassPoint, rules: HouseRules): number {
  const { basis } = mass
  // What was weighed is off by so little that nobody would weigh it again for this.
  const percent = basis === 'weighed' ? 0 : 100 * massBracket(basis, rules)
  const usual = basis === 'guess' ? (rules.guessSpreadPercent ?? USUAL_GUESS_SPREAD) : percent
  return (mass.kg * (statedSpread(mass) ?? usual)) / 100 / NINETEEN_OF_TWENTY
}

/** Whose mass it is, so that a weighed one can be put in its place. */
export type UnknownOf =
  | { readonly of: 'gear'; readonly gearId: string }
  | { readonly of: 'load'; readonly placementId: string; readonly loadId: string }
  | { readonly of: 'occupant'; readonly occupantId: string }
  /** Parts of a rack; so many of them are what is weighed at once. */
  | { readonly of: 'part'; readonly partId: string; readonly pieces: number }
  | { readonly of: 'bar'; readonly barId: string }

/** What nobody weighed: its mean and standard deviation, kg. One thing placed twice is one unknown. */
export interface Unknown {
  readonly id: string
  readonly whose: UnknownOf
  readonly label: string
  readonly kg: number
  readonly basis: MassPoint['basis']
  readonly sigmaKg: number
  /** How far off it may be, 19 times out of 20. */
  readonly withinKg: number
}

/** A sum against a limit: what is known of it, and how much of each unknown's deviation it takes. kg. */
interface Row {
  readonly unit: string
  readonly limitKg: number
  readonly meanKg: number
  readonly takes: readonly number[]
}

/** A layer in a state with the rows of every figure in force; over when any of them is. */
export interface Uncertain {
  readonly id: string
  readonly layerId: string
  readonly name: string
  readonly state: State
  readonly governs: boolean
  readonly rows: readonly Row[]
}

export interface ChanceProblem {
  readonly unknowns: readonly Unknown[]
  readonly limits: readonly Uncertain[]
  /** What nobody knows the weight of: what it stands on has no chance that could be given. */
  readonly blind: readonly string[]
}

function whoseMass(mass: MassPoint): UnknownOf | undefined {
  switch (mass.of) {
    case 'gear':
      return { of: 'gear', gearId: mass.thing.gear.id }
    case 'load':
      return mass.load && { of: 'load', placementId: mass.thing.placement.id, loadId: mass.load.id }
    case 'occupant':
      return { of: 'occupant', occupantId: mass.occupantId }
    case 'part':
      switch (mass.from?.entry.of) {
        case 'part':
          return { of: 'part', partId: mass.partId, pieces: mass.from.times }
        case 'bar':
          return { of: 'bar', barId: mass.from.entry.id }
        default:
          return undefined
      }
    default:
      return undefined
  }
}

function keyOf(whose: UnknownOf): string {
  switch (whose.of) {
    case 'gear':
      return `gear:${whose.gearId}`
    case 'load':
      return `load:${whose.placementId}/${whose.loadId}`
    case 'occupant':
      return `occupant:${whose.occupantId}`
    case 'part':
      return `part:${whose.partId}`
    case 'bar':
      return `bar:${whose.barId}`
  }
}

function rowsOf(
  cell: Cell,
  figure: InForce,
  indexOf: (mass: MassPoint) => number | undefined,
  unknowns: readonly Unknown[],
): Row[] {
  const { layer, state } = cell
  const list = figure.counting === 'everything' ? [...layer.load, ...layer.own] : layer.load
  const units = figure.per === 'each' ? layer.units : ['']
  const mean = new Array<number>(units.length).fill(0)
  const takes = units.map(() => new Array<number>(unknowns.length).fill(0))
  for (const { mass, unit, fraction } of list) {
    if (!mass.states.includes(state)) continue
    const row = figure.per === 'each' ? unit : 0
    mean[row] = (mean[row] ?? 0) + mass.kg * fraction
    const index = indexOf(mass)
    const unknown = index === undefined ? undefined : unknowns[index]
    const line = takes[row]
    // A deviation moves this mass in proportion to its part of the unknown: two of a kind move together.
    if (line && unknown && index !== undefined && unknown.kg > 0)
      line[index] = (line[index] ?? 0) + (fraction * mass.kg) / unknown.kg
  }
  return units.map((unit, i) => ({
    unit,
    limitKg: figure.limitKg,
    meanKg: mean[i] ?? 0,
    takes: takes[i] ?? [],
  }))
}

/** Every limit of a plan that something stands on, with what is uncertain about its sum. Plain masses: no house margin. */
export function chanceProblem(survey: Survey): ChanceProblem {
  const { rules } = survey.plan
  const unknowns: Unknown[] = []
  const index = new Map<string, number>()
  for (const mass of survey.masses) {
    const sigmaKg = sigmaOf(mass, rules)
    const whose = whoseMass(mass)
    if (!whose || sigmaKg <= 0) continue
    const id = keyOf(whose)
    if (index.has(id)) continue
    index.set(id, unknowns.length)
    unknowns.push({
      id,
      whose,
      label: mass.label,
      kg: mass.kg,
      basis: mass.basis,
      sigmaKg,
      withinKg: sigmaKg * NINETEEN_OF_TWENTY,
    })
  }
  const indexOf = (mass: MassPoint) => {
    const whose = whoseMass(mass)
    return whose && index.get(keyOf(whose))
  }
  const limits = survey.loadPath.cells.flatMap((cell): Uncertain[] => {
    if (cell.idle || cell.limit.kind === 'missing') return []
    if (cellParts(cell).some(({ mass }) => mass.basis === 'unknown')) return []
    return [
      {
        id: `${cell.layer.id} ${cell.state}`,
        layerId: cell.layer.id,
        name: cell.layer.name,
        state: cell.state,
        governs: cell.layer.governs,
        rows: cell.inForce.flatMap((figure) => rowsOf(cell, figure, indexOf, unknowns)),
      },
    ]
  })
  const nobodyKnows = survey.masses.filter(({ basis }) => basis === 'unknown')
  return { unknowns, limits, blind: [...new Set(nobodyKnows.map(({ label }) => label))] }
}
