/**
 * Coarse metric threads in mm: pitch (ISO 261), height of a full nut (ISO 4032, the greatest), thickness of a
 * plain washer (ISO 7089). From memory.
 */
const THREAD: Readonly<Record<string, { pitchMm: number; nutMm: number; washerMm: number }>> = {
  M5: { pitchMm: 0.8, nutMm: 4.7, washerMm: 1 },
  M6: { pitchMm: 1, nutMm: 5.2, washerMm: 1.6 },
  M8: { pitchMm: 1.25, nutMm: 6.8, washerMm: 1.6 },
  M10: { pitchMm: 1.5, nutMm: 8.4, washerMm: 2 },
  M12: { pitchMm: 1.75, nutMm: 10.8, washerMm: 2.5 },
}

/** The lengths bolts come in, mm: ISO 888, from memory. */
const STANDARD_LENGTHS_MM = [
  10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100, 110, 120, 130, 140, 150,
] as const

export const LONGEST_STANDARD_MM = 150

interface BoltNeed {
  readonly washerMm: number
  readonly neededMm: number
  /** The next standard length up; nothing when none is long enough. */
  readonly standardMm: number | undefined
}

/**
 * How long a bolt must be to hold a stack (mm): stack + washer + nut + two threads clear, and the next standard
 * length up. A sheet may give the height of its nut and how many washers are under it. Nothing for a thread that is not in
 * the table. Common practice, no source; sizes by ISO, from memory.
 */
export function boltNeed(
  thread: string,
  stackMm: number,
  { nutMm, washers = 1 }: { readonly nutMm?: number | undefined; readonly washers?: number } = {},
): BoltNeed | undefined {
  const sizes = THREAD[thread]
  if (!sizes) return undefined
  const neededMm = stackMm + washers * sizes.washerMm + (nutMm ?? sizes.nutMm) + 2 * sizes.pitchMm
  return {
    washerMm: sizes.washerMm,
    neededMm,
    standardMm: STANDARD_LENGTHS_MM.find((length) => length >= neededMm - 1e-9),
  }
}
