/** What somebody has seen in a channel before it is loaded: so far from its low end, mm, and whether it slides. */
export interface Contents {
  readonly what: string
  readonly fromLowMm: number
  readonly fixed: boolean
}
