interface RackKindTraits {
  /** As a form offers it. */
  readonly choice: string
  /** What one that somebody enters is called at first. */
  readonly name: string
  /** Whether its bars can slide to a side in what holds them, so that their ends are measured. */
  readonly barsSlideAcross: boolean
  /** Whether its feet have covers of their own; other racks have locks where their sheet says so. */
  readonly feetCovered: boolean
}

/** What kinds of rack there are. */
export const RACK_KINDS = {
  bars: { choice: 'Bars on feet', name: 'Own rack', barsSlideAcross: true, feetCovered: true },
  platform: { choice: 'Platform on feet', name: 'Own rack', barsSlideAcross: false, feetCovered: true },
  bed: { choice: 'Bed rack', name: 'Own rack', barsSlideAcross: true, feetCovered: false },
  frame: {
    choice: 'Frame rack, the roof carries nothing',
    name: 'Own rack',
    barsSlideAcross: false,
    feetCovered: false,
  },
  ladder: { choice: 'Ladder', name: 'Hatch ladder', barsSlideAcross: false, feetCovered: false },
} as const satisfies Record<string, RackKindTraits>
export type RackKind = keyof typeof RACK_KINDS
