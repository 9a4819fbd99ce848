import * as z from '../units/schema'
import { fieldMessages, type FieldMessage } from '../plan/schema/messages'
import { unopened } from './opened'
import { type PastStep, pastStepSchema } from '../history/past-step'

/** A picture as it is kept: a JPEG, PNG or WebP in the text that an image takes. */
export const pictureSchema = z
  .string()
  .check(z.maxLength(4_000_000), z.regex(/^data:image\/(jpeg|png|webp);base64,/))

/** A check sum as files have it. */
export const sha256Schema = z
  .string()
  .check(z.regex(/^[0-9a-f]{64}$/, 'The check sum is 64 hexadecimal digits.'))

export const SHELF_NAMES = ['plans', 'stock', 'settings', 'log', 'pictures'] as const
export type ShelfName = (typeof SHELF_NAMES)[number]

/** Everything a browser keeps, as it is kept: entries by key on each shelf. What no longer reads is kept too. */
export type Shelves = Readonly<Record<ShelfName, Readonly<Record<string, unknown>>>>

const entries = z.record(z.string().check(z.minLength(1), z.maxLength(400)), z.unknown())
const backupSchema = z.strictObject({
  format: z.literal('ypsos-backup'),
  version: z.literal(1),
  madeAt: z.iso.datetime(),
  sha256: sha256Schema,
  shelves: z.strictObject({
    plans: entries,
    stock: entries,
    settings: entries,
    log: entries,
    // Backups made before there were any have none.
    pictures: z.optional(entries),
  }),
  // Nor have those made before a job's past was kept.
  pasts: z.optional(z.record(z.string(), z.array(pastStepSchema))),
})
type FiledShelves = z.infer<typeof backupSchema>['shelves']

/** The steps that lead back from each job, by its id. */
export type Pasts = Readonly<Record<string, readonly PastStep[]>>

/** The text that a backup's check sum is taken of. */
export const checkedText = (shelves: FiledShelves, pasts?: Pasts): string =>
  JSON.stringify(pasts ? { shelves, pasts } : shelves)

/** A backup as one file, with the SHA-256 of its content in hexadecimal. */
export function printBackup(shelves: Shelves, pasts: Pasts, madeAt: string, sha256: string): string {
  return `${JSON.stringify({ format: 'ypsos-backup', version: 1, madeAt, sha256, shelves, pasts })}\n`
}

type ReadBackup =
  | {
      readonly ok: true
      readonly shelves: Shelves
      readonly pasts: Pasts
      /** What its check sum is taken of. */
      readonly checked: string
      readonly madeAt: string
      readonly sha256: string
    }
  | { readonly ok: false; readonly problems: readonly FieldMessage[] }

/** Reads a backup's text; its check sum is the caller's to compare with that of `checkedText`. */
export function readBackup(text: string): ReadBackup {
  let raw: unknown
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return {
      ok: false,
      problems: [{ path: 'backup', text: 'This file is not JSON: it is no backup, or it was cut short.' }],
    }
  }
  const shut = unopened(raw, 'backup', 1)
  if (shut) return { ok: false, problems: [shut] }
  const read = backupSchema.safeParse(raw)
  if (!read.success) return { ok: false, problems: fieldMessages(read.error) }
  const { shelves, pasts, madeAt, sha256 } = read.data
  return {
    ok: true,
    madeAt,
    sha256,
    shelves: { ...shelves, pictures: shelves.pictures ?? {} },
    pasts: pasts ?? {},
    checked: checkedText(shelves, pasts),
  }
}
