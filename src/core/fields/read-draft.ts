import { READ_FROM } from '../kinds/how-known'
import * as z from '../units/schema'
import { issueText } from '../plan/messages'
import { ratingSchema, type Rating, type Source } from '../plan/rating'
import type { UnitSystem } from '../units/dimension'
import { parseQuantity } from '../units/parse'
import { STATES } from '../units/scalars'
import { WAS, draftOf, draftsOf, figuresDraft, isEmpty, textOf, toDraft, type Draft, within } from './draft'
import type { Field, Group, List, Variants } from './field'
import { isRaw, listOf, rawOf } from './raw'
import { MORE_FIGURES, byState } from './figures-fields'
import {
  ASKED,
  BOTH,
  KEPT,
  entriesOf,
  fault,
  readSingle,
  type At,
  type Owner,
  type ReadDraft,
  type Reading,
  parsed,
  same,
  sameList,
} from './reading'
import { knownNow, readOthers } from './read-known'
import { elementOf, kindOf, mayBeLeftOut, schemaAt } from './schema-walk'

/** The figures that were typed, as ratings. One left as it was keeps all that is known of it. */
function readFigures(draft: Draft | undefined, was: unknown, path: string, reading: Reading): unknown {
  const before = listOf(was) as readonly Rating[]
  const now = draftOf(draft)
  const then = figuresDraft(was, reading.system)
  const shown = byState(before)
  const terms = ['per', 'counts', 'by', 'page'] as const
  const sameTerms = terms.every((key) => textOf(now[key]) === textOf(then[key]))
  const by = textOf(now['by'])
  const page = textOf(now['page']).trim().slice(0, 40)
  const counts = textOf(now['counts'])
  const stated = STATES.flatMap((state): Rating[] => {
    const rating = shown.get(state)
    const text = textOf(now[state])
    if (rating && sameTerms && text === textOf(then[state])) return [rating]
    if (text.trim() === '') return []
    const read = parseQuantity('mass', text, reading.system)
    if (!read.ok || read.value < 0 || read.value > 20_000) {
      fault(reading, `${path}.${state}`, read.ok ? 'That cannot be right.' : read.reason)
      return rating ? [rating] : []
    }
    const { counts: _, source, ...kept } = rating ?? { source: undefined }
    const { page: _page, ...sourceKept } = source ?? { kind: 'told' }
    const kind = READ_FROM.find((each) => each === by) ?? reading.from ?? source?.kind ?? 'told'
    const same = rating && text === textOf(then[state])
    return [
      {
        ...kept,
        id: rating?.id ?? freeId(before, `${path.replaceAll('.', '-')}-${state}`),
        state,
        kg: same ? rating.kg : read.value,
        per: now['per'] === 'each' ? 'each' : 'set',
        ...(counts === 'load' || counts === 'everything' ? { counts } : {}),
        source: { ...sourceKept, kind, ...(page === '' ? {} : { page }) },
        ...(same ? (rating.typed ? { typed: rating.typed } : {}) : { typed: { kg: read.typed } }),
      },
    ]
  })
  const owner: Owner = {
    shown: { system: reading.system, typed: {}, rel: '' },
    typed: new Map(),
    changed: new Set(),
  }
  const others = listOf(
    readList(MORE_FIGURES, {
      schema: RATINGS,
      draft: now['more'],
      was: before,
      path: `${path}.more`,
      reading,
      owner,
    }),
  ) as Rating[]
  const placed = new Set<Rating>()
  const inPlace = before.flatMap((rating): Rating[] => {
    const next = [...stated, ...others].find(({ id }) => id === rating.id)
    if (!next) return []
    placed.add(next)
    return [next]
  })
  const all = [...inPlace, ...[...stated, ...others].filter((each) => !placed.has(each))]
  return sameList(all, before) ? was : all
}

/** An id that no figure has yet: one that was taken out of use keeps its own. */
function freeId(taken: readonly Rating[], stem: string): string {
  const ids = new Set(taken.map(({ id }) => id))
  let id = stem
  for (let at = 2; ids.has(id); at += 1) id = `${stem}-${at}`
  return id
}

const RATINGS = z.array(ratingSchema)

/** A thing with some of its fields anew: in its own order, so that what nobody touched is the very same. */
function merged(was: unknown, values: ReadonlyMap<string, unknown>): unknown {
  const raw = rawOf(was)
  const keys = [...new Set([...Object.keys(raw), ...values.keys()])]
  const next = keys.flatMap((key) => {
    const value = values.has(key) ? values.get(key) : raw[key]
    return value === undefined ? [] : [[key, value] as const]
  })
  const same =
    isRaw(was) && next.length === Object.keys(raw).length && next.every(([key, value]) => raw[key] === value)
  return same ? was : Object.fromEntries(next)
}

function readGroup(
  { fields, settle, check }: Group,
  { schema, draft, was, path, reading, owner: above }: At,
): unknown {
  const raw = rawOf(was)
  const owns = Object.values(fields).some(({ is }) => is === 'marks')
  const owner: Owner = owns
    ? {
        shown: { system: reading.system, typed: rawOf(raw['typed']), rel: '' },
        typed: new Map(Object.entries(rawOf(raw['typed']) as Record<string, string>)),
        changed: new Set(),
      }
    : above
  const values = new Map<string, unknown>()
  for (const [key, field] of Object.entries(fields)) {
    const of = schemaAt(schema, key)
    if (!of) continue
    if (field.is === 'kept' || field.is === 'marks') continue
    const next: Owner = { ...owner, shown: within(owner.shown, key) }
    values.set(
      key,
      readField(field, {
        schema: of,
        draft: draftOf(draft)[key],
        was: raw[key],
        path: path === '' ? key : `${path}.${key}`,
        reading,
        owner: next,
      }),
    )
  }
  if (owns) {
    const typed = owner.typed.size > 0 || isRaw(raw['typed']) ? Object.fromEntries(owner.typed) : undefined
    values.set('typed', same(typed, raw['typed']) ? raw['typed'] : typed)
    if ('known' in fields) {
      const known = knownNow({ draft, was: raw['known'], changed: owner.changed }, (at) =>
        readOthers({ draft, was, path, reading }, fields, at),
      )
      values.set('known', same(known, raw['known']) ? raw['known'] : known)
    }
  }
  // What a kind of another shape had stays only where this one has it too.
  for (const key of Object.keys(raw))
    if (!values.has(key) && !schemaAt(schema, key)) values.set(key, undefined)
  const value = merged(was, values)
  if (value === was) return value
  for (const [key, problem] of Object.entries(check?.(rawOf(value)) ?? {}))
    fault(reading, path === '' ? key : `${path}.${key}`, problem)
  return settle ? settle(rawOf(value), raw) : value
}

function readVariant(field: Variants, { schema, draft, was, path, reading, owner }: At): unknown {
  const kind = textOf(draftOf(draft)[field.by])
  if (kind === '' && mayBeLeftOut(schema)) return undefined
  const of = kindOf(schema, field.by, kind)
  if (!of) {
    fault(reading, `${path}.${field.by}`, 'Choose one.')
    return was
  }
  const value = readGroup(field.groupOf(kind), { schema: of, draft, was, path, reading, owner })
  return rawOf(value)[field.by] === kind
    ? value
    : { [field.by]: kind, ...rawOf(value), ...{ [field.by]: kind } }
}

function readItem(item: List['item'], { schema, draft, was, path, reading, owner }: At): unknown {
  const mark = textOf(draftOf(draft)[WAS])
  const id = mark.startsWith('id ') ? mark.slice(3) : undefined
  const of =
    item.is === 'group' ? schema : (kindOf(schema, item.by, textOf(draftOf(draft)[item.by])) ?? schema)
  const hasId = schemaAt(of, 'id') !== undefined
  const old = id === undefined ? listOf(was)[Number(mark)] : hasId ? { id } : undefined
  const from = { schema, draft, was: old, path, reading, owner }
  return item.is === 'group' ? readGroup(item, from) : readVariant(item, from)
}

function readList({ item }: List, { schema, draft, was, path, reading, owner }: At): unknown {
  const element = elementOf(schema)
  if (!element) return was
  const items = draftsOf(draft).map((each, i) => {
    const mark = textOf(draftOf(each)[WAS])
    const stood = mark.startsWith('id ') ? String(i) : mark
    const next = { ...owner, shown: within(owner.shown, stood) }
    return readItem(item, { schema: element, draft: each, was, path: `${path}.${i}`, reading, owner: next })
  })
  if (sameList(items, listOf(was)) && was !== undefined) return was
  return items.length === 0 && mayBeLeftOut(schema) ? undefined : items
}

function readField(field: Field, at: At): unknown {
  const { schema, draft, was, path, reading, owner } = at
  switch (field.is) {
    case 'kept':
    case 'marks':
      return was
    case 'several': {
      if (textOf(draft) === textOf(toDraft(field, was, owner.shown)) && was !== undefined) return was
      const { rel } = owner.shown
      owner.changed.add(rel)
      const read = entriesOf(draft).map((each) => parsed(field.of, each, reading.system))
      for (const each of read) if ('problem' in each) fault(reading, path, each.problem)
      const values = read.flatMap((each) => ('value' in each ? [each.value] : []))
      const typed = read.flatMap((each) => each.typed ?? []).join('; ')
      owner.typed.delete(rel)
      if (typed !== '' && typed.length <= KEPT) owner.typed.set(rel, typed)
      return values.length === 0 && mayBeLeftOut(schema) ? undefined : values
    }
    case 'pairs': {
      if (textOf(draft) === textOf(toDraft(field, was, owner.shown)) && was !== undefined) return was
      const values = entriesOf(draft).map((each) => {
        const texts = each.split(/\s\/\s/)
        if (texts.length !== 2)
          fault(reading, path, `Give each by two figures with a stroke between: ${field.hint}`)
        return Object.fromEntries(
          field.keys.map((key, i) => {
            const read = parseQuantity('length', texts[i] ?? '', reading.system)
            if (!read.ok) fault(reading, path, read.reason)
            return [key, read.ok ? read.value : 0] as const
          }),
        )
      })
      return values.length === 0 && mayBeLeftOut(schema) ? undefined : values
    }
    case 'split': {
      if (same(draft, toDraft(field, was, owner.shown))) return was
      const apart = field.apart(was)
      const parts = Object.entries(field.parts).map(([key, part]) => {
        const next = { ...owner, shown: within(owner.shown, key) }
        return [
          key,
          readField(part, {
            schema: OPTIONAL,
            draft: draftOf(draft)[key],
            was: apart[key],
            path: `${path}.${key}`,
            reading,
            owner: next,
          }),
        ] as const
      })
      const joined = field.join(Object.fromEntries(parts), was)
      if (typeof joined !== 'string') return joined.value
      fault(reading, `${path}.${parts[0]?.[0] ?? ''}`, joined)
      return was
    }
    case 'figures':
      return readFigures(draft, was, path, reading)
    case 'group': {
      if (mayBeLeftOut(schema) && isEmpty(field, draft))
        return isEmpty(field, toDraft(field, was, owner.shown)) ? was : undefined
      const { problems } = reading
      const before = Object.keys(problems).length
      const value = readGroup(field, at)
      if (mayBeLeftOut(schema))
        for (const key of Object.keys(problems).slice(before))
          if (problems[key] === ASKED && !/\.\d+\./.test(key.slice(path.length))) problems[key] = BOTH
      return value
    }
    case 'variants':
      return readVariant(field, at)
    case 'list':
      return readList(field, at)
    default:
      return readSingle(field, at)
  }
}

/** Parts of one value may each be left out; together they are judged by the value's own schema. */
const OPTIONAL = z.optional(z.unknown())

/**
 * A thing from its form's texts. What the form does not show stays; what nobody touched is the very same value. What
 * cannot be read is named by its field and stays as it was meanwhile, so that a drawing can go on.
 */
export function readDraft<T>(
  field: Group | Variants,
  schema: z.ZodMiniType<T>,
  draft: Draft,
  was: unknown,
  system: UnitSystem,
  from?: Source['kind'],
): ReadDraft<T> {
  const reading: Reading = { system, from, problems: {} }
  const owner: Owner = { shown: { system, typed: {}, rel: '' }, typed: new Map(), changed: new Set() }
  const value = readField(field, { schema, draft, was, path: '', reading, owner })
  if (Object.keys(reading.problems).length > 0) return { value: value as T, problems: reading.problems }
  const whole = schema.safeParse(value)
  if (whole.success) return { value: value as T, problems: {} }
  const before = schema.safeParse(was)
  return {
    value: before.success ? before.data : (value as T),
    problems: Object.fromEntries(
      whole.error.issues
        .toReversed()
        .map((issue) => [issue.path.map(String).join('.'), issueText(issue)] as const),
    ),
  }
}
