/** Computes a thing when it is first asked for, and never again. */
export function once<T>(compute: () => T): () => T {
  let known: { readonly value: T } | undefined
  return () => (known ??= { value: compute() }).value
}
