/** The sizes of gear, with what hangs under it and stands over it. */
export const GEAR_SIZES = /^(lengthMm|widthMm|heightMm|standMm|hangsMm|risesMm|contactsMm|opens)\b/

/** How high everything stands: the roof, what bars stand on, the bars. */
export const HEIGHTS = {
  vehicle: /^(heightMm|roof\.skinZMm|roof\.crownMm)$/,
  attachment: /^(topZMm|seatZMm|riseMm)$/,
  rack: /^(deck\.heightMm|topZMm)$/,
  bar: /^(riseMm|profile\.heightMm)$/,
} as const
