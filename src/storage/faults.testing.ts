import { vi } from 'vitest'

type Write = 'put' | 'delete'
type Call = Write | 'get'
/** What becomes of a call: it may throw, end the whole, hang, or nothing. */
export type Meanwhile = (store: IDBObjectStore) => 'hangs' | undefined
type Real = (this: IDBObjectStore, ...args: unknown[]) => never

/** A request that is never answered: as long as one is open nothing of its transaction is kept, so others follow each other meanwhile. */
function unanswered(store: IDBObjectStore, get: Real): IDBRequest {
  const again = () => {
    try {
      const request: IDBRequest = get.call(store, 'asked again')
      request.onsuccess = again
    } catch {
      // The transaction was ended.
    }
  }
  again()
  return {} as IDBRequest
}

/** Stands in for the browser's own way; `meanwhile` may throw in its place, end the whole, or leave it unanswered. */
function instead(what: Call, meanwhile: Meanwhile) {
  const real = IDBObjectStore.prototype[what] as unknown as Real
  return vi.spyOn(IDBObjectStore.prototype, what as 'put').mockImplementation(function (
    this: IDBObjectStore,
    ...args: unknown[]
  ) {
    if (meanwhile(this) !== 'hangs') return real.apply(this, args)
    return unanswered(this, real) as never
  })
}

/** Makes the browser refuse to write to one shelf, or to take from it, however it is asked. */
export const refusing = (shelf: string, error: unknown, what: Write = 'put') =>
  instead(what, ({ name }) => {
    if (name === shelf) throw error
    return undefined
  })

/** Counts the calls of some kinds to come, and at the one of that number does what is said instead. */
export function atCall(
  kinds: readonly Call[],
  number: number,
  does: Meanwhile,
): { readonly calls: () => number } {
  let count = 0
  // What reads alone is in nobody's way: it counts where it is part of what writes.
  const meanwhile = (store: IDBObjectStore) =>
    store.transaction.mode === 'readwrite' && count++ === number ? does(store) : undefined
  for (const kind of kinds) instead(kind, meanwhile)
  return { calls: () => count }
}
