import { type LogEvent, logEventSchema, united } from '@/core/api/fit'
import { announceSaved } from './saved-elsewhere'
import { rememberIn, type ShelfPlace } from './removed'
import { logShelf } from './database'
import { whyNotSaved, type SaveResult } from './save-result'
import { allOn, transaction, type Tx } from './database'
import { mustWait, waitsNoMore } from './waiting'

/** Events this browser refused to store, by their keys: they live as long as the page does, and are written with the next write that succeeds. */
const unsaved = new Map<string, LogEvent>()
const WAITING = 'log'

/** Each event is an entry of its own, so that a write is whole or not there; its key sorts by time and then by turn. */
const keyOf = (event: LogEvent, turn: number) =>
  `${event.vehicleId}/${event.at}/${String(turn).padStart(6, '0')}/${event.id}`

let turn = 0

/** Those entries that read, of some as they lie; one that no longer reads is left where it is. */
export const eventsIn = (raw: readonly unknown[]): LogEvent[] =>
  raw.flatMap((each) => {
    const read = logEventSchema.safeParse(each)
    return read.success ? [read.data] : []
  })

/** What could not be stored yet. */
export const unsavedEvents = (): readonly LogEvent[] => [...unsaved.values()]

/** All events in their order. */
export async function loadEvents(): Promise<LogEvent[]> {
  const all = [...(await allOn('log'))].map(([key, raw]) => ({ key: key.slice(key.indexOf('/')), raw }))
  // Entries from before events had turns keep the order of their keys: the sort of all is stable.
  all.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0))
  return united(eventsIn(all.map(({ raw }) => raw)), unsavedEvents())
}

/** Puts a whole log where none is: one that is there, however short, stays as it is. */
export async function saveEventsIfMissing(events: readonly LogEvent[]): Promise<SaveResult> {
  try {
    if ((await logShelf.length()) > 0) return { ok: true }
    await transaction(['log'], ({ put }) => {
      for (const [i, event] of events.entries()) put('log', keyOf(event, i), event)
      return Promise.resolve()
    })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}

type Entry = readonly [key: string, event: LogEvent]

/** Events with the keys under which each is an entry of its own. */
const entriesOf = (events: readonly LogEvent[]): readonly Entry[] =>
  events.map((event) => {
    turn += 1
    return [keyOf(event, turn), event]
  })

function entriesIn({ put }: Tx, entries: readonly Entry[]): void {
  for (const [key, event] of entries) put('log', key, event)
}

/** Writes events that came from another device beside what the log holds, with all else that came along; all of it can be taken back. */
export async function recordImport(
  tx: Tx,
  what: string,
  events: readonly LogEvent[],
  along: readonly ShelfPlace[] = [],
): Promise<void> {
  const entries = entriesOf(events)
  const places = entries.map(([key]): ShelfPlace => ['log', key])
  await rememberIn(tx, what, new Date().toISOString(), [...along, ...places])
  entriesIn(tx, entries)
}

/** Takes in events of another device under the name of their file, all of them or none; they can be taken back. */
export async function importEvents(events: readonly LogEvent[], name: string): Promise<SaveResult> {
  try {
    await transaction(['log', 'removed'], (tx) => recordImport(tx, `Log imported: ${name}`, events))
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
  announceSaved({ shelf: 'log' })
  return { ok: true }
}

/** Writes entries with all that wait, in one go: what was written once is never written twice, nor over. */
async function write(entries: readonly Entry[]): Promise<SaveResult> {
  const all = [...unsaved, ...entries]
  try {
    await transaction(['log'], (tx) => {
      entriesIn(tx, all)
      return Promise.resolve()
    })
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
  for (const [key] of all) unsaved.delete(key)
  if (unsaved.size === 0) waitsNoMore(WAITING)
  announceSaved({ shelf: 'log' })
  return { ok: true }
}

/** Adds events to the log, all of them or none; nothing that is in it is ever written over. What cannot be stored waits. */
export async function saveEvents(events: readonly LogEvent[]): Promise<SaveResult> {
  if (events.length === 0) return { ok: true }
  const entries = entriesOf(events)
  const saved = await write(entries)
  if (!saved.ok) {
    for (const [key, event] of entries) unsaved.set(key, event)
    const what = unsaved.size === 1 ? 'one entry of the log' : `${unsaved.size} entries of the log`
    mustWait(WAITING, { what, reason: saved.reason, again: () => write([]) })
  }
  return saved
}
