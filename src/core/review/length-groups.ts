/** The sizes of gear, with what hangs under it and stands over it. */
export const GEAR_SIZES = /^(lengthMm|widthMm|heightMm|standMm|hangsMm|risesMm|contactsMm|opens)\b/

/** What may turn how a panel or a pane passes what stands in its way, but for its own sizes. */
export const openingLengths = (obstacle: RegExp) =>
  ({
    of: {
      ...BOXES,
      obstacle,
      gear: GEAR_SIZES,
    },
    reach: 3,
    turnsBack: true,
  }) as const

/** How high everything stands: the roof, what bars stand on, the bars. */
export const HEIGHTS = {
  vehicle: /^(heightMm|roof\.skinZMm|roof\.crownMm)$/,
  attachment: /^(topZMm|seatZMm|riseMm)$/,
  rack: /^(deck\.heightMm|topZMm)$/,
  bar: /^(riseMm|profile\.heightMm)$/,
} as const

/** Where everything stands and how far bars and decks reach: what decides whether something stands in or over them. */
export const BOXES = {
  ...HEIGHTS,
  rack: /^(deck\.(length|width|height)Mm|topZMm)$/,
  bar: /^(riseMm|lengthMm|profile\.(width|height)Mm)$/,
} as const
