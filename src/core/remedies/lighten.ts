import { GEAR_KINDS } from '../kinds/gear-kind'
import type { Candidate, RemedyStock } from './candidate'
import type { SingleCommand } from '../plan/command'
import { FLUID_KG_PER_L } from '../plan/placement'
import type { Plan } from '../plan/plan'
import { cellParts, type Cell, type CellPart } from '../survey/load-path/limit'
import type { MassPoint } from '../survey/loads/mass-points'
import type { Survey } from '../survey/survey'
import type { Finding } from '../review/finding'
import { linkJudgement, mostOfMass } from '../facts/links'
import { kg } from '../units/phrase'

/** A tenth of a kilogram down, so that what is proposed can be read on a scale and still clears. */
const downToTenth = (value: number) => Math.floor(value * 10 + 1e-9) / 10

type Cargo = Extract<MassPoint, { thing: unknown }>

const isCargo = (part: CellPart): part is CellPart & { mass: Cargo } =>
  'thing' in part.mass && part.fraction > 1e-6

/** The cell that a finding about a layer speaks of. */
export function cellOfFinding(survey: Survey, finding: Finding): Cell | undefined {
  const { layerId } = finding.subject
  return layerId === undefined || finding.state === 'all'
    ? undefined
    : survey.loadPath.cellAt(layerId, finding.state)
}

/** Lower one load to what still fits: contents to so many kg, a can to so many litres, a person fewer. */
function lowered(cell: Cell, { mass }: CellPart & { mass: Cargo }, plan: Plan): Candidate | undefined {
  const { load, thing } = mass
  if (mass.of !== 'load' || !load || !GEAR_KINDS[thing.gear.kind].filled) return undefined
  const mayKg = mostOfMass(cell, mass, plan) ?? 0
  const set = (what: typeof load.what): SingleCommand => ({
    do: 'setLoad',
    placementId: thing.placement.id,
    load: { ...load, what },
  })
  switch (load.what.kind) {
    case 'mass': {
      const toKg = downToTenth(mayKg)
      if (toKg <= 0 || toKg >= mass.kg) return undefined
      // A target is not a measurement: it stays one until somebody weighs it.
      return {
        kind: 'less',
        message: [`${load.name} to `, kg(toKg)],
        command: set({ kind: 'mass', mass: { kg: toKg, basis: 'target' } }),
        rank: mass.kg - toKg,
      }
    }
    case 'fluid': {
      const density = FLUID_KG_PER_L[load.what.fluid]
      const litres = downToTenth(mayKg / density)
      if (litres <= 0 || litres >= load.what.litres) return undefined
      return {
        kind: 'less',
        message: [`${load.name} to `, { dimension: 'volume', value: litres }],
        command: set({ kind: 'fluid', fluid: load.what.fluid, litres }),
        rank: mass.kg - litres * density,
      }
    }
    case 'people': {
      const count = Math.floor(mayKg / Math.max(load.what.each.kg * mass.factor, 1e-9) + 1e-6)
      if (count < 1 || count >= load.what.count) return undefined
      return {
        kind: 'less',
        message: [`${load.name}: ${count} instead of ${load.what.count}`],
        command: set({ ...load.what, count }),
        rank: (load.what.count - count) * load.what.each.kg,
      }
    }
  }
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
      rank: SWAP_AFTER_LIGHTENING_KG + (part.price ?? 0),
    }))
}

/** Buying a part is a larger change than any lighter load: it ranks behind them. */
const SWAP_AFTER_LIGHTENING_KG = 100_000

/** Edits that bring an overloaded layer within its limit: a lighter load, a thing off, a stronger stock part. */
export function lightenLayer(survey: Survey, finding: Finding, stock: RemedyStock): Candidate[] {
  const cell = cellOfFinding(survey, finding)
  if (!cell || cell.limit.kind === 'missing') return []
  const overKg = Math.max(0, cell.countedKg - cell.limit.kg)
  const judged = linkJudgement(cell, survey)
  if (overKg === 0 && (!judged || judged.doubts.length + judged.others.length === 0)) return []
  const parts = cellParts(cell).filter(isCargo)
  return [
    ...parts.flatMap((part) => lowered(cell, part, survey.plan) ?? []),
    ...takenOff(parts, overKg),
    ...strongerParts(survey, cell, stock),
  ]
}
