/** Readings as they come, and the one that stands once they hold still: kg or N·m. */
interface Settling {
  readonly last: readonly number[]
  readonly settled: number | undefined
}

export const UNSETTLED: Settling = { last: [], settled: undefined }
const HOLD = 5

/** Takes one more reading; when the last five lie within `within` of each other, their middle has settled. */
export function settle({ last }: Settling, value: number, within: number): Settling {
  const kept = [...last, value].slice(-HOLD)
  const sorted = kept.toSorted((a, b) => a - b)
  const still = kept.length === HOLD && (sorted.at(-1) ?? 0) - (sorted[0] ?? 0) <= within
  return { last: kept, settled: still ? sorted[Math.floor(HOLD / 2)] : undefined }
}

/** The most that was reached: what a wrench's pull comes to. Begins again after it was let go. */
export function peak(before: number | undefined, value: number, letGoBelow: number): number | undefined {
  if (value < letGoBelow) return before
  return Math.max(before ?? 0, value)
}
