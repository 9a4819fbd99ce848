import {
  checkedText,
  type Differing,
  differingIn,
  type Pasts,
  printBackup,
  readBackup,
  restorePreview,
  SHELF_NAMES,
  type ShelfChange,
  type Shelves,
} from '@/core/api/files'
import { own } from '@/core/api/plan'
import { announceAllSaved } from './saved-elsewhere'
import { historyIn, loadPasts } from './history'
import { nextRevisions } from './plans'
import { rememberIn } from './removed'
import { allOn, transaction } from './database'
import { sha256 } from './sha256'
import { whyNotSaved, type SaveResult } from './save-result'

/** Everything on every shelf, as it is stored. */
export async function readShelves(): Promise<Shelves> {
  const entries = SHELF_NAMES.map(async (name) => [name, Object.fromEntries(await allOn(name))] as const)
  return Object.fromEntries(await Promise.all(entries)) as Shelves
}

/** A backup of everything as the text of one file. */
export async function backupText(madeAt: string): Promise<string> {
  const [shelves, pasts] = [await readShelves(), await loadPasts()]
  return printBackup(shelves, pasts, madeAt, await sha256(checkedText(shelves, pasts)))
}

type OpenedBackup =
  | { readonly ok: true; readonly madeAt: string; readonly shelves: Shelves; readonly pasts: Pasts }
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
  const { madeAt, shelves, pasts } = read
  return { ok: true, madeAt, shelves, pasts }
}

export interface RestorePreview {
  readonly changes: readonly ShelfChange[]
  readonly differing: readonly Differing[]
}

/** What restoring would do to each shelf, and what is here otherwise than in the backup, with which of the two is newer. */
export async function previewRestore(
  shelves: Shelves,
  pasts: Pasts,
  way: 'merge' | 'replace',
): Promise<RestorePreview> {
  const [here, own] = [await readShelves(), await loadPasts()]
  const changes = restorePreview(here, shelves, way)
  return { changes, differing: differingIn(changes, here, shelves, { here: own, backup: pasts }) }
}

/** Names an entry among those that stay as they are here. */
export const placeOf = ({ shelf, key }: Pick<Differing, 'shelf' | 'key'>): string => `${shelf}/${key}`

/**
 * Puts a backup on the shelves, all of it or nothing: stopped or closed in the middle, everything is as it was before.
 * What is among `staying` is left as it is here.
 */
export async function restore(
  shelves: Shelves,
  way: 'merge' | 'replace',
  pasts: Pasts = {},
  staying: ReadonlySet<string> = new Set(),
  told?: (done: number, of: number) => void,
): Promise<SaveResult> {
  try {
    const changes = restorePreview(await readShelves(), shelves, way).map((change) => ({
      ...change,
      changed: change.changed.filter((key) => !staying.has(placeOf({ shelf: change.shelf, key }))),
    }))
    const jobs = changes
      .filter(({ shelf }) => shelf === 'plans')
      .flatMap(({ added, changed, removed }) => [...added, ...changed, ...removed])
    await transaction(
      [...SHELF_NAMES, 'revisions', 'removed', 'history'],
      async (tx) => {
        const words = way === 'merge' ? 'A backup merged' : 'Everything replaced by a backup'
        await rememberIn(tx, words, new Date().toISOString(), [
          ...changes.flatMap(({ shelf, added, changed, removed }) =>
            [...added, ...changed, ...removed].map((key) => [shelf, key] as const),
          ),
          ...jobs.map((id) => ['history', id] as const),
        ])
        // Who has one of these jobs open knows an older writing of it.
        const revisions = await nextRevisions(tx, jobs)
        for (const { shelf, added, changed, removed } of changes) {
          for (const key of [...added, ...changed]) tx.put(shelf, key, own(shelves[shelf], key))
          for (const key of removed) tx.remove(shelf, key)
        }
        for (const [id, revision] of revisions) historyIn(tx, id, revision, own(pasts, id) ?? [])
      },
      told,
    )
    announceAllSaved(jobs)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}
