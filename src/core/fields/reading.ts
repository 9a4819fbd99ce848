import * as z from '../units/schema'
import { issueText } from '../plan/schema/messages'
import type { Source } from '../plan/schema/rating'
import type { UnitSystem } from '../units/dimension'
import { formatPrecise } from '../units/format'
import { parseDay } from '../units/day'
import { parseQuantity } from '../units/parse'
import { singleText, textOf, type Draft, type DraftOf, type ShownDraft } from './draft'
import type { Choices, Single } from './field'
import { listOf, rawOf } from './unknown-record'
import { mayBeLeftOut } from './schema-walk'

/**
 * What was read from a form: the thing, whole by its schema, and what is wrong by field. A field that is wrong keeps its
 * last valid value meanwhile; nothing where no whole thing could be made yet.
 */
export interface DraftResult<T> {
  readonly value: T | undefined
  readonly problems: Readonly<Record<string, string>>
  /** What is known by half, by the path of its group: kept, and in no sum until the rest is given. */
  readonly halves: Readonly<Record<string, string>>
  /** What stands in for a figure that was left empty, by the path of its field: a starting value. */
  readonly standIns: Readonly<Record<string, string>>
}

export interface DraftReading {
  readonly system: UnitSystem
  readonly from: Source['kind'] | undefined
  readonly problems: Record<string, string>
  readonly halves: Record<string, string>
  readonly standIns: Record<string, string>
  /** The last whole thing that was read: what is wrong keeps its value of then. */
  readonly last: unknown
}

/** The thing whose marks the fields below it keep, and what is typed for them. */
export interface Owner {
  readonly shown: ShownDraft
  readonly typed: Map<string, string>
  readonly changed: Set<string>
  /** How each figure is known, as the form says, by the path of its field with colons. */
  readonly marks: DraftOf
  /** Fields that were left empty and must not be: what stood there is a starting value. */
  readonly emptied: Set<string>
  /** Whether the thing keeps what is typed for its fields. */
  readonly isKept: boolean
  /** Whether it keeps how its figures are known. */
  readonly isMarked: boolean
  /** Fields that take the value of another, each by its path with that of the other. */
  readonly follows: Map<string, string>
  /** Where figures by state stand: each of them keeps its own source. */
  readonly figures: Set<string>
}

export const ASKED = 'This field is required.'
export const CHOOSE = 'Choose one.'
export const BOTH = 'Give this too, or empty the fields that belong to it.'

export function fault(reading: DraftReading, path: string, problem: string): void {
  reading.problems[path] ??= problem
}

/** The value that a field keeps while what stands in it is wrong: the last valid one, or the one before. */
export function meanwhile({ last }: DraftReading, path: string, was: unknown): unknown {
  const at = path
    .split('.')
    .reduce<unknown>(
      (node, key) => (Array.isArray(node) ? listOf(node)[Number(key)] : rawOf(node)[key]),
      last,
    )
  return at ?? was
}

/** The entries of one input. Plain numbers may have commas between, each with a space behind it. */
export const entriesOf = (draft: Draft | undefined, of?: Single): string[] =>
  textOf(draft)
    .split(of?.is === 'number' ? /[;\n]|,\s+/ : /[;\n]/)
    .map((each) => each.trim())
    .filter((each) => each !== '')

/** Whether two values say the same, and whether two lists hold the very same things. */
export const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)
export const sameList = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((each, i) => each === b[i])

export type FieldResult = { readonly value: unknown } | { readonly problem: string }

export const noneOf = (text: string, choices: Choices): string =>
  `"${text}" is none of ${choices.map(([value]) => value).join(', ')}.`

/** One text as its value, and how it was typed where it is a figure. */
export function parsed(
  field: Single,
  text: string,
  system: UnitSystem,
): FieldResult & { readonly typed?: string } {
  const trimmed = text.trim()
  switch (field.is) {
    case 'quantity': {
      const read = parseQuantity(field.dimension, trimmed, system)
      return read.ok
        ? { value: read.value / (field.times ?? 1), typed: read.typed }
        : { problem: read.reason }
    }
    case 'number': {
      const value = Number(trimmed.replace(/\s*%$/, '').replace(',', '.'))
      return Number.isFinite(value)
        ? { value: value / (field.times ?? 1) }
        : { problem: `"${trimmed}" is no number.` }
    }
    case 'flag':
      return trimmed === 'yes' || trimmed === 'no'
        ? { value: trimmed === 'yes' }
        : { problem: 'Write yes or no.' }
    case 'choice': {
      if (typeof field.choices === 'string') return { value: trimmed }
      const found = field.choices.find(([value]) => String(value) === trimmed)
      return found ? { value: found[0] } : { problem: noneOf(trimmed, field.choices) }
    }
    case 'text':
      return { value: field.long ? text : trimmed }
    case 'day': {
      const read = parseDay(trimmed)
      return read.ok ? { value: read.value } : { problem: read.reason }
    }
  }
}

/** As long as a text that is kept for a figure may be. */
export const KEPT = 60

/** What a drawing goes on with where nothing is known: it is never kept. */
function standIn(field: Single): unknown {
  if (field.is === 'quantity' || field.is === 'number') return 0
  return field.is === 'choice'
    ? Array.isArray(field.choices)
      ? (field.choices as Choices)[0]?.[0]
      : '?'
    : field.is === 'flag'
      ? false
      : '?'
}

/** Lengths, angles and masses may start with a value; a torque or a speed is known or it is not. */
const isStartable = (field: Single): field is Extract<Single, { is: 'quantity' }> =>
  field.is === 'quantity' && ['length', 'angle', 'mass'].includes(field.dimension)

/** Where a field is read: what of the schema it fills, what stands in the form, and what stood before. */
export interface ParseContext {
  readonly schema: z.core.$ZodType
  readonly draft: Draft | undefined
  readonly was: unknown
  readonly path: string
  readonly reading: DraftReading
  readonly owner: Owner
}

export function readSingle(
  field: Single,
  { schema, draft, was, path, reading, owner }: ParseContext,
): unknown {
  const text = textOf(draft)
  const { rel } = owner.shown
  const asked = text.trim() === '' && !mayBeLeftOut(schema) && !z.safeParse(schema, was).success
  if (text === singleText(field, was, owner.shown) && !asked && (was !== undefined || text === '')) return was
  owner.changed.add(rel)
  owner.typed.delete(rel)
  if (text.trim() === '') {
    if (mayBeLeftOut(schema)) return undefined
    if (field.is === 'quantity' && field.empty !== undefined) return field.empty
    // What nobody said is told.
    if (field.is === 'choice' && field.source) return reading.from ?? 'told'
    if (field.is === 'text' && z.safeParse(schema, '').success) return ''
    const kept = meanwhile(reading, path, was)
    // Nobody knows it, and the drawing needs it: what stood there goes on as a starting value.
    if (isStartable(field) && typeof kept === 'number' && owner.isMarked && rel.length <= KEPT) {
      owner.emptied.add(rel)
      const shown = formatPrecise(field.dimension, kept * (field.times ?? 1), reading.system)
      reading.standIns[path] = `Empty: ${shown} stands in as a starting value.`
      return kept
    }
    fault(reading, path, field.is === 'choice' ? CHOOSE : ASKED)
    return kept === undefined || kept === '' ? standIn(field) : kept
  }
  const read = parsed(field, text, reading.system)
  if ('problem' in read) {
    fault(reading, path, read.problem)
    return meanwhile(reading, path, was)
  }
  if (read.typed !== undefined && read.typed.length <= KEPT) owner.typed.set(rel, read.typed)
  const issue = z.safeParse(schema, read.value).error?.issues[0]
  if (!issue) return read.value
  fault(reading, path, issueText(issue))
  return meanwhile(reading, path, was)
}
