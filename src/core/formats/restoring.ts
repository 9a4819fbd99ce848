import { logEventSchema } from '../log/event'
import type { Plan } from '../plan/schema/plan'
import { type Pasts, pictureSchema, SHELF_NAMES, type ShelfName, type Shelves } from './backup'
import { compareCopies } from './copies'
import { own } from '../units/own'
import { readPlan } from './plan-file'
import { STOCK_KINDS, STOCK_SCHEMAS } from './stock-kinds'

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
export function restorePreview(mine: Shelves, backup: Shelves, mode: 'merge' | 'replace'): ShelfChange[] {
  return SHELF_NAMES.map((shelf) => {
    const [now, then] = [mine[shelf], backup[shelf]]
    const keys = Object.keys(then).sort()
    const here = (key: string) => Object.hasOwn(now, key)
    const alike = (key: string) => JSON.stringify(own(now, key)) === JSON.stringify(own(then, key))
    return {
      shelf,
      added: keys.filter((key) => !here(key)),
      changed: keys.filter((key) => here(key) && !alike(key)),
      same: keys.filter((key) => here(key) && alike(key)),
      removed:
        mode === 'replace'
          ? Object.keys(now)
              .filter((key) => !Object.hasOwn(then, key))
              .sort()
          : [],
      unreadable: keys.filter((key) => !reads(shelf, key, own(then, key))),
    }
  })
}

/** How an entry of a backup stands to the one here under the same key. */
type Standing = 'newer' | 'older' | 'apart' | 'other'

/** Something that is here and in the backup, and not the same. */
export interface Differing {
  readonly shelf: ShelfName
  readonly key: string
  /** What a person calls it. */
  readonly name: string
  readonly standing: Standing
  /** When it was last changed, here and in the backup, as far as that is known. */
  readonly hereAt: string | undefined
  readonly thereAt: string | undefined
}

const planFrom = (raw: unknown): Plan | undefined => {
  const read = readPlan(raw)
  return read.ok ? read.plan : undefined
}

function nameIn(raw: unknown, key: string): string {
  const name = typeof raw === 'object' && raw !== null && 'name' in raw ? raw.name : undefined
  return typeof name === 'string' ? name : key
}

/** What is on both sides and differs, with which of the two is the newer one where their pasts tell. */
export function differingIn(
  changes: readonly ShelfChange[],
  here: Shelves,
  backup: Shelves,
  pasts: { readonly here: Pasts; readonly backup: Pasts },
): readonly Differing[] {
  return changes.flatMap(({ shelf, changed }) =>
    changed.map((key): Differing => {
      const [now, then] = [own(here[shelf], key), own(backup[shelf], key)]
      const entry = { shelf, key, hereAt: undefined, thereAt: undefined }
      if (shelf !== 'plans') return { ...entry, name: nameIn(then, key), standing: 'other' }
      const [mine, theirs] = [planFrom(now), planFrom(then)]
      const name = (mine ?? theirs)?.job.name ?? key
      if (!mine || !theirs) return { ...entry, name, standing: 'other' }
      const [past, other] = [own(pasts.here, key) ?? [], own(pasts.backup, key) ?? []]
      const { at } = compareCopies({ plan: mine, steps: past }, { plan: theirs, steps: other }, '')
      const standing = at === 'behind' ? 'newer' : at === 'ahead' || at === 'same' ? 'older' : 'apart'
      return {
        ...entry,
        name,
        standing: past.length === 0 && other.length === 0 ? 'other' : standing,
        hereAt: past.at(-1)?.at,
        thereAt: other.at(-1)?.at,
      }
    }),
  )
}

/** Whether merging keeps what is here, unless it is said otherwise: wherever the backup is not known to go on from it. The log is never written over. */
export const staysUnasked = ({ shelf, standing }: Differing): boolean =>
  shelf === 'log' || standing !== 'newer'
