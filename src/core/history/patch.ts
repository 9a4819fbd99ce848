import { own } from '../units/own'
import * as z from '../units/schema'

/**
 * What makes one plan of another, place by place. A list of things with ids is told by their order and by those that
 * differ; any other value is told whole.
 */
export const patchSchema = z.array(
  z.union([
    z.strictObject({ at: z.array(z.string()), is: z.unknown() }),
    z.strictObject({ at: z.array(z.string()), gone: z.literal(true) }),
    z.strictObject({ at: z.array(z.string()), order: z.array(z.string()) }),
  ]),
)
export type Patch = z.infer<typeof patchSchema>

type Raw = Readonly<Record<string, unknown>>
type Named = Raw & { readonly id: string }

const isRaw = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const isNamed = (value: unknown): value is readonly Named[] => {
  if (!Array.isArray(value) || value.length === 0) return false
  const ids = new Set(
    value.map((each: unknown) => (isRaw(each) && typeof each['id'] === 'string' ? each['id'] : undefined)),
  )
  return !ids.has(undefined) && ids.size === value.length
}

function* changes(from: unknown, to: unknown, at: readonly string[]): Iterable<Patch[number]> {
  if (from === to) return
  if (isRaw(from) && isRaw(to)) {
    for (const key of Object.keys(from)) if (!Object.hasOwn(to, key)) yield { at: [...at, key], gone: true }
    for (const [key, value] of Object.entries(to))
      if (Object.hasOwn(from, key)) yield* changes(from[key], value, [...at, key])
      else yield { at: [...at, key], is: value }
    return
  }
  if (isNamed(from) && isNamed(to)) {
    const was = new Map(from.map((each) => [each.id, each]))
    for (const each of to)
      if (was.has(each.id)) yield* changes(was.get(each.id), each, [...at, each.id])
      else yield { at: [...at, each.id], is: each }
    const order = to.map(({ id }) => id)
    if (order.join('\n') !== from.map(({ id }) => id).join('\n')) yield { at: [...at], order }
    return
  }
  if (JSON.stringify(from) !== JSON.stringify(to)) yield { at: [...at], is: to }
}

/** What makes the second of the first: nothing where they say the same. */
export const patchBetween = (from: unknown, to: unknown): Patch => [...changes(from, to, [])]

function changed(value: unknown, path: readonly string[], change: (was: unknown) => unknown): unknown {
  const [key, ...rest] = path
  if (key === undefined) return change(value)
  if (Array.isArray(value)) {
    const list = value as readonly unknown[]
    const i = list.findIndex((each) => isRaw(each) && each['id'] === key)
    return i < 0 ? [...list, changed(undefined, rest, change)] : list.with(i, changed(list[i], rest, change))
  }
  const group = isRaw(value) ? value : {}
  return { ...group, [key]: changed(own(group, key), rest, change) }
}

function without(value: unknown, path: readonly string[]): unknown {
  const last = path.at(-1)
  return changed(value, path.slice(0, -1), (group) =>
    isRaw(group) ? Object.fromEntries(Object.entries(group).filter(([key]) => key !== last)) : group,
  )
}

/** A value with a patch made to it. What the patch leaves alone is the very same. */
export function patched(value: unknown, patch: Patch): unknown {
  return patch.reduce<unknown>((tree, one) => {
    if ('is' in one) return changed(tree, one.at, () => one.is)
    if ('gone' in one) return without(tree, one.at)
    return changed(tree, one.at, (list) => {
      const by = new Map((Array.isArray(list) ? (list as Named[]) : []).map((each) => [each.id, each]))
      return one.order.flatMap((id) => by.get(id) ?? [])
    })
  }, value)
}
