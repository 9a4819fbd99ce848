/** Computes a value at its first use, once. */
export function lazy<T>(compute: () => T): () => T {
  let cached: { readonly value: T } | undefined
  return () => (cached ??= { value: compute() }).value
}

/** Computes a value of two objects once, and keeps it as long as both objects exist. */
export function memoOfPair<A extends object, B extends object, T>(
  compute: (a: A, b: B) => T,
): (a: A, b: B) => T {
  const cached = new WeakMap<A, WeakMap<B, { readonly value: T }>>()
  return (a, b) => {
    let ofA = cached.get(a)
    if (!ofA) {
      ofA = new WeakMap()
      cached.set(a, ofA)
    }
    const before = ofA.get(b)
    if (before) return before.value
    const value = compute(a, b)
    ofA.set(b, { value })
    return value
  }
}

/** A computed value with the inputs that it was computed from. */
interface Memoized<T> {
  readonly on: readonly unknown[]
  readonly value: T
}

/** A value that is computed at its first use. */
export interface Memo<T> {
  (): T
  /** The present value, or the one that was taken over from before. */
  readonly known: () => Memoized<T> | undefined
  /** Whether it was computed. */
  readonly isKnown: () => boolean
}

/** Whether two lists have identical items. */
export const sameItems = <T>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length && a.every((each, i) => each === b[i])

/**
 * Computes a value at its first use. The value of before is reused as long as its inputs are identical. The inputs are
 * read no earlier than the value.
 */
export function memo<T>(
  before: Memo<T> | undefined,
  on: () => readonly unknown[],
  compute: () => T,
): Memo<T> {
  let was = before?.known()
  let cached: Memoized<T> | undefined
  const get = () => {
    if (!cached) {
      const inputs = on()
      cached = was && sameItems(was.on, inputs) ? was : { on: inputs, value: compute() }
      was = undefined
    }
    return cached.value
  }
  const lasted = get as { (): T; known: Memo<T>['known']; isKnown: Memo<T>['isKnown'] }
  lasted.known = () => cached ?? was
  lasted.isKnown = () => cached !== undefined
  return lasted
}

/** The list of before, if its items are identical. */
export const reuseList = <T>(before: readonly T[] | undefined, list: readonly T[]): readonly T[] =>
  before && sameItems(before, list) ? before : list
