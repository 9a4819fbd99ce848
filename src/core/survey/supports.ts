/**
 * What part of a load each of several equal supports in a line takes, when the load is rigid and sits at
 * `at`: 1/n + (xᵢ − x̄)(at − x̄)/Σ(xⱼ − x̄)². For two supports it is the lever rule. Parts sum to 1; a negative
 * one is uplift. Supports all at one place share evenly, and the offset is then not theirs to say.
 * Handbook: rigid body on equal springs, from memory.
 */
export function supportShares(positions: readonly number[], at: number): number[] {
  const n = positions.length
  const mean = positions.reduce((sum, x) => sum + x, 0) / n
  const spread = positions.reduce((sum, x) => sum + (x - mean) ** 2, 0)
  return positions.map((x) => 1 / n + (spread < 1e-9 ? 0 : ((x - mean) * (at - mean)) / spread))
}
