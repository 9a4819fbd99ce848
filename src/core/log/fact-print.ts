/** A value as text, whatever the order in which its fields were written; some fields left out by name. */
export const factText = (value: unknown, without: ReadonlySet<string> = new Set()): string =>
  JSON.stringify(value, (key, each: unknown) => {
    if (without.has(key)) return undefined
    return typeof each === 'object' && each !== null && !Array.isArray(each)
      ? Object.fromEntries(Object.entries(each).sort(([a], [b]) => (a < b ? -1 : 1)))
      : each
  })

/** A short mark of a long text (FNV-1a, 32 bit): equal texts have equal marks. */
export function printOf(text: string): string {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return (hash >>> 0).toString(16)
}
