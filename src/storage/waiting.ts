import type { SaveResult } from './save-result'

/** Something this browser refused to keep: until it is kept after all it is in this page alone. */
export interface Waiting {
  /** What it is, in words for the bar of every screen. */
  readonly what: string
  readonly reason: string
  /** Keeps it after all, beside whatever others have kept meanwhile. */
  readonly again: () => Promise<SaveResult>
}

let waiting: ReadonlyMap<string, Waiting> = new Map()
const listeners = new Set<() => void>()

function now(next: ReadonlyMap<string, Waiting>): void {
  waiting = next
  for (const listener of listeners) listener()
}

/** What is in this page alone, by a key of its own; the same map until that changes. */
export const allWaiting = (): ReadonlyMap<string, Waiting> => waiting

/** Hears when something must wait or is kept after all; stop listening with what it gives back. */
export function whenWaiting(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Says that something could not be kept; the newest of a key takes the place of the one before it. */
export const mustWait = (key: string, what: Waiting): void => now(new Map(waiting).set(key, what))

/** Says that something is kept after all, or is wanted no more. */
export function waitsNoMore(key: string): void {
  if (!waiting.has(key)) return
  const next = new Map(waiting)
  next.delete(key)
  now(next)
}

let trying: Promise<void> | undefined

async function tryEach(): Promise<void> {
  for (const [key, held] of waiting) {
    if (waiting.get(key) !== held) continue
    const saved = await held.again().catch((): SaveResult => ({ ok: false, reason: held.reason }))
    // It may have been typed on meanwhile: then the newer one waits.
    if (waiting.get(key) !== held) continue
    if (saved.ok) waitsNoMore(key)
    else if (saved.reason !== held.reason) mustWait(key, { ...held, reason: saved.reason })
  }
}

/** Says that something was kept: whoever kept it says first what waits no more, and then all that waits is tried. */
export function retryWaiting(): void {
  if (waiting.size > 0 && !trying) setTimeout(() => void saveAllWaiting(), 0)
}

/** Tries to keep all that waits, one after the other. */
export function saveAllWaiting(): Promise<void> {
  if (waiting.size === 0) return Promise.resolve()
  trying ??= tryEach().finally(() => (trying = undefined))
  return trying
}
