import { vi } from 'vitest'

type Write = 'put' | 'delete'
type Real = (this: IDBObjectStore, ...args: unknown[]) => never

/** Stands in for the browser's own way of writing; `meanwhile` may throw in its place, or end the whole. */
function instead(what: Write, meanwhile: (store: IDBObjectStore) => void) {
  const real = IDBObjectStore.prototype[what] as unknown as Real
  return vi.spyOn(IDBObjectStore.prototype, what as 'put').mockImplementation(function (
    this: IDBObjectStore,
    ...args: unknown[]
  ) {
    meanwhile(this)
    return real.apply(this, args)
  })
}

/** Makes the browser refuse to write to one shelf, or to take from it, however it is asked. */
export const refusing = (shelf: string, error: unknown, what: Write = 'put') =>
  instead(what, ({ name }) => {
    if (name === shelf) throw error
  })

/** Counts the writes to come, and at the one of that number does what is said instead. */
export function atWrite(
  number: number,
  does: (store: IDBObjectStore) => void,
): { readonly writes: () => number } {
  let count = 0
  const meanwhile = (store: IDBObjectStore) => {
    if (count++ === number) does(store)
  }
  instead('put', meanwhile)
  instead('delete', meanwhile)
  return { writes: () => count }
}
