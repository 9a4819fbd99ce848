/** Several who ask for the same in one moment are given one answer; who asks later has it read again. */
export function togetherNow<T>(read: () => Promise<T>): () => Promise<T> {
  let asked: Promise<T> | undefined
  return () => {
    if (asked) return asked
    asked = read()
    queueMicrotask(() => (asked = undefined))
    return asked
  }
}
