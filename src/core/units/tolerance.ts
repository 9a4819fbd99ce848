/**
 * The one table of tolerances: what may differ by rounding alone, between two unit systems or between a plan and its
 * mirror image. None of them is the shop's or a maker's; those are figures of the plan.
 */
export const TOLERANCE = {
  /** Of a mass against a figure, relative: 36 lb + 114 lb on 150 lb is full, not over. */
  mass: 1e-6,
  /** Of a length against a bound, mm: half of 1/32 in, to which a tape is read and a sheet is rounded at best. */
  lengthMm: 0.4,
  /** Of a gap that was computed against the gap that is wanted: nobody reads it off a tape. mm */
  gapMm: 0.05,
  /** Of a bolt, a slot or a section, which are made closer than a tape reads, mm. */
  partMm: 0.05,
  /** Of an angle, degrees. */
  angleDeg: 1e-6,
  /** Of a share or a mass that should be nought, kg. */
  noughtKg: 1e-9,
} as const

/** Whether a mass is over a limit (both kg): equal is within it. */
export function exceeds(kg: number, limitKg: number): boolean {
  return kg > limitKg * (1 + TOLERANCE.mass) + TOLERANCE.noughtKg
}

/** Whether a length falls short of what it must be at least (both mm): equal is enough. */
export function shortOf(haveMm: number, leastMm: number): boolean {
  return haveMm < leastMm - TOLERANCE.lengthMm
}

/** Up to a whole millimetre, so that what is proposed can be set with a tape and still clears. */
export const upToMm = (value: number) => Math.ceil(value - 1e-6)
