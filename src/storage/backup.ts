import {
  checkedText,
  printBackup,
  readBackup,
  restorePreview,
  SHELF_NAMES,
  type ShelfChange,
  type ShelfName,
  type Shelves,
} from '@/core'
import { tellAllKept } from './kept-elsewhere'
import { nextRevisions } from './plans'
import { rememberIn } from './removed'
import { inOneGo } from './transaction'
import {
  logShelf,
  pictureShelf,
  planShelf,
  settingsShelf,
  stockShelf,
  whyNotKept,
  type Kept,
} from './shelves'

const SHELF: Readonly<Record<ShelfName, typeof planShelf>> = {
  plans: planShelf,
  stock: stockShelf,
  settings: settingsShelf,
  log: logShelf,
  pictures: pictureShelf,
}

async function sha256(text: string): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text))
  return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('')
}

/** Everything on every shelf, as it is stored. */
export async function readShelves(): Promise<Shelves> {
  const shelves: Record<ShelfName, Record<string, unknown>> = {
    plans: {},
    stock: {},
    settings: {},
    log: {},
    pictures: {},
  }
  for (const name of SHELF_NAMES)
    await SHELF[name].iterate((raw, key) => {
      shelves[name][key] = raw
    })
  return shelves
}

/** A backup of everything as the text of one file. */
export async function backupText(madeAt: string): Promise<string> {
  const shelves = await readShelves()
  return printBackup(shelves, madeAt, await sha256(checkedText(shelves)))
}

type OpenedBackup =
  | { readonly ok: true; readonly madeAt: string; readonly shelves: Shelves }
  | { readonly ok: false; readonly reasons: readonly string[] }

/** Opens a backup: its shape and its check sum must both be right. */
export async function openBackup(text: string): Promise<OpenedBackup> {
  const read = readBackup(text)
  if (!read.ok) return { ok: false, reasons: read.problems.slice(0, 8).map((problem) => problem.text) }
  if ((await sha256(read.checked)) !== read.sha256)
    return {
      ok: false,
      reasons: ['The check sum does not fit the content: the file was changed or damaged.'],
    }
  return { ok: true, madeAt: read.madeAt, shelves: read.shelves }
}

export async function previewRestore(shelves: Shelves, way: 'merge' | 'replace'): Promise<ShelfChange[]> {
  return restorePreview(await readShelves(), shelves, way)
}

/** Puts a backup on the shelves, all of it or nothing: stopped or closed in the middle, everything is as it was before. */
export async function restore(shelves: Shelves, way: 'merge' | 'replace'): Promise<Kept> {
  try {
    const changes = restorePreview(await readShelves(), shelves, way)
    const jobs = changes
      .filter(({ shelf }) => shelf === 'plans')
      .flatMap(({ added, changed, removed }) => [...added, ...changed, ...removed])
    await inOneGo([...SHELF_NAMES, 'revisions', 'removed'], async (going) => {
      const words = way === 'merge' ? 'A backup merged' : 'Everything replaced by a backup'
      await rememberIn(
        going,
        words,
        new Date().toISOString(),
        changes.flatMap(({ shelf, added, changed, removed }) =>
          [...added, ...changed, ...removed].map((key) => [shelf, key] as const),
        ),
      )
      // Who has one of these jobs open knows an older writing of it.
      await nextRevisions(going, jobs)
      for (const { shelf, added, changed, removed } of changes) {
        for (const key of [...added, ...changed]) going.put(shelf, key, shelves[shelf][key])
        for (const key of removed) going.remove(shelf, key)
      }
    })
    tellAllKept(jobs)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}
