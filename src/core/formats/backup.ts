import * as z from '../units/schema'
import { logEventSchema } from '../log/event'
import { fieldMessages, type FieldMessage } from '../plan/messages'
import { readPlan } from './plan-file'
import { STOCK_KINDS, STOCK_SCHEMAS } from './stock-kinds'

/** A picture as it is kept: a JPEG, PNG or WebP in the text that an image takes. */
export const pictureSchema = z
  .string()
  .check(z.maxLength(4_000_000), z.regex(/^data:image\/(jpeg|png|webp);base64,/))

export const SHELF_NAMES = ['plans', 'stock', 'settings', 'log', 'pictures'] as const
export type ShelfName = (typeof SHELF_NAMES)[number]

/** Everything a browser keeps, as it is kept: entries by key on each shelf. What no longer reads is kept too. */
export type Shelves = Readonly<Record<ShelfName, Readonly<Record<string, unknown>>>>

const entries = z.record(z.string().check(z.minLength(1), z.maxLength(400)), z.unknown())
const backupSchema = z.strictObject({
  format: z.literal('ypsos-backup'),
  version: z.literal(1),
  madeAt: z.iso.datetime(),
  sha256: z.string().check(z.regex(/^[0-9a-f]{64}$/, 'The check sum is 64 hexadecimal digits.')),
  shelves: z.strictObject({
    plans: entries,
    stock: entries,
    settings: entries,
    log: entries,
    // Backups made before there were any have none.
    pictures: z.optional(entries),
  }),
})
type FiledShelves = z.infer<typeof backupSchema>['shelves']

/** The text that a backup's check sum is taken of. */
export const checkedText = (shelves: FiledShelves): string => JSON.stringify(shelves)

/** A backup as one file, with the SHA-256 of its content in hexadecimal. */
export function printBackup(shelves: Shelves, madeAt: string, sha256: string): string {
  return `${JSON.stringify({ format: 'ypsos-backup', version: 1, madeAt, sha256, shelves })}\n`
}

type ReadBackup =
  | {
      readonly ok: true
      readonly shelves: Shelves
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
  const read = backupSchema.safeParse(raw)
  if (!read.success) return { ok: false, problems: fieldMessages(read.error) }
  const { shelves, madeAt, sha256 } = read.data
  return {
    ok: true,
    madeAt,
    sha256,
    shelves: { ...shelves, pictures: shelves.pictures ?? {} },
    checked: checkedText(shelves),
  }
}

/** What restoring would do to one shelf, by key. */
export interface ShelfChange {
  readonly shelf: ShelfName
  readonly added: readonly string[]
  readonly changed: readonly string[]
  readonly same: readonly string[]
  /** Only when replacing: what is here and not in the backup. */
  readonly removed: readonly string[]
  /** Entries of the backup that do not read here; they are put back as they are. */
  readonly unreadable: readonly string[]
}

function reads(shelf: ShelfName, key: string, value: unknown): boolean {
  if (shelf === 'plans') return readPlan(value).ok
  if (shelf === 'log') return logEventSchema.safeParse(value).success
  if (shelf === 'settings') return true
  if (shelf === 'pictures') return pictureSchema.safeParse(value).success
  const kind = STOCK_KINDS.find((each) => key.startsWith(`${each}/`))
  return kind !== undefined && STOCK_SCHEMAS[kind].safeParse(value).success
}

/** What restoring a backup would change. Merging keeps what is only here; in both ways an entry of the backup goes before the one here. */
export function restorePreview(here: Shelves, backup: Shelves, way: 'merge' | 'replace'): ShelfChange[] {
  return SHELF_NAMES.map((shelf) => {
    const [now, then] = [here[shelf], backup[shelf]]
    const keys = Object.keys(then).sort()
    const alike = (key: string) => JSON.stringify(now[key]) === JSON.stringify(then[key])
    return {
      shelf,
      added: keys.filter((key) => !(key in now)),
      changed: keys.filter((key) => key in now && !alike(key)),
      same: keys.filter((key) => key in now && alike(key)),
      removed:
        way === 'replace'
          ? Object.keys(now)
              .filter((key) => !(key in then))
              .sort()
          : [],
      unreadable: keys.filter((key) => !reads(shelf, key, then[key])),
    }
  })
}
