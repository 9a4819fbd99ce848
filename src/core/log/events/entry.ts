import * as z from '../../units/schema'
import { idSchema } from '../../units/scalars'
import type { RecordDraft } from '../record'

/** What every entry says: when, of which car and job, by whom. */
export const common = {
  id: idSchema,
  at: z.iso.datetime(),
  vehicleId: idSchema,
  jobId: z.optional(idSchema),
  by: z.optional(z.string().check(z.maxLength(80))),
  note: z.optional(z.string().check(z.maxLength(1000))),
  /** One more than the highest turn that the device had seen when it wrote this: what orders a log, and no clock does. */
  turn: z.optional(z.int().check(z.gte(1), z.lte(100_000_000))),
  device: z.optional(idSchema),
  /** The entry that it takes the place of: the same thing, read or said again. */
  replaces: z.optional(idSchema),
}
export const key = z.string().check(z.minLength(1), z.maxLength(400))
/** Names of steps and joints are made of several names of the plan. */
export const words = z.string().check(z.trim(), z.minLength(1), z.maxLength(600))
export const reason = z.string().check(z.minLength(1), z.maxLength(1000))
/** What was typed for a figure, in the unit in which it was read. */
export const typed = z.string().check(z.minLength(1), z.maxLength(60))
export const hung = z.record(key, z.union([z.number(), z.string().check(z.maxLength(500))]))

/** An entry of a kind, as it is parsed. */
type EntryOf<Shape extends z.core.$ZodShape> = z.infer<z.ZodMiniObject<typeof common & Shape>>

/** A kind of entry: what it says, how that reads, and what it makes of a record. */
export interface EventKindTraits<Shape extends z.core.$ZodShape = z.core.$ZodShape> {
  /** How it reads in a list. */
  readonly word: string
  readonly shape: Shape
  /** What it says besides when and by whom, in one line. Lengths in mm, torques in N·m, masses in kg. */
  line(event: EntryOf<Shape>): string
  /** What it changes; nothing for what is only kept. */
  changes?(record: RecordDraft, event: EntryOf<Shape>): void
  /** What it speaks of, so that a later one of the same puts it aside; nothing for what only adds to what was said. */
  subject?(event: EntryOf<Shape>): readonly (string | number)[] | undefined
}

/** Declares a kind of entry. */
export const entry = <Shape extends z.core.$ZodShape>(
  traits: EventKindTraits<Shape>,
): EventKindTraits<Shape> => traits

/** A number as people read it: what arithmetic leaves behind the second place is nobody's reading. */
export const tidy = (value: number): string => String(Number(value.toFixed(2)))

/** What was typed, where it was typed in another unit than the log is kept in. */
export const asTyped = (text: string | undefined): string => (text === undefined ? '' : ` (typed ${text})`)
