import { READ_FROM } from '../kinds/provenance'
import * as z from '../units/schema'
import { issueText } from '../plan/schema/messages'
import { ratingSchema, type Rating, type Source } from '../plan/schema/rating'
import type { UnitSystem } from '../units/dimension'
import { parseQuantity } from '../units/parse'
import { STATES, type State } from '../units/scalars'
import {
  BEGUN,
  KNOWN,
  WAS,
  draftOf,
  draftsOf,
  figuresDraft,
  isEmpty,
  textOf,
  toDraft,
  type Draft,
  type DraftOf,
  type ShownDraft,
  within,
} from './draft'
import type { Field, Group, List, Variants } from './field'
import { isUnknownRecord, listOf, rawOf, type UnknownRecord } from './unknown-record'
import { MORE_FIGURES, byState } from './figures-fields'
import { keepHalf } from './half-group'
import {
  ASKED,
  BOTH,
  CHOOSE,
  KEPT,
  entriesOf,
  fault,
  readSingle,
  type ParseContext,
  type Owner,
  meanwhile,
  noneOf,
  type DraftResult,
  type DraftReading,
  parsed,
  same,
  sameList,
} from './reading'
import { provenanceNow, readOthers } from './read-provenance'
import { elementOf, kindOf, mayBeLeftOut, schemaAt } from './schema-walk'

/** The figures that were typed, as ratings. One left as it was keeps all that is known of it. */
function readFigures({ draft, was, path, reading, owner: above }: ParseContext): unknown {
  const before = listOf(was) as readonly Rating[]
  const now = draftOf(draft)
  const then = figuresDraft(was, reading.system)
  const shown = byState(before)
  const terms = ['per', 'counts', 'by', 'page'] as const
  const sameTerms = terms.every((key) => textOf(now[key]) === textOf(then[key]))
  const by = textOf(now['by'])
  const page = textOf(now['page']).trim().slice(0, 40)
  const counts = textOf(now['counts'])
  const stamped = (state: State) =>
    READ_FROM.find((each) => each === textOf(above.marks[`${above.shown.rel}.${state}`.replaceAll('.', ':')]))
  const stated = STATES.flatMap((state): Rating[] => {
    const rating = shown.get(state)
    const text = textOf(now[state])
    if (rating && sameTerms && text === textOf(then[state])) return [rating]
    if (text.trim() === '') return []
    const read = parseQuantity('mass', text, reading.system)
    if (!read.ok || read.value < 0 || read.value > 20_000) {
      fault(reading, `${path}.${state}`, read.ok ? 'That cannot be right.' : read.reason)
      return rating ? [rating] : listOf(meanwhile(reading, path, was)).filter(ofState(state))
    }
    const { counts: _, source, ...kept } = rating ?? { source: undefined }
    const { page: _page, ...sourceKept } = source ?? { kind: 'told' }
    const same = rating && text === textOf(then[state])
    // Where a figure is from is said when it is typed: what is chosen on top later is not of it.
    const kind =
      READ_FROM.find((each) => each === by) ?? stamped(state) ?? source?.kind ?? reading.from ?? 'told'
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
  // Terms without the figure that they are of have no place: they are asked about, never dropped.
  if (stated.length === 0)
    for (const [term, nothing] of [
      ['by', ''],
      ['page', ''],
      ['counts', ''],
      ['per', 'set'],
    ] as const) {
      const text = textOf(now[term]).trim()
      if (text !== '' && text !== nothing && text !== textOf(then[term]))
        fault(reading, `${path}.${term}`, 'Give the figure that this belongs to, or empty this.')
    }
  const owner = newOwner({ system: reading.system, typed: {}, rel: '' })
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
  return Array.isArray(was) && sameList(all, before) ? was : all
}

/** An id that no figure has yet: one that was taken out of use keeps its own. */
function freeId(taken: readonly Rating[], stem: string): string {
  const ids = new Set(taken.map(({ id }) => id))
  let id = stem
  for (let at = 2; ids.has(id); at += 1) id = `${stem}-${at}`
  return id
}

const ofState =
  (state: State) =>
  (rating: unknown): rating is Rating =>
    rawOf(rating)['state'] === state

const RATINGS = z.array(ratingSchema)

const newOwner = (shown: ShownDraft, typed: UnknownRecord = {}, marks: DraftOf = {}): Owner => ({
  shown,
  typed: new Map(Object.entries(typed as Record<string, string>)),
  changed: new Set(),
  emptied: new Set(),
  isKept: false,
  isMarked: false,
  marks,
  follows: new Map(),
  figures: new Set(),
})

/** A thing with some of its fields again: in its own order, so that what nobody touched is the very same. */
function merged(was: unknown, values: ReadonlyMap<string, unknown>): unknown {
  const raw = rawOf(was)
  const keys = [...new Set([...Object.keys(raw), ...values.keys()])]
  const next = keys.flatMap((key) => {
    const value = values.has(key) ? values.get(key) : raw[key]
    return value === undefined ? [] : [[key, value] as const]
  })
  const same =
    isUnknownRecord(was) &&
    next.length === Object.keys(raw).length &&
    next.every(([key, value]) => raw[key] === value)
  return same ? was : Object.fromEntries(next)
}

function readGroup(
  { fields, settle, check }: Group,
  { schema, draft, was, path, reading, owner: above }: ParseContext,
): unknown {
  const raw = rawOf(was)
  const owns = Object.values(fields).some(({ is }) => is === 'marks')
  const owner: Owner = owns
    ? {
        ...newOwner(
          { system: reading.system, typed: rawOf(raw['typed']), rel: '' },
          rawOf(raw['typed']),
          draftOf(draftOf(draft)[KNOWN]),
        ),
        isKept: 'typed' in fields,
        isMarked: 'known' in fields,
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
    if ('known' in fields) {
      const provenance = provenanceNow({ draft, was: raw['known'], owner }, (at) =>
        readOthers({ draft, was, path, reading }, fields, at),
      )
      values.set('known', same(provenance, raw['known']) ? raw['known'] : provenance)
      // What the form filled in was typed by nobody.
      for (const [at, { by }] of Object.entries(provenance ?? {})) if (by === 'start') owner.typed.delete(at)
    }
    const before = Object.keys(rawOf(raw['typed'])).filter((key) => owner.typed.has(key))
    const typed =
      owner.typed.size > 0 || isUnknownRecord(raw['typed'])
        ? Object.fromEntries(
            [...new Set([...before, ...owner.typed.keys()])].map((key) => [key, owner.typed.get(key)]),
          )
        : undefined
    values.set('typed', same(typed, raw['typed']) ? raw['typed'] : typed)
  }
  // What a kind of another shape had stays only where this one has it too.
  for (const key of Object.keys(raw))
    if (!values.has(key) && !schemaAt(schema, key)) values.set(key, undefined)
  const value = merged(was, values)
  if (value === was) return value
  for (const [key, problem] of Object.entries(check?.(rawOf(value)) ?? {}))
    fault(reading, path === '' ? key : `${path}.${key}`, problem)
  if (!settle) return value
  const began = draftOf(draftOf(draft)[BEGUN])
  const isBegun = (key: string) => began[key] !== undefined && same(draftOf(draft)[key], began[key])
  return settle(rawOf(value), raw, isBegun)
}

function readVariant(field: Variants, { schema, draft, was, path, reading, owner }: ParseContext): unknown {
  const kind = textOf(draftOf(draft)[field.by])
  if (kind === '' && mayBeLeftOut(schema)) return undefined
  const of = kindOf(schema, field.by, kind)
  if (!of) {
    fault(
      reading,
      `${path}${path === '' ? '' : '.'}${field.by}`,
      kind === '' ? CHOOSE : noneOf(kind, field.choices),
    )
    return was
  }
  const group = field.groupOf(kind)
  const value = followed(group, readGroup(group, { schema: of, draft, was, path, reading, owner }), {
    was,
    isNew: rawOf(was)[field.by] !== kind,
    owner,
  })
  return rawOf(value)[field.by] === kind
    ? value
    : { [field.by]: kind, ...rawOf(value), ...{ [field.by]: kind } }
}

/** What takes the value of a field beside it follows that one when it changes, or when the kind does. */
function followed(
  { fields }: Group,
  value: unknown,
  { was, isNew, owner }: { was: unknown; isNew: boolean; owner: Owner },
): unknown {
  const raw = rawOf(value)
  const next = Object.entries(fields).flatMap(([key, field]) => {
    if (field.is !== 'kept' || field.follows === undefined) return []
    const now = raw[field.follows]
    if (!isNew && now === rawOf(was)[field.follows]) return []
    owner.typed.delete(within(owner.shown, key).rel)
    owner.follows.set(within(owner.shown, key).rel, within(owner.shown, field.follows).rel)
    return [[key, now] as const]
  })
  return next.length === 0 ? value : { ...raw, ...Object.fromEntries(next) }
}

function readItem(item: List['item'], { schema, draft, was, path, reading, owner }: ParseContext): unknown {
  const mark = textOf(draftOf(draft)[WAS])
  const id = mark.startsWith('id ') ? mark.slice(3) : undefined
  const of =
    item.is === 'group' ? schema : (kindOf(schema, item.by, textOf(draftOf(draft)[item.by])) ?? schema)
  const hasId = schemaAt(of, 'id') !== undefined
  const old = id === undefined ? listOf(was)[Number(mark)] : hasId ? { id } : undefined
  const from = { schema, draft, was: old, path, reading, owner }
  return item.is === 'group' ? readGroup(item, from) : readVariant(item, from)
}

/** What is kept of a list's entries by their places goes with them: to where each stands now. */
function renumber({ shown, typed, changed, emptied, figures }: Owner, stood: readonly string[]): void {
  const stem = `${shown.rel}.`
  const moved = (path: string): string | undefined => {
    if (!path.startsWith(stem)) return path
    const [from = '', ...rest] = path.slice(stem.length).split('.')
    const to = stood.indexOf(from)
    return to < 0 ? undefined : [shown.rel, String(to), ...rest].join('.')
  }
  const texts = [...typed]
  typed.clear()
  for (const [path, text] of texts) {
    const at = moved(path)
    if (at !== undefined) typed.set(at, text)
  }
  for (const paths of [changed, emptied, figures]) {
    const all = [...paths]
    paths.clear()
    for (const path of all) {
      const at = moved(path)
      if (at !== undefined) paths.add(at)
    }
  }
}

function readList({ item }: List, { schema, draft, was, path, reading, owner }: ParseContext): unknown {
  const element = elementOf(schema)
  if (!element) return was
  const stood = draftsOf(draft).map((each) => textOf(draftOf(each)[WAS]))
  const items = draftsOf(draft).map((each, i) => {
    const next = { ...owner, shown: within(owner.shown, stood[i] ?? '') }
    return readItem(item, { schema: element, draft: each, was, path: `${path}.${i}`, reading, owner: next })
  })
  renumber(owner, stood)
  if (sameList(items, listOf(was)) && was !== undefined) return was
  return items.length === 0 && mayBeLeftOut(schema) ? undefined : items
}

function readField(field: Field, at: ParseContext): unknown {
  const { schema, draft, was, path, reading, owner } = at
  switch (field.is) {
    case 'kept':
    case 'marks':
      return was
    case 'several': {
      if (textOf(draft) === textOf(toDraft(field, was, owner.shown)) && was !== undefined) return was
      const { rel } = owner.shown
      owner.changed.add(rel)
      const read = entriesOf(draft, field.of).map((each) => parsed(field.of, each, reading.system))
      for (const each of read) if ('problem' in each) fault(reading, path, each.problem)
      if (read.some((each) => 'problem' in each)) return meanwhile(reading, path, was)
      const values = read.flatMap((each) => ('value' in each ? [each.value] : []))
      const typed = read.flatMap((each) => each.typed ?? []).join('; ')
      owner.typed.delete(rel)
      if (typed !== '' && typed.length <= KEPT) owner.typed.set(rel, typed)
      return values.length === 0 && mayBeLeftOut(schema) ? undefined : values
    }
    case 'pairs': {
      if (textOf(draft) === textOf(toDraft(field, was, owner.shown)) && was !== undefined) return was
      const values: UnknownRecord[] = []
      for (const each of entriesOf(draft)) {
        const texts = each.split(/\s\/\s/)
        if (texts.length !== 2) {
          fault(reading, path, `Give each by two figures with a stroke between: ${field.hint}`)
          return meanwhile(reading, path, was)
        }
        const pair = field.keys.flatMap((key, i) => {
          const read = parseQuantity('length', texts[i] ?? '', reading.system)
          if (!read.ok) fault(reading, path, read.reason)
          return read.ok ? [[key, read.value] as const] : []
        })
        if (pair.length !== 2) return meanwhile(reading, path, was)
        values.push(Object.fromEntries(pair))
      }
      return values.length === 0 && mayBeLeftOut(schema) ? undefined : values
    }
    case 'split': {
      if (same(draft, toDraft(field, was, owner.shown))) return was
      const before = field.format(was)
      const parts = Object.entries(field.parts).map(([key, part]) => {
        const next = { ...owner, shown: within(owner.shown, key) }
        return [
          key,
          readField(part, {
            schema: OPTIONAL,
            draft: draftOf(draft)[key],
            was: before[key],
            path: `${path}.${key}`,
            reading,
            owner: next,
          }),
        ] as const
      })
      if (Object.keys(reading.problems).some((each) => each.startsWith(`${path}.`)))
        return meanwhile(reading, path, was)
      const joined = field.parse(Object.fromEntries(parts), was)
      if (typeof joined !== 'string') return joined.value
      const asked = `${path}.${parts[0]?.[0] ?? ''}`
      fault(reading, asked, joined)
      const isHalf = parts.some(
        ([key, value]) => value === undefined && textOf(draftOf(draft)[key]).trim() === '',
      )
      if (isHalf && mayBeLeftOut(schema) && keepHalf(field, at, [asked], joined)) return undefined
      return meanwhile(reading, path, was)
    }
    case 'figures':
      owner.figures.add(owner.shown.rel)
      return readFigures(at)
    case 'group': {
      if (mayBeLeftOut(schema) && isEmpty(field, draft)) {
        const { shown, typed } = owner
        for (const key of typed.keys()) if (key.startsWith(`${shown.rel}.`)) typed.delete(key)
        return isEmpty(field, toDraft(field, was, shown)) ? was : undefined
      }
      const { problems } = reading
      const before = Object.keys(problems).length
      // In what may be left out nothing stands in for a figure: without it the whole is half known.
      const unmarked = mayBeLeftOut(schema) ? { ...at, owner: { ...owner, isMarked: false } } : at
      const value = readGroup(field, unmarked)
      if (mayBeLeftOut(schema) && keepHalf(field, at, Object.keys(problems).slice(before))) return undefined
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
 * cannot be read is named by its field and keeps its last valid value meanwhile, so that a drawing can go on with a
 * whole thing: the one that stands there now, the last one that was whole, or the one before.
 */
export function readDraft<T>(
  field: Group | Variants,
  schema: z.ZodMiniType<T>,
  draft: Draft,
  was: unknown,
  system: UnitSystem,
  from?: Source['kind'],
  last?: T,
): DraftResult<T> {
  const reading: DraftReading = { system, from, problems: {}, halves: {}, standIns: {}, last }
  const owner = newOwner({ system, typed: {}, rel: '' })
  const value = readField(field, { schema, draft, was, path: '', reading, owner })
  const isComplete = (thing: unknown): thing is T => schema.safeParse(thing).success
  const completeOr = (thing: unknown): T | undefined =>
    isComplete(thing) ? thing : (last ?? (isComplete(was) ? was : undefined))
  const { problems, halves, standIns } = reading
  if (Object.keys(problems).length > 0) return { value: completeOr(value), problems, halves, standIns }
  const whole = schema.safeParse(value)
  if (whole.success) return { value: value as T, problems, halves, standIns }
  for (const issue of whole.error.issues) fault(reading, issue.path.map(String).join('.'), issueText(issue))
  return { value: completeOr(undefined), problems, halves, standIns }
}

/**
 * Reads one form again and again, and remembers the last whole thing that it gave: while a field is wrong it keeps its
 * last valid value.
 */
export function wholeReader<T>(field: Group | Variants, schema: z.ZodMiniType<T>) {
  let last: T | undefined
  return (draft: Draft, was: unknown, system: UnitSystem, from?: Source['kind']): DraftResult<T> => {
    const read = readDraft(field, schema, draft, was, system, from, last)
    last = read.value ?? last
    return read
  }
}
