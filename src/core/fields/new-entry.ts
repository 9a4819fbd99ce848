import type { UnitSystem } from '../units/dimension'
import {
  BEGUN,
  carriedOver,
  draftOf,
  itemDraft,
  textOf,
  variantDraft,
  WAS,
  type Draft,
  type DraftOf,
} from './draft'
import type { List, Variants } from './field'

/** A new entry of a list as a form shows it: like the last where such things are alike, else as its kind starts. */
export function newEntry(
  { item, start, alikeBut, nextAfter }: List,
  system: UnitSystem,
  id: string,
  kind: string,
  there: readonly Draft[] = [],
): DraftOf {
  const last = there.at(-1)
  const fresh = start?.(id, kind) ?? (item.is === 'variants' ? { [item.by]: kind } : {})
  const isLike = last !== undefined && (alikeBut !== undefined || nextAfter !== undefined)
  const draft = isLike ? draftOf(last) : itemDraft(item, fresh, { system, typed: {}, rel: '' })
  const named =
    nextAfter && isLike
      ? nextAfter(draftOf(last))
      : alikeBut && item.is === 'group'
        ? { name: `${item.label} ${there.length + 1}` }
        : {}
  const entry = { ...begunOf(draft), ...named }
  return { ...entry, [BEGUN]: entry, [WAS]: `id ${id}` }
}

/** An entry without what it began with itself. */
function begunOf({ [BEGUN]: _, ...entry }: DraftOf): DraftOf {
  return entry
}

/** Entries of a list made like the first, each with what is its own. */
export function likeTheFirst(there: readonly Draft[], alikeBut: readonly string[]): readonly DraftOf[] {
  const first = begunOf(draftOf(there[0]))
  return there.map((each) => {
    const own = Object.entries(draftOf(each)).filter(([key]) => key === WAS || alikeBut.includes(key))
    return { ...first, [BEGUN]: first, ...Object.fromEntries(own) }
  })
}

/**
 * An entry of a sheet that is now of another kind: it begins as that kind does, and what was typed so far stays.
 * `startOf` tells what each kind starts as.
 */
export function ofKind(
  field: Variants,
  draft: Draft,
  kind: string,
  startOf: (kind: string) => unknown,
  system: UnitSystem,
): DraftOf {
  const begin = (of: string) => variantDraft(field, startOf(of), { system, typed: {}, rel: '' })
  const before = draftOf(draft)
  const now = textOf(before[field.by])
  const next = begin(kind)
  const carried = draftOf(carriedOver(draft, now === '' ? undefined : begin(now), next))
  return { ...before, ...carried, [field.by]: kind, [BEGUN]: next }
}
