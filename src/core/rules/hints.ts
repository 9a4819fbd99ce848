/** The spread that most gear likes, 24 to 36 in: a house hint, never a rule. Common practice, no source. mm. */
export const LIKED_SPREAD_MM = { from: 609.6, to: 914.4 } as const
