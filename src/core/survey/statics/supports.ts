/** What part of a load one support takes, as a line over where the load sits (mm): `at0 + perMm · at`. */
export interface ShareLine {
  readonly at0: number
  readonly perMm: number
}

/**
 * What part of a rigid load each of several supports in a line takes, as lines over the load's place:
 * kᵢ·(1/K + (xᵢ − x̄)(at − x̄)/Σkⱼ(xⱼ − x̄)²), with K = Σk and x̄ weighted by k. Equal stiffnesses where none are
 * given (any unit, only their ratios count). For two supports it is the lever rule, whatever they weigh. Supports
 * all at one place share by stiffness alone, and the offset is then not theirs to say.
 * Handbook: rigid body on springs, from memory.
 */
export function supportLines(positions: readonly number[], stiffness?: readonly number[]): ShareLine[] {
  const k = positions.map((_, i) => stiffness?.[i] ?? 1)
  const total = k.reduce((sum, each) => sum + each, 0)
  const mean = positions.reduce((sum, x, i) => sum + (k[i] ?? 1) * x, 0) / total
  const spread = positions.reduce((sum, x, i) => sum + (k[i] ?? 1) * (x - mean) ** 2, 0)
  return positions.map((x, i) => {
    const own = k[i] ?? 1
    const perMm = spread < 1e-9 * total ? 0 : (own * (x - mean)) / spread
    return { at0: own / total - perMm * mean, perMm }
  })
}

/** Such a share for a load that sits at `at` (mm). Negative is uplift; all of them sum to 1. */
export const shareAt = ({ at0, perMm }: ShareLine, at: number): number => at0 + perMm * at

/** What part of a load at `at` (mm) each of several supports in a line takes. */
export function supportShares(
  positions: readonly number[],
  at: number,
  stiffness?: readonly number[],
): number[] {
  return supportLines(positions, stiffness).map((line) => shareAt(line, at))
}
