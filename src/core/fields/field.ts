import type { Dimension } from '../units/dimension'

/** What a form, a file and a sentence call a field, and what a person may need to know to fill it. */
interface Words {
  readonly label: string
  readonly hint?: string
}

export type Choices = readonly (readonly [value: string | number, words: string])[]

/** What stands around a thing, to choose from by name. */
export type Around = 'attachments' | 'gates' | 'steps' | 'ownSteps' | 'rackSteps' | 'racks'

/** A figure with a unit. `times`: shown as so many of what the plan keeps, a half width as a width. */
interface Quantity extends Words {
  readonly is: 'quantity'
  readonly dimension: Dimension
  readonly times?: number
  /** What the plan keeps where it is left empty. */
  readonly empty?: number
  /** The field beside it that says how it is known: what is typed here is known as the sheet says on top. */
  readonly saysHow?: string
}
/** A figure without one; `times` 100 shows a share as percent. */
interface Plain extends Words {
  readonly is: 'number'
  readonly times?: number
}
/** What sheets call by the same words, so that one is held against another: offered where it is typed again. */
export type Wording = 'fact' | 'railShape' | 'trim' | 'hole' | 'tool' | 'part' | 'place'

interface Line extends Words {
  readonly is: 'text' | 'day'
  readonly long?: true
  /** What it is one of: the words that other sheets have for such are offered. */
  readonly names?: Wording
  /** It gives the thing its name: other things' names are not offered for it. */
  readonly givesName?: true
}
interface Choice extends Words {
  readonly is: 'choice'
  /** What there is to choose from, or what of the thing's surroundings, by name. */
  readonly choices: Choices | Around
  /** Choices that a form or a fix makes and no person: offered only where they stand. */
  readonly made?: readonly string[]
  /** Where something was read: left open, it is from what the sheet says on top, or told. */
  readonly source?: true
}
/** Yes, no, or nobody has said. */
interface Flag extends Words {
  readonly is: 'flag'
}
/** What stands in one input. */
export type Single = Quantity | Plain | Line | Choice | Flag

/** Several of one kind in one input, with semicolons between; of a choice, ticks. */
export interface Several extends Words {
  readonly is: 'several'
  readonly of: Single
  /** Whether their order counts, and two alike may stand in it. */
  readonly ordered?: true
}
/** Places by two figures each, as `back / up; back / up`. mm. */
interface Pairs extends Words {
  readonly is: 'pairs'
  readonly keys: readonly [string, string]
}
/** One value of the plan that people give as several: a half each of feet as foot to foot. */
interface SplitValue {
  readonly is: 'split'
  readonly parts: Readonly<Record<string, Single | Several>>
  readonly format: (value: unknown) => Readonly<Record<string, unknown>>
  /** Nothing where the parts say nothing; a text says what is wrong with them. */
  readonly parse: (
    parts: Readonly<Record<string, unknown>>,
    was: unknown,
  ) => { readonly value: unknown } | string
}
/** Ratings by state. */
interface Figures extends Words {
  readonly is: 'figures'
}
/** What no form asks for, and why. */
interface Kept {
  readonly is: 'kept'
  readonly why: string
  /** The field beside it whose value it takes, known as that one is. */
  readonly follows?: string
}
/** Where the plan keeps how its figures are known and what was typed for them. */
interface Marks {
  readonly is: 'marks'
}

export type Fields = Readonly<Record<string, Field>>

/** Fields shown together, in order; those without a title stand on top, the others open when asked. */
export interface FieldsPart {
  readonly title?: string
  readonly open?: true
  /** Fields by their path in the group. */
  readonly keys: readonly string[]
}
/**
 * Which fields of a group one of its choices makes unlikely. A sheet leaves them out until they say something or all fields
 * are asked for.
 */
export interface Likely {
  /** The choice, by its path in the group. */
  readonly by: string
  /** Their paths in the group, for what was chosen and for what the rack of the sheet stands on. */
  readonly unlikely: (chosen: string, standsOn: string | undefined) => readonly string[]
}
export interface Group {
  readonly is: 'group'
  readonly label: string
  readonly fields: Fields
  readonly parts?: readonly FieldsPart[]
  readonly likely?: readonly Likely[]
  /** What is wrong between its fields, by the path of the one to look at. */
  readonly check?: (now: Readonly<Record<string, unknown>>) => Readonly<Record<string, string>>
  /** What follows in one field from another that was typed; of a new entry, whether a field still stands as it began. */
  readonly settle?: (
    now: Readonly<Record<string, unknown>>,
    was: Readonly<Record<string, unknown>>,
    isBegun: (key: string) => boolean,
  ) => unknown
}
/** Of several kinds, each with fields of its own. */
export interface Variants {
  readonly is: 'variants'
  readonly label: string
  readonly by: string
  readonly choices: Choices
  readonly groupOf: (kind: string) => Group
  /** What one of a kind starts as; left out, it starts empty. */
  readonly start?: (kind: string) => unknown
}
export interface List {
  readonly is: 'list'
  readonly label: string
  /** One of them in a sentence: `a step`. */
  readonly one: string
  readonly item: Group | Variants
  readonly hint?: string
  /** What a new one starts as. */
  readonly start?: (id: string, kind: string) => unknown
  /** A new one is like the last, and all may be made like the first, but for these of its fields. */
  readonly alikeBut?: readonly string[] | undefined
  /** What is different in a new one that is like the last: texts by field. */
  readonly nextAfter?:
    ((last: Readonly<Record<string, unknown>>) => Readonly<Record<string, string>>) | undefined
}

export type Field = Single | Several | Pairs | SplitValue | Figures | Kept | Marks | Group | Variants | List

/** A field for every key of a thing: the compiler asks for those that are missing. */
export type FieldsOf<T> = { readonly [K in keyof T]-?: Field }
/** The keys of every kind of a union. */
export type AllOf<T> = T extends unknown ? keyof T : never

const hinted = (label: string, hint?: string): Words => (hint === undefined ? { label } : { label, hint })
const quantity =
  (dimension: Dimension) =>
  (label: string, hint?: string): Quantity => ({ is: 'quantity', dimension, ...hinted(label, hint) })

export const length = quantity('length')
export const mass = quantity('mass')
export const torque = quantity('torque')
export const speed = quantity('speed')
export const angle = quantity('angle')
/** A length of which the plan keeps the half. */
export const halved = (label: string, hint?: string): Quantity => ({ ...length(label, hint), times: 2 })
export const quantityOf = (dimension: Dimension, label: string, hint?: string): Quantity =>
  quantity(dimension)(label, hint)
export const number = (label: string, hint?: string): Plain => ({ is: 'number', ...hinted(label, hint) })
export const percent = (label: string, hint?: string): Plain => ({ ...number(label, hint), times: 100 })
export const text = (label: string, hint?: string): Line => ({ is: 'text', ...hinted(label, hint) })
/** A text that is held against the same words on other sheets. */
export const wordFor = (names: Wording, label: string, hint?: string): Line => ({
  ...text(label, hint),
  names,
})
export const note = (label: string, hint?: string): Line => ({ ...text(label, hint), long: true })
export const day = (label: string, hint?: string): Line => ({ is: 'day', ...hinted(label, hint) })
export const choice = (label: string, choices: Choice['choices'], hint?: string): Choice => ({
  is: 'choice',
  choices,
  ...hinted(label, hint),
})
export const flag = (label: string, hint?: string): Flag => ({ is: 'flag', ...hinted(label, hint) })
export const several = (of: Single): Several => ({
  is: 'several',
  of,
  ...hinted(of.label, of.hint ?? (of.is === 'choice' ? undefined : 'Several: with semicolons between')),
})
export const pairs = (label: string, keys: Pairs['keys'], hint: string): Pairs => ({
  is: 'pairs',
  keys,
  ...hinted(label, hint),
})
export const figures = (label: string): Figures => ({ is: 'figures', label })
export const hiddenField = (why: string): Kept => ({ is: 'kept', why })
export const followsField = (follows: string, why: string): Kept => ({ ...hiddenField(why), follows })
export const MARKS: Marks = { is: 'marks' }
export const ID = hiddenField('It is given by Ypsos and never shown.')
export const group = (
  label: string,
  fields: Fields,
  more: Pick<Group, 'parts' | 'likely' | 'check' | 'settle'> = {},
): Group => ({ is: 'group', label, fields, ...more })
/** From one length to another. */
export const range = (from: string, to: string, hint?: string): Group =>
  group('', { fromMm: length(from, hint), toMm: length(to) })
export const list = (
  label: string,
  one: string,
  item: List['item'],
  more: Pick<List, 'hint' | 'start' | 'alikeBut' | 'nextAfter'> = {},
): List => ({ is: 'list', label, one, item, ...more })

/** The part of a vocabulary's dictionary that one kind's piece of schema asks for, in the schema's order. */
export function pick(dictionary: Fields, keys: readonly string[]): Fields {
  return Object.fromEntries(
    keys.flatMap((key) => {
      const field = dictionary[key]
      return field ? [[key, field] as const] : []
    }),
  )
}
