import * as z from 'zod'
import { idSchema } from '../../units/scalars'
import type { RecordDraft } from '../record'

/** What every entry says: when, of which car and job, by whom. */
export const common = {
  id: idSchema,
  at: z.iso.datetime(),
  vehicleId: idSchema,
  jobId: idSchema.optional(),
  by: z.string().max(80).optional(),
  note: z.string().max(1000).optional(),
  /** One more than the highest turn that the device had seen when it wrote this: what orders a log, and no clock does. */
  turn: z.number().int().min(1).max(100_000_000).optional(),
  device: idSchema.optional(),
  /** The entry that it takes the place of: the same thing, read or said anew. */
  replaces: idSchema.optional(),
}
export const key = z.string().min(1).max(400)
/** Names of steps and joints are made of several names of the plan. */
export const words = z.string().trim().min(1).max(600)
export const reason = z.string().min(1).max(1000)
/** What was typed for a figure, in the unit in which it was read. */
export const typed = z.string().min(1).max(60)
export const hung = z.record(key, z.union([z.number(), z.string().max(500)]))

/** An entry of a kind, as it is parsed. */
type EntryOf<Shape extends z.ZodRawShape> = z.infer<z.ZodObject<typeof common & Shape>>

/** A kind of entry: what it says, how that reads, and what it makes of a record. */
export interface EventKindTraits<Shape extends z.ZodRawShape = z.ZodRawShape> {
  /** How it reads in a list. */
  readonly word: string
  readonly shape: Shape
  /** What it says besides when and by whom, in one line. Lengths in mm, torques in N·m, masses in kg. */
  line(said: EntryOf<Shape>): string
  /** What it changes; nothing for what is only kept. */
  changes?(record: RecordDraft, said: EntryOf<Shape>): void
  /** What it speaks of, so that a later one of the same puts it aside; nothing for what only adds to what was said. */
  subject?(said: EntryOf<Shape>): readonly (string | number)[] | undefined
}

/** Declares a kind of entry. */
export const entry = <Shape extends z.ZodRawShape>(traits: EventKindTraits<Shape>): EventKindTraits<Shape> =>
  traits

/** A number as people read it: what arithmetic leaves behind the second place is nobody's reading. */
export const tidy = (value: number): string => String(Number(value.toFixed(2)))

/** What was typed, where it was typed in another unit than the log is kept in. */
export const asTyped = (text: string | undefined): string => (text === undefined ? '' : ` (typed ${text})`)
