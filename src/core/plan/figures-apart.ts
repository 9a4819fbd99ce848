import type { How } from '../kinds/how-known'
import type { Known, OtherFigure } from './known'
import type { Plan } from './plan'

/** The sheets of a plan on which figures stand: the vehicle's, a rack's, a piece of gear's. */
export type FigureSheet =
  | { readonly of: 'vehicle' }
  | { readonly of: 'rack'; readonly id: string }
  | { readonly of: 'gear'; readonly id: string }

/** One figure of which more than one is known, and which of them nobody has put aside. */
export interface FigureApart {
  readonly sheet: FigureSheet
  /** From the sheet to whatever keeps the figure, and from there to the figure. */
  readonly owner: readonly string[]
  readonly field: string
  /** What the figure belongs to, by name. */
  readonly name: string
  readonly value: number
  readonly by: How
  readonly open: readonly OtherFigure[]
}

type Raw = Readonly<Record<string, unknown>>
const isRaw = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const at = (value: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>(
    (so, key) => (Array.isArray(so) ? (so as unknown[])[Number(key)] : isRaw(so) ? so[key] : undefined),
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

function* apartIn(
  sheet: FigureSheet,
  value: unknown,
  owner: readonly string[],
  name: string,
): Iterable<FigureApart> {
  if (Array.isArray(value)) {
    for (const [i, each] of (value as unknown[]).entries())
      yield* apartIn(sheet, each, [...owner, String(i)], name)
    return
  }
  if (!isRaw(value)) return
  const own = typeof value['name'] === 'string' ? value['name'] : name
  for (const [field, { by, others }] of Object.entries((value['known'] ?? {}) as Known)) {
    const figure = at(value, field.split('.'))
    const open = (others ?? []).filter((each) => each.unused === undefined && each.value !== figure)
    if (typeof figure === 'number' && open.length > 0)
      yield { sheet, owner, field, name: own, value: figure, by, open }
  }
  for (const [key, each] of Object.entries(value))
    if (key !== 'known' && typeof each === 'object') yield* apartIn(sheet, each, [...owner, key], own)
}

/** Every figure of the vehicle, the racks and the gear of which several are known and nobody has said which holds. */
export function figuresApart({ vehicle, racks, gear }: Plan): FigureApart[] {
  return [
    ...apartIn({ of: 'vehicle' }, vehicle, [], vehicle.name),
    ...racks.flatMap((rack) => [...apartIn({ of: 'rack', id: rack.id }, rack, [], rack.name)]),
    ...gear.flatMap((each) => [...apartIn({ of: 'gear', id: each.id }, each, [], each.name)]),
  ]
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
export const withFigure = (plan: Plan, { sheet, owner, field }: FigureApart, value: number): Plan =>
  onSheet(plan, sheet, (whole) => changedAt(whole, [...owner, ...field.split('.')], () => value))

/** The plan once it is said which figure holds: 0 the one in use, then the open others. The rest keep why not. */
export function figureHolds(plan: Plan, apart: FigureApart, place: number, word: (how: How) => string): Plan {
  const { field, open } = apart
  const other = open[place - 1]
  return onSheet(plan, apart.sheet, (whole) =>
    changedAt(whole, apart.owner, (thing) => {
      if (!isRaw(thing)) return thing
      const known = (thing['known'] ?? {}) as Known
      const mark = known[field]
      if (!mark) return thing
      const typed = isRaw(thing['typed']) ? (thing['typed'] as Readonly<Record<string, string>>) : {}
      const { [field]: wasTyped, ...restTyped } = typed
      const was: OtherFigure = {
        value: apart.value,
        by: apart.by,
        ...(wasTyped === undefined ? {} : { typed: wasTyped }),
      }
      const unused = `looked at again: ${word(other?.by ?? apart.by)} holds`
      const shut = (mark.others ?? []).filter((each) => !open.includes(each))
      const lost = [...(other ? [was] : []), ...open.filter((each) => each !== other)]
      const others = [...shut, ...lost.map((each) => ({ ...each, unused }))].slice(-8)
      const nowTyped = other ? other.typed : wasTyped
      const typedNow = { ...restTyped, ...(nowTyped === undefined ? {} : { [field]: nowTyped }) }
      const { typed: _, ...rest } = thing
      const next = {
        ...rest,
        ...(Object.keys(typedNow).length > 0 ? { typed: typedNow } : {}),
        known: { ...known, [field]: { by: other?.by ?? apart.by, others } },
      }
      return other ? changedAt(next, field.split('.'), () => other.value) : next
    }),
  )
}
