/** The spread that most gear likes: a house hint, never a rule. Common practice, no source. mm. */
export const LIKED_SPREAD_MM = { from: 600, to: 900 } as const
/** The least share of a long load's length that its supports should span. Common practice, no source. */
export const LEAST_SPAN_SHARE = 1 / 3
/** From here on a load is long: it wants its supports apart, and lines at its ends. Common practice, no source. mm. */
export const LONG_LOAD_MM = 2400
