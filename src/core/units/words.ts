/** Names as a sentence has them: “a, b and c”. */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`

/** The one word or the other, by whether there is one or several. */
export const plural = (count: number, one: string, several: string): string => (count === 1 ? one : several)

/** What belongs to a thing of this name: an s at its end takes no other. */
export const whose = (name: string): string => (/s$/i.test(name) ? `${name}’` : `${name}’s`)
