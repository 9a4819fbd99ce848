/** Computes a thing when it is first asked for, and never again. */
export function lazy<T>(compute: () => T): () => T {
  let cached: { readonly value: T } | undefined
  return () => (cached ??= { value: compute() }).value
}

/** Computes a thing of two others once, for as long as anybody holds both. */
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

/** What was computed, and all that it hangs on. */
interface Memoized<T> {
  readonly on: readonly unknown[]
  readonly value: T
}

/** Something computed when it is first asked for. */
export interface Memo<T> {
  (): T
  /** What is known of it so far: its own, or what was taken over from before. */
  readonly known: () => Memoized<T> | undefined
  /** Whether it was asked for. */
  readonly isKnown: () => boolean
}

/** Whether two lists hold the very same. */
export const sameItems = <T>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length && a.every((each, i) => each === b[i])

/**
 * Computes a thing when it is first asked for; what was computed before stands as long as everything it hangs on is the
 * very same. What it hangs on is asked for no earlier than the thing itself.
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

/** The list before, where it has the very same in it. */
export const reuseList = <T>(before: readonly T[] | undefined, list: readonly T[]): readonly T[] =>
  before && sameItems(before, list) ? before : list
