/** A stretch of a text that says one thing, with where it begins. */
export interface Clause {
  readonly text: string
  readonly start: number
}

/** Points that end no sentence. */
const SHORT =
  /(?:\b(?:max|min|incl|excl|approx|ca|rev|p|pp|no|nr|e\.g|i\.e|resp|in|lb|lbs|ft|mm|fig|wt|cap)|\d)\.$/i

/** Sentences and lines: what stands in one belongs together. */
export function sentencesOf(text: string): Clause[] {
  const found: Clause[] = []
  let start = 0
  const end = (at: number) => {
    const piece = text.slice(start, at)
    const lead = piece.length - piece.trimStart().length
    if (piece.trim() !== '') found.push({ text: piece.trim(), start: start + lead })
    start = at
  }
  for (let i = 0; i < text.length; i += 1) {
    const sign = text[i]
    if (sign === '\n' || sign === ';' || sign === '•') end(i + 1)
    else if ((sign === '.' || sign === '!' || sign === '?') && /^\s/.test(text.slice(i + 1))) {
      const goesOn =
        sign === '.' && SHORT.test(text.slice(start, i + 1)) && !/^\s+[A-Z]/.test(text.slice(i + 1))
      if (!goesOn) end(i + 1)
    }
  }
  end(text.length)
  return found
}
