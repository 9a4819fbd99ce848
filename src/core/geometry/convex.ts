/** Whether corners in order around a figure make one convex figure, either way round: all turns alike, once around. */
export function isConvex(corners: readonly (readonly [number, number])[]): boolean {
  let sign = 0
  let turning = 0
  for (let i = 0; i < corners.length; i += 1) {
    const [a, b, c] = [corners[i], corners[(i + 1) % corners.length], corners[(i + 2) % corners.length]]
    if (!a || !b || !c) return false
    const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]]
    const turn = Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy)
    if (Math.abs(turn) < 1e-9) continue
    if (sign !== 0 && Math.sign(turn) !== sign) return false
    sign = Math.sign(turn)
    turning += turn
  }
  return Math.abs(Math.abs(turning) - 2 * Math.PI) < 1e-6
}
