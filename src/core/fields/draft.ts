import { formatPrecise } from '../units/format'
import { parseQuantity } from '../units/parse'
import type { UnitSystem } from '../units/dimension'
import type { Field, Fields, Group, Single, Variants } from './field'
import type { Rating } from '../plan/schema/rating'
import type { State } from '../units/scalars'
import { quantityAlong } from './field-along'
import { listOf, rawOf, type UnknownRecord } from './unknown-record'
import { byState, RATING_FIELD } from './figures-fields'

/** A thing as a form has it: texts in the shape of the plan. */
export type Draft = string | readonly Draft[] | { readonly [key: string]: Draft }
export type DraftOf = { readonly [key: string]: Draft }

/** Where an entry of a list stood before: its number, or the id that a new one is given. */
export const WAS = '@'
/** How the figures of a thing are known, by field; a path is written with colons. */
export const KNOWN = '?'
/** Other figures that somebody has for the same fields, by field. */
export const OTHERS = '!'
/** What a new entry of a list began with: what still stands so was filled in by the form. */
export const BEGUN = '^'

const isDraftOf = (draft: Draft | undefined): draft is DraftOf =>
  typeof draft === 'object' && !Array.isArray(draft)
export const draftOf = (draft: Draft | undefined): DraftOf => (isDraftOf(draft) ? draft : {})
export const draftsOf = (draft: Draft | undefined): readonly Draft[] =>
  typeof draft === 'object' && Array.isArray(draft) ? (draft as readonly Draft[]) : []
const textIn = (value: unknown): string => (typeof value === 'string' ? value : '')
export const textOf = (draft: Draft | undefined): string => (typeof draft === 'string' ? draft : '')

/** What was typed for the fields of the thing that is shown, and the path to it. */
export interface ShownDraft {
  readonly system: UnitSystem
  readonly typed: UnknownRecord
  readonly rel: string
  /** Whether what stands here is kept by its texts alone: it is not whole yet. */
  readonly half?: boolean
}

export const within = (shown: ShownDraft, key: string): ShownDraft => ({
  ...shown,
  rel: shown.rel === '' ? key : `${shown.rel}.${key}`,
})

/** A figure as it was typed, as long as it is still that one, or in the units on screen. */
function quantityText(field: Extract<Single, { is: 'quantity' }>, value: number, shown: ShownDraft): string {
  const figure = value * (field.times ?? 1)
  const typed = shown.typed[shown.rel]
  if (typeof typed === 'string') {
    const read = parseQuantity(field.dimension, typed, shown.system)
    if (read.ok && Math.abs(read.value - figure) <= 1e-6 * Math.max(1, Math.abs(figure))) return typed
  }
  return formatPrecise(field.dimension, figure, shown.system)
}

/** One value as the text of its input. */
export function singleText(field: Single, value: unknown, shown: ShownDraft): string {
  if (value === undefined) return shown.half === true ? textIn(shown.typed[shown.rel]) : ''
  switch (field.is) {
    case 'quantity':
      return typeof value === 'number' && value !== field.empty ? quantityText(field, value, shown) : ''
    case 'number':
      return typeof value === 'number' ? String(Number((value * (field.times ?? 1)).toFixed(6))) : ''
    case 'flag':
      return value === true ? 'yes' : 'no'
    case 'text':
    case 'day':
    case 'choice':
      return typeof value === 'string' || typeof value === 'number' ? String(value) : ''
  }
}

/** Several values in one text: as it was typed, as long as each is still that one. */
function severalText(field: Single, values: readonly unknown[], shown: ShownDraft): string {
  if (shown.half === true) return textIn(shown.typed[shown.rel])
  const texts = values.map((each) => singleText(field, each, { ...shown, typed: {} }))
  const typed = shown.typed[shown.rel]
  if (typeof typed !== 'string') return texts.join('; ')
  const parts = typed.split(';').map((each) => each.trim())
  const asTyped = values.map((each, i) =>
    singleText(field, each, { ...shown, typed: { [shown.rel]: parts[i] } }),
  )
  return parts.length === values.length ? asTyped.join('; ') : texts.join('; ')
}

/** The other figures of a thing's fields as texts, each as it was typed. */
export function othersDraft(fields: Fields, raw: UnknownRecord, system: UnitSystem): DraftOf {
  return Object.fromEntries(
    Object.entries(rawOf(raw['known'])).flatMap(([path, mark]) => {
      const others = listOf(rawOf(mark)['others'])
      const field = quantityAlong(fields, raw, path)
      if (others.length === 0 || !field) return []
      const texts = others.map(rawOf).map((other, i): DraftOf => ({
        value: quantityText(field, Number(other['value']), {
          system,
          typed: { [path]: other['typed'] },
          rel: path,
        }),
        by: textIn(other['by']),
        says: textIn(other['says']),
        unused: textIn(other['unused']),
        [WAS]: String(i),
      }))
      return [[path.replaceAll('.', ':'), texts] as const]
    }),
  )
}

/** What is not there as a value may be there by half. */
const inside = (field: Field, value: unknown, shown: ShownDraft): ShownDraft =>
  value === undefined && (field.is === 'group' || field.is === 'split') ? { ...shown, half: true } : shown

function groupDraft(fields: Fields, value: unknown, shown: ShownDraft): DraftOf {
  const raw = rawOf(value)
  const owns = Object.values(fields).some(({ is }) => is === 'marks')
  const own = owns && value !== undefined ? { ...shown, typed: rawOf(raw['typed']), rel: '' } : shown
  const entries = Object.entries(rawOf(raw['known'])).map(
    ([path, how]) => [path.replaceAll('.', ':'), textIn(rawOf(how)['by'])] as const,
  )
  return {
    ...Object.fromEntries(
      Object.entries(fields).flatMap(([key, field]) =>
        field.is === 'kept' || field.is === 'marks'
          ? []
          : [[key, toDraft(field, raw[key], inside(field, raw[key], within(own, key)))] as const],
      ),
    ),
    ...('known' in fields
      ? { [KNOWN]: Object.fromEntries(entries), [OTHERS]: othersDraft(fields, raw, own.system) }
      : {}),
  }
}

export function variantDraft(field: Variants, value: unknown, shown: ShownDraft): DraftOf {
  const kind = rawOf(value)[field.by]
  if (typeof kind !== 'string') return { [field.by]: '' }
  return { [field.by]: kind, ...groupDraft(field.groupOf(kind).fields, value, shown) }
}

export const itemDraft = (item: Group | Variants, value: unknown, shown: ShownDraft): DraftOf =>
  item.is === 'group' ? groupDraft(item.fields, value, shown) : variantDraft(item, value, shown)

/** Ratings as texts: a figure by state, and a list of the others. */
export function figuresDraft(value: unknown, system: UnitSystem): DraftOf {
  const ratings = listOf(value) as readonly Rating[]
  const shown = byState(ratings)
  const of = (state: State): string => {
    const rating = shown.get(state)
    return rating ? (rating.typed?.['kg'] ?? formatPrecise('mass', rating.kg, system)) : ''
  }
  const first = [...shown.values()][0]
  const others = ratings.flatMap((rating, i) =>
    shown.get(rating.state) === rating
      ? []
      : [{ ...itemDraft(RATING_FIELD, rating, { system, typed: {}, rel: '' }), [WAS]: String(i) }],
  )
  return {
    road: of('road'),
    trail: of('trail'),
    parked: of('parked'),
    per: first?.per ?? 'set',
    counts: first?.counts ?? '',
    by: first?.source.kind ?? '',
    page: first?.source.page ?? '',
    more: others,
  }
}

/** A value of the plan as a form shows it. */
export function toDraft(field: Field, value: unknown, shown: ShownDraft): Draft {
  switch (field.is) {
    case 'several':
      return severalText(field.of, listOf(value), shown)
    case 'pairs':
      return listOf(value)
        .map((each) =>
          field.keys
            .map((key) => formatPrecise('length', Number(rawOf(each)[key] ?? 0), shown.system))
            .join(' / '),
        )
        .join('; ')
    case 'split': {
      const texts = field.format(value)
      return Object.fromEntries(
        Object.entries(field.parts).map(([key, part]) => [
          key,
          toDraft(part, texts[key], within(shown, key)),
        ]),
      )
    }
    case 'figures':
      return figuresDraft(value, shown.system)
    case 'kept':
    case 'marks':
      return ''
    case 'group':
      return groupDraft(field.fields, value, shown)
    case 'variants':
      return variantDraft(field, value, shown)
    case 'list':
      return listOf(value).map((each, i) => ({
        ...itemDraft(field.item, each, within(shown, String(i))),
        [WAS]: String(i),
      }))
    default:
      return singleText(field, value, shown)
  }
}

/** What stands in a draft at the path of a field. */
export const draftAt = (draft: Draft | undefined, path: readonly string[]): Draft | undefined =>
  path.reduce<Draft | undefined>((at, key) => draftsOf(at)[Number(key)] ?? draftOf(at)[key], draft)

/** Whether two drafts say the same; what one of them does not have at all is as good as empty. */
function alike(a: Draft | undefined, b: Draft | undefined): boolean {
  if (typeof a === 'string' || typeof b === 'string') return textOf(a) === textOf(b)
  const [as, bs] = [draftsOf(a), draftsOf(b)]
  if (as.length > 0 || bs.length > 0)
    return as.length === bs.length && as.every((each, i) => alike(each, bs[i]))
  const [here, there] = [draftOf(a), draftOf(b)]
  return [...new Set([...Object.keys(here), ...Object.keys(there)])].every((key) =>
    alike(here[key], there[key]),
  )
}

/** Takes one of two texts, or of two whole lists, by what both were before. */
type Choose = (now: Draft, before: Draft | undefined, next: Draft) => Draft

/** Two readings of one form in one: field by field, and entry by entry where lists have the same ones. */
function mergedDraft(now: Draft, before: Draft | undefined, next: Draft, choose: Choose): Draft {
  if (typeof next === 'string') return choose(now, before, next)
  if (Array.isArray(next)) {
    const [here, there, then] = [draftsOf(now), draftsOf(before), draftsOf(next)]
    return here.length === there.length && here.length === then.length
      ? then.map((each, i) => mergedDraft(here[i] ?? each, there[i], each, choose))
      : choose(now, before, next)
  }
  const [here, there] = [draftOf(now), draftOf(before)]
  return Object.fromEntries(
    Object.entries(next).map(([key, each]: [string, Draft]) => {
      const typed = here[key]
      return [key, typed === undefined ? each : mergedDraft(typed, there[key], each, choose)] as const
    }),
  )
}

/**
 * What a form shows when it begins again from something else, another kind say: what was typed so far stays, and what
 * still stood as it began follows.
 */
export const carriedOver = (now: Draft, began: Draft | undefined, next: Draft): Draft =>
  mergedDraft(now, began, next, (typed, first, then) => (alike(typed, first) ? then : typed))

/** A form's texts with what was changed between two readings of it: all else stays as it was typed. */
export const withChanged = (now: Draft, read: Draft | undefined, next: Draft): Draft =>
  mergedDraft(now, read, next, (typed, first, then) => (alike(first, then) ? typed : then))

/** Whether nothing is typed into a part of a form. */
export function isEmpty(field: Field, draft: Draft | undefined): boolean {
  switch (field.is) {
    case 'kept':
    case 'marks':
      return true
    case 'group':
      return Object.entries(field.fields).every(([key, each]) => isEmpty(each, draftOf(draft)[key]))
    case 'variants':
      return textOf(draftOf(draft)[field.by]) === ''
    case 'split':
      return Object.entries(field.parts).every(([key, each]) => isEmpty(each, draftOf(draft)[key]))
    case 'figures': {
      const { road, trail, parked, more } = draftOf(draft)
      return [road, trail, parked].every((each) => textOf(each).trim() === '') && draftsOf(more).length === 0
    }
    case 'list':
      return draftsOf(draft).length === 0
    default:
      return textOf(draft).trim() === ''
  }
}
