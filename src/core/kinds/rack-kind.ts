interface RackKindTraits {
  /** As a form offers it. */
  readonly choice: string
  /** What one that somebody enters is called at first. */
  readonly name: string
}

/** What kinds of rack there are. */
export const RACK_KINDS = {
  bars: { choice: 'Bars on feet', name: 'Own rack' },
  platform: { choice: 'Platform on feet', name: 'Own rack' },
  bed: { choice: 'Bed rack', name: 'Own rack' },
  frame: { choice: 'Frame rack, the roof carries nothing', name: 'Own rack' },
  ladder: { choice: 'Ladder', name: 'Hatch ladder' },
} as const satisfies Record<string, RackKindTraits>
export type RackKind = keyof typeof RACK_KINDS
