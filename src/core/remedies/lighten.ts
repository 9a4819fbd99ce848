import { canBeLess, lessOf } from './amounts'
import type { Cargo } from '../survey/loads/mass-point'
import { FIT_NEXT, type Candidate, type RemedyStock } from './candidate'
import { heaviestRoots, slides, type Over } from './slides'
import { cellParts, type Cell, type CellPart } from '../survey/load-path/limit'
import type { Survey } from '../survey/survey'
import type { Finding } from '../review/finding'
import { linkVerdict, mostOfMass, mostOverOfLink, unsettledLinks } from '../facts/links'

const isCargo = (part: CellPart): part is CellPart & { mass: Cargo } =>
  'thing' in part.mass && part.fraction > 1e-6

/** The cell that a finding about a layer speaks of. */
export function cellOfFinding(survey: Survey, finding: Finding): Cell | undefined {
  const { layerId } = finding.subject
  return layerId === undefined || finding.state === 'all'
    ? undefined
    : survey.loadPath.cellAt(layerId, finding.state)
}

/** The least of a load that clears all is tried before what clears one link, and that before what clears one state. */
const SCOPE_KG = 100_000

/**
 * Less of each load on a link: by so much that nothing it counts on is over in any state; where that is more than all of
 * it, that this link is not; or this state.
 */
function lowered(survey: Survey, cell: Cell, masses: readonly Cargo[]): Candidate[] {
  const { plan } = survey
  const over = [...unsettledLinks(survey)].flatMap(([each, { verdict }]) =>
    verdict.is === 'over' && !each.idle && each !== cell ? [each] : [],
  )
  const scopes = [over, over.filter(({ layer }) => layer === cell.layer), []]
  return masses.filter(canBeLess).flatMap((mass) => {
    const seen = new Set<number>()
    return scopes.flatMap((scope, wide): Candidate[] => {
      const mayKg = Math.min(...[cell, ...scope].flatMap((each) => mostOfMass(each, mass, plan) ?? []))
      const less = seen.has(mayKg) ? undefined : lessOf(mass, mayKg, plan.rules)
      seen.add(mayKg)
      if (!less) return []
      const standsFor = `${mass.thing.placement.id} ${mass.load.id}`
      return [{ ...less, rank: less.rank + wide * SCOPE_KG, standsFor }]
    })
  })
}

/** Moves by which a link whose share of a thing depends on where it stands comes within its figures in a state. */
function shifted(survey: Survey, cell: Cell, parts: readonly (CellPart & { mass: Cargo })[]): Candidate[] {
  const shared = parts.filter(({ fraction }) => fraction < 1 - 1e-6)
  if (shared.length === 0) return []
  const over: Over = ({ loadPath, plan }) => {
    const after = loadPath.cellAt(cell.layer.id, cell.state)
    return after ? mostOverOfLink(after, plan) : Infinity
  }
  return heaviestRoots(survey, (thing) => shared.some(({ mass }) => mass.thing === thing)).flatMap((thing) =>
    slides(survey, thing, over),
  )
}

/** Take one thing off, or one load out, whole. */
function takenOff(parts: readonly (CellPart & { mass: Cargo })[], overKg: number): Candidate[] {
  const things = new Map<Cargo['thing'], { countedKg: number; kg: number }>()
  const candidates: Candidate[] = []
  for (const { mass, countedKg } of parts) {
    if (mass.of === 'load' && mass.load && countedKg >= overKg - 1e-9)
      candidates.push({
        kind: 'off',
        message: [`Take out ${mass.load.name}`],
        command: { do: 'removeLoad', placementId: mass.thing.placement.id, loadId: mass.load.id },
        rank: mass.kg,
      })
    for (let thing: Cargo['thing'] | undefined = mass.thing; thing; thing = thing.parent) {
      const sum = things.get(thing) ?? { countedKg: 0, kg: 0 }
      things.set(thing, { countedKg: sum.countedKg + countedKg, kg: sum.kg + mass.kg })
    }
  }
  for (const [thing, sum] of things)
    if (sum.countedKg >= overKg - 1e-9)
      candidates.push({
        kind: 'off',
        message: [`Take off ${thing.gear.name}`],
        command: { do: 'takeOff', placementId: thing.placement.id },
        rank: sum.kg,
      })
  return candidates.length > 0 ? candidates : takenOffTogether(things, overKg)
}

/** When no single thing is enough: the heaviest ones together, as few as will do. */
function takenOffTogether(
  things: ReadonlyMap<Cargo['thing'], { countedKg: number; kg: number }>,
  overKg: number,
): Candidate[] {
  const roots = [...things]
    .filter(([thing]) => !thing.parent || !things.has(thing.parent))
    .sort(([, a], [, b]) => b.countedKg - a.countedKg)
  const off: typeof roots = []
  let left = overKg
  for (const root of roots) {
    if (left <= 1e-9) break
    off.push(root)
    left -= root[1].countedKg
  }
  if (left > 1e-9 || off.length < 2) return []
  return [
    {
      kind: 'off',
      message: [`Take off ${off.map(([thing]) => thing.gear.name).join(' and ')}`],
      command: {
        do: 'together',
        commands: off.map(([thing]) => ({ do: 'takeOff', placementId: thing.placement.id })),
      },
      rank: off.reduce((sum, [, { kg: each }]) => sum + each, 0),
    },
  ]
}

/** A part of the same role and number from stock whose own figure for this state is enough. */
export function strongerParts(survey: Survey, cell: Cell, stock: RemedyStock): Candidate[] {
  const { owner } = cell.layer
  if (owner?.of !== 'part') return []
  const now = survey.plan.racks.flatMap((rack) => rack.parts).find((part) => part.id === owner.id)
  const under = survey.racks.find((at) => at.rack.parts.some((part) => part.id === owner.id))?.attachments
  if (!now || !under || under.length === 0) return []
  return stock.parts
    .filter(
      (part) =>
        part.role === now.role &&
        part.count === now.count &&
        part.name !== now.name &&
        part.rated.by === 'own',
    )
    .filter((part) => under.every(({ kind }) => part.suits?.includes(kind)))
    .map((part) => ({
      kind: 'swap',
      message: [`Change to ${part.name}`],
      command: { do: 'swapPart', partId: now.id, part: { ...part, id: now.id } },
      rank: FIT_NEXT + (part.price ?? 0),
    }))
}

/** Edits that bring an overloaded layer within its limit: a lighter load, a move, a stronger stock part, a thing off. */
export function lightenLayer(survey: Survey, finding: Finding, stock: RemedyStock): Candidate[] {
  const cell = cellOfFinding(survey, finding)
  if (!cell || cell.limit.kind === 'missing') return []
  const overKg = Math.max(0, cell.countedKg - cell.limit.kg)
  const result = linkVerdict(cell, survey)
  if (overKg === 0 && (!result || result.doubts.length + result.others.length === 0)) return []
  const parts = cellParts(cell).filter(isCargo)
  return [
    ...lowered(
      survey,
      cell,
      parts.map(({ mass }) => mass),
    ),
    ...shifted(survey, cell, parts),
    ...strongerParts(survey, cell, stock),
    ...takenOff(parts, overKg),
  ]
}
