import * as z from '@/core/units/schema'
import { announceAllSaved } from './saved-elsewhere'
import { ALL_SHELVES, pictureShelf } from './database'
import { whyNotSaved, type SaveResult } from './save-result'
import { allOn, transaction, keysOn, type Tx, type ShelfKey } from './database'

const KEPT_DAYS = 30
const DAY_MS = 86_400_000

const shelfKeys = Object.keys(ALL_SHELVES) as [ShelfKey, ...ShelfKey[]]

/** What stood on the shelves before something was taken away or put over it; nothing stood where it has no value. */
const removedSchema = z.object({
  what: z.string().check(z.maxLength(200)),
  at: z.iso.datetime(),
  was: z.array(z.object({ shelf: z.enum(shelfKeys), key: z.string(), value: z.optional(z.unknown()) })),
  /** It was taken away whole: what stands there when it is taken back came since. */
  away: z.optional(z.literal(true)),
  /** When it was first seen to be older than it is kept for. */
  overdue: z.optional(z.iso.datetime()),
})
type RemovedRecord = z.infer<typeof removedSchema>

/** Something that was taken away or put over, and can be taken back. */
export interface Removed {
  readonly id: string
  readonly what: string
  readonly at: string
  readonly count: number
}

export type ShelfPlace = readonly [shelf: ShelfKey, key: string]

/** Keeps what stands at some places, so that what is done to them next can be taken back. It reads before anything is written. */
export async function rememberIn(
  tx: Tx,
  what: string,
  at: string,
  places: readonly ShelfPlace[],
  away?: 'away',
): Promise<void> {
  const values = await Promise.all(places.map(([shelf, key]) => tx.get(shelf, key)))
  const was = places.map(([shelf, key], i) => {
    const value = values[i]
    return value === undefined ? { shelf, key } : { shelf, key, value }
  })
  removedIn(tx, what, at, was, away)
}

/** Puts something among what was removed, as it stood. */
export function removedIn(tx: Tx, what: string, at: string, was: RemovedRecord['was'], away?: 'away'): void {
  tx.put('removed', `${at}/${crypto.randomUUID()}`, {
    what: what.slice(0, 200),
    at,
    was,
    ...(away && { away: true }),
  } satisfies RemovedRecord)
}

/** Takes away the pictures that only what is gone for good speaks of: no job, no past and nothing that can be taken back. */
async function dropPicturesOf(gone: readonly string[]): Promise<void> {
  const named = (texts: readonly string[]) => (id: string) =>
    texts.some((text) => text.includes(JSON.stringify(id)))
  const pictures = (await keysOn('pictures')).filter(named(gone))
  if (pictures.length === 0) return
  const saved = await Promise.all((['plans', 'history', 'removed', 'settings'] as const).map(allOn))
  const wanted = named(saved.flatMap((shelf) => [...shelf.values()].map((value) => JSON.stringify(value))))
  await Promise.all(pictures.filter((id) => !wanted(id)).map((id) => pictureShelf.removeItem(id)))
}

/** All that can still be taken back, the latest first. Nothing is erased by looking. */
export async function loadRemoved(): Promise<Removed[]> {
  const found: Removed[] = []
  for (const [id, raw] of await allOn('removed')) {
    const read = removedSchema.safeParse(raw)
    if (!read.success) continue
    const { what, at, was } = read.data
    found.push({ id, what, at, count: was.filter(({ shelf }) => shelf !== 'history').length })
  }
  return found.sort((a, b) => b.at.localeCompare(a.at))
}

/**
 * Takes away for good what is older than thirty days by two looks at the clock at least a day apart: a clock that is
 * wrong once takes nothing away. `now` is the time in ms.
 */
export async function tidyRemoved(now: number): Promise<void> {
  const before = new Date(now - KEPT_DAYS * DAY_MS).toISOString()
  // The key begins with when it was removed.
  const old = (await keysOn('removed')).filter((key) => key < before)
  if (old.length === 0) return
  const gone = await transaction(['removed'], async ({ get, put, remove }) => {
    const found: string[] = []
    for (const key of old) {
      const read = removedSchema.safeParse(await get('removed', key))
      if (!read.success) continue
      const since = read.data.overdue === undefined ? -1 : now - Date.parse(read.data.overdue)
      if (since >= DAY_MS) {
        found.push(JSON.stringify(read.data.was))
        remove('removed', key)
      } else if (since < 0) put('removed', key, { ...read.data, overdue: new Date(now).toISOString() })
    }
    return found
  })
  if (gone.length > 0) await dropPicturesOf(gone)
}

type TakenBack = SaveResult | { readonly ok: false; readonly reason: string; readonly newer: true }

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

/**
 * Puts things back as they stood, in one go; what stands there now is kept in its turn, so that this too can be taken back.
 * Where something was taken away and is there again otherwise, nothing is put over it but by `over`.
 */
export async function restoreRemoved(id: string, at: string, over?: 'over'): Promise<TakenBack> {
  try {
    const names = [...shelfKeys]
    const jobs = await transaction(names, async (tx): Promise<readonly string[] | 'newer'> => {
      const read = removedSchema.safeParse(await tx.get('removed', id))
      if (!read.success) throw new Error('it is no longer there')
      const { what, was, away } = read.data
      if (away && !over) {
        const there = await Promise.all(was.map(({ shelf, key }) => tx.get(shelf, key)))
        const newer = was.some(
          ({ shelf, value }, i) => shelf !== 'history' && there[i] !== undefined && !same(there[i], value),
        )
        if (newer) return 'newer'
      }
      const revisions = was.filter(({ shelf }) => shelf === 'plans').map(({ key }) => `plans/${key}`)
      const numbers = await Promise.all(revisions.map((key) => tx.get('revisions', key)))
      await rememberIn(
        tx,
        `Restored: ${what}`,
        at,
        was.map(({ shelf, key }) => [shelf, key] as const),
      )
      for (const { shelf, key, value } of was)
        if (value === undefined) tx.remove(shelf, key)
        else tx.put(shelf, key, value)
      for (const [i, key] of revisions.entries()) {
        const revision = Number(numbers[i] ?? 0) + 1
        tx.put('revisions', key, revision)
        // The steps of a job lead back from it as it stood: they go with it to its new number.
        const past = was.find(({ shelf, key: id }) => shelf === 'history' && `plans/${id}` === key)?.value
        if (typeof past === 'object' && past !== null)
          tx.put('history', key.slice('plans/'.length), { ...past, revision })
      }
      tx.remove('removed', id)
      return was.filter(({ shelf }) => shelf === 'plans').map(({ key }) => key)
    })
    if (jobs === 'newer')
      return { ok: false, newer: true, reason: 'It exists again and has changed since it was removed.' }
    announceAllSaved(jobs)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}
