const plain = (words: string) => words.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ')

/** Those whose name has every word that was typed, in their order; a plate reads the same however it is spaced. */
export function searchPalette<T extends { readonly name: string }>(
  all: readonly T[],
  typed: string,
): readonly T[] {
  const words = plain(typed).split(' ').filter(Boolean)
  if (words.length === 0) return all
  return all.filter(({ name }) => {
    const whole = plain(name).replaceAll(' ', '')
    return words.every((word) => whole.includes(word))
  })
}
