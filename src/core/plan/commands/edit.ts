import type * as z from '../../units/schema'
import type { Plan } from '../schema/plan'

/** Why an edit cannot be made, in a sentence. */
export class Refusal {
  constructor(readonly reason: string) {}
}
type Or<T> = T | Refusal

/** Continues with a value, or passes a refusal on. */
export const andThen = <A, B>(value: Or<A>, go: (value: A) => Or<B>): Or<B> =>
  value instanceof Refusal ? value : go(value)

/** A list with one of its items changed. */
export function updateWhere<T>(
  list: readonly T[],
  matches: (item: T) => boolean,
  change: (item: T) => Or<T>,
  missing: string,
): Or<T[]> {
  const index = list.findIndex(matches)
  const item = list[index]
  return item === undefined ? new Refusal(missing) : andThen(change(item), (to) => list.with(index, to))
}

/** A list with an item in it: in place of the one of its id, or at the end. */
export function upsert<T extends { id: string }>(list: readonly T[], item: T): T[] {
  const index = list.findIndex((each) => each.id === item.id)
  return index < 0 ? [...list, item] : list.with(index, item)
}

/** A list less one of its items. */
export function removeById<T extends { id: string }>(
  list: readonly T[],
  id: string,
  missing: string,
): Or<T[]> {
  return list.some((each) => each.id === id) ? list.filter((each) => each.id !== id) : new Refusal(missing)
}

/** Keeps what was typed for the fields just set and forgets it for those that were set without typing. */
export function retyped<T extends { typed?: Record<string, string> | undefined }>(
  item: T,
  fields: readonly string[],
  typed: Record<string, string> | undefined,
): T {
  const kept = Object.entries({ ...item.typed }).filter(([field]) => !fields.includes(field))
  const all = [...kept, ...Object.entries({ ...typed }).filter(([field]) => fields.includes(field))]
  const { typed: _, ...rest } = item
  return (all.length > 0 ? { ...rest, typed: Object.fromEntries(all) } : rest) as T
}

/** A kind of edit: the shape of what it says, and the plan after it or why it cannot be. */
export interface Edit<Shape extends z.core.$ZodShape = z.core.$ZodShape> {
  readonly shape: Shape
  apply(plan: Plan, said: z.infer<z.ZodMiniObject<Shape>>): Or<Plan>
  /** Whether it may add to a list or leave a reference that leads nowhere: the plan after it is looked through. */
  readonly mayBreak: boolean
}

/** Declares a kind of edit. */
export const edit = <Shape extends z.core.$ZodShape>(
  shape: Shape,
  apply: Edit<Shape>['apply'],
): Edit<Shape> => ({ shape, apply, mayBreak: true })

/** One that changes numbers or words in place: it breaks nothing, and a pointer may make hundreds. */
export const editInPlace = <Shape extends z.core.$ZodShape>(
  shape: Shape,
  apply: Edit<Shape>['apply'],
): Edit<Shape> => ({ shape, apply, mayBreak: false })
