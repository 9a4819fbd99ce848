/** Computes a thing when it is first asked for, and never again. */
export function once<T>(compute: () => T): () => T {
  let known: { readonly value: T } | undefined
  return () => (known ??= { value: compute() }).value
}

/** Something computed when it is first asked for, with all that it hangs on. */
export interface Lasting<T> {
  (): T
  readonly on: readonly unknown[]
}

/** Whether two lists hold the very same. */
export const sameItems = <T>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length && a.every((each, i) => each === b[i])

/** What was computed before, as long as everything it hangs on is the very same; else it is computed anew when asked for. */
export function lasting<T>(
  before: Lasting<T> | undefined,
  on: readonly unknown[],
  compute: () => T,
): Lasting<T> {
  return before && sameItems(before.on, on) ? before : Object.assign(once(compute), { on })
}

/** The list before, where it has the very same in it. */
export const lastingList = <T>(before: readonly T[] | undefined, list: readonly T[]): readonly T[] =>
  before && sameItems(before, list) ? before : list
