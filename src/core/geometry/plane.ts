export type Point2 = readonly [number, number]
export interface Segment {
  readonly from: Point2
  readonly to: Point2
}

/** The sides of a chain of points; a closed one also goes from the last back to the first. */
export function sides(points: readonly Point2[], closed: boolean): Segment[] {
  const list: Segment[] = []
  let from: Point2 | undefined
  for (const to of points) {
    if (from) list.push({ from, to })
    from = to
  }
  const [first] = points
  if (closed && from && first) list.push({ from, to: first })
  return list
}

/** Length of a way, in the unit of its parts. Millimetres of a vehicle are far from where squares run over, which is all that `Math.hypot` adds, slowly. */
export const lengthOf = (x: number, y: number): number => Math.sqrt(x * x + y * y)

/** Distance of a point from a segment. */
export function pointToSegment(point: Point2, { from, to }: Segment): number {
  const dx = to[0] - from[0]
  const dy = to[1] - from[1]
  const x = point[0] - from[0]
  const y = point[1] - from[1]
  const square = dx * dx + dy * dy
  const t = square === 0 ? 0 : Math.min(1, Math.max(0, (x * dx + y * dy) / square))
  return lengthOf(x - t * dx, y - t * dy)
}

/** How far two figures overlap along a direction; negative: apart. */
function overlapAlong(a: readonly Point2[], b: readonly Point2[], nx: number, ny: number): number {
  let [lowA, highA, lowB, highB] = [Infinity, -Infinity, Infinity, -Infinity]
  for (const point of a) {
    const along = point[0] * nx + point[1] * ny
    if (along < lowA) lowA = along
    if (along > highA) highA = along
  }
  for (const point of b) {
    const along = point[0] * nx + point[1] * ny
    if (along < lowB) lowB = along
    if (along > highB) highB = along
  }
  return Math.min(highA - lowB, highB - lowA)
}

/** How far two convex figures reach into each other along the direction in which that is least; negative: apart along one. */
export function convexDepth(a: readonly Point2[], b: readonly Point2[]): number {
  let least = Infinity
  for (const figure of [a, b]) {
    let from = figure.at(-1)
    for (const to of figure) {
      if (!from) break
      const [nx, ny] = [to[1] - from[1], from[0] - to[0]]
      const length = lengthOf(nx, ny)
      from = to
      if (length < 1e-12) continue
      least = Math.min(least, overlapAlong(a, b, nx / length, ny / length))
      if (least < 0) return least
    }
  }
  return least
}

/** Distance between two convex figures: 0 where they touch or overlap. */
export function convexGap(a: readonly Point2[], b: readonly Point2[]): number {
  if (convexDepth(a, b) >= 0) return 0
  let gap = Infinity
  for (const [points, figure] of [
    [a, b],
    [b, a],
  ] as const)
    for (const side of sides(figure, true))
      for (const point of points) gap = Math.min(gap, pointToSegment(point, side))
  return gap
}
