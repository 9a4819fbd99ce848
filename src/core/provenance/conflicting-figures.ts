import type { Provenance } from '../kinds/provenance'
import type { ProvenanceByField, OtherFigure } from '../plan/schema/provenance'
import type { Plan } from '../plan/schema/plan'
import { barsOf } from '../plan/schema/rack'

/** The sheets of a plan on which figures stand: the vehicle's, a rack's, a piece of gear's. */
export type FigureSheet =
  | { readonly of: 'vehicle' }
  | { readonly of: 'rack'; readonly id: string }
  | { readonly of: 'gear'; readonly id: string }

/** One figure of which more than one is known, and which of them nobody has put aside. */
export interface ConflictingFigure {
  readonly sheet: FigureSheet
  /** From the sheet to whatever keeps the figure, and from there to the figure. */
  readonly owner: readonly string[]
  readonly field: string
  /** What the figure belongs to, by name. */
  readonly name: string
  readonly value: number
  readonly by: Provenance
  readonly open: readonly OtherFigure[]
}

type Raw = Readonly<Record<string, unknown>>
const isRaw = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const at = (value: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>(
    (node, key) =>
      Array.isArray(node) ? (node as unknown[])[Number(key)] : isRaw(node) ? node[key] : undefined,
    value,
  )

/** A value with what stands at a path changed. */
function changedAt(value: unknown, path: readonly string[], change: (was: unknown) => unknown): unknown {
  const [key, ...rest] = path
  if (key === undefined) return change(value)
  if (Array.isArray(value))
    return (value as unknown[]).map((each, i) => (String(i) === key ? changedAt(each, rest, change) : each))
  return isRaw(value) ? { ...value, [key]: changedAt(value[key], rest, change) } : value
}

type Keeper = { readonly name: string; readonly known?: ProvenanceByField | undefined }

/** What of one keeper of figures is known twice. */
function conflictsOf(sheet: FigureSheet, owner: readonly string[], thing: Keeper): ConflictingFigure[] {
  if (!thing.known) return []
  return Object.entries(thing.known).flatMap(([field, { by, others }]): ConflictingFigure[] => {
    if (!others) return []
    const value = at(thing, field.split('.'))
    const open = others.filter((each) => each.unused === undefined && each.value !== value)
    return typeof value === 'number' && open.length > 0
      ? [{ sheet, owner, field, name: thing.name, value, by, open }]
      : []
  })
}

/** Every figure of the vehicle, the racks and the gear of which several are known and nobody has said which holds. */
export function conflictingFigures({ vehicle, racks, gear }: Plan): ConflictingFigure[] {
  const found: ConflictingFigure[] = []
  const look = (sheet: FigureSheet, owner: readonly string[], thing: Keeper) => {
    if (thing.known) found.push(...conflictsOf(sheet, owner, thing))
  }
  const ofVehicle: FigureSheet = { of: 'vehicle' }
  look(ofVehicle, [], vehicle)
  for (const list of ['attachments', 'obstacles'] as const)
    for (const [i, each] of vehicle[list].entries()) look(ofVehicle, [list, String(i)], each)
  for (const rack of racks) {
    const sheet: FigureSheet = { of: 'rack', id: rack.id }
    look(sheet, [], rack)
    for (const [i, part] of rack.parts.entries()) look(sheet, ['parts', String(i)], part)
    for (const [i, bar] of barsOf(rack).entries()) look(sheet, ['bars', String(i)], bar)
  }
  for (const each of gear) look({ of: 'gear', id: each.id }, [], each)
  return found
}

function onSheet(plan: Plan, sheet: FigureSheet, change: (value: unknown) => unknown): Plan {
  switch (sheet.of) {
    case 'vehicle':
      return { ...plan, vehicle: change(plan.vehicle) as Plan['vehicle'] }
    case 'rack':
      return {
        ...plan,
        racks: plan.racks.map((rack) => (rack.id === sheet.id ? (change(rack) as typeof rack) : rack)),
      }
    case 'gear':
      return {
        ...plan,
        gear: plan.gear.map((each) => (each.id === sheet.id ? (change(each) as typeof each) : each)),
      }
  }
}

/** The plan as it would be with another figure in use. */
export const withFigure = (
  plan: Plan,
  { sheet, owner, field, value: was }: ConflictingFigure,
  value: number,
): Plan =>
  onSheet(plan, sheet, (whole) => {
    const path = [...owner, ...field.split('.')]
    const next = changedAt(whole, path, () => value)
    // Where a range is but one figure, the other one takes the place of both its ends.
    const [last, ...around] = path.toReversed()
    const twin = last === 'fromMm' ? 'toMm' : last === 'toMm' ? 'fromMm' : undefined
    const other = twin && [...around.toReversed(), twin]
    return other && at(whole, other) === was ? changedAt(next, other, () => value) : next
  })

/** The plan once it is said which figure holds: 0 the one in use, then the open others. The rest keep why not. */
export function figureHolds(
  plan: Plan,
  conflict: ConflictingFigure,
  place: number,
  word: (how: Provenance) => string,
): Plan {
  const { field, open } = conflict
  const other = open[place - 1]
  return onSheet(plan, conflict.sheet, (whole) =>
    changedAt(whole, conflict.owner, (thing) => {
      if (!isRaw(thing)) return thing
      const known = (thing['known'] ?? {}) as ProvenanceByField
      const mark = known[field]
      if (!mark) return thing
      const typed = isRaw(thing['typed']) ? (thing['typed'] as Readonly<Record<string, string>>) : {}
      const { [field]: wasTyped, ...restTyped } = typed
      const was: OtherFigure = {
        value: conflict.value,
        by: conflict.by,
        ...(wasTyped === undefined ? {} : { typed: wasTyped }),
      }
      const unused = `looked at again: ${word(other?.by ?? conflict.by)} holds`
      const shut = (mark.others ?? []).filter((each) => !open.includes(each))
      const lost = [...(other ? [was] : []), ...open.filter((each) => each !== other)]
      const others = [...shut, ...lost.map((each) => ({ ...each, unused }))].slice(-8)
      const nowTyped = other ? other.typed : wasTyped
      const typedNow = { ...restTyped, ...(nowTyped === undefined ? {} : { [field]: nowTyped }) }
      const { typed: _, ...rest } = thing
      const next = {
        ...rest,
        ...(Object.keys(typedNow).length > 0 ? { typed: typedNow } : {}),
        known: { ...known, [field]: { by: other?.by ?? conflict.by, others } },
      }
      return other ? changedAt(next, field.split('.'), () => other.value) : next
    }),
  )
}
