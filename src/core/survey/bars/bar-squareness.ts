/** How two bars that should be parallel stand to each other. */
interface Squareness {
  /** From parallel, degrees; positive when the right side is the wider. */
  readonly skewDeg: number
  /** How far one end must move to make them parallel, mm. */
  readonly moveMm: number
}

/**
 * The skew of two bars from the spread measured on either side, centre to centre, and the distance between the two
 * places of measuring across the vehicle. mm. Handbook: the angle whose tangent is the difference over that distance.
 */
export function squareness(leftMm: number, rightMm: number, acrossMm: number): Squareness {
  const difference = rightMm - leftMm
  return {
    skewDeg: acrossMm > 0 ? (Math.atan(difference / acrossMm) * 180) / Math.PI : 0,
    moveMm: Math.abs(difference),
  }
}
