import { lengthOf, pointToSegment, sides, type Point2, type Segment } from './plane'

/**
 * A panel that turns about a hinge in the side view (x rearward, z up): its outline at rest as an open chain of
 * points, and how far it opens. `up` turns from rearward towards up, as a hatch does; `down` from up towards
 * rearward, as a tailgate does.
 */
export interface Swing {
  readonly hinge: Point2
  readonly panel: readonly Point2[]
  readonly opensDeg: number
  readonly direction: 'up' | 'down'
}

/** What a swing meets: where it first touches, and the least gap over its whole way. Degrees and mm. */
export type Swept =
  | { readonly kind: 'touches'; readonly atDeg: number; readonly point: Point2 }
  | { readonly kind: 'clears'; readonly gapMm: number; readonly nearest: Nearest }

/** Where the gap is least: the point of the panel and that of the rectangle, and how far it is open there. */
interface Nearest {
  readonly panel: Point2
  readonly box: Point2
  readonly atDeg: number
}

const RAD = Math.PI / 180
/** What stands this near a panel at rest touches it already. */
const REST_TOUCH_MM = 1e-6

/** A point turned about another; the angle runs from the first axis to the second. */
function turnAbout([x, y]: Point2, [cx, cy]: Point2, angleRad: number): Point2 {
  const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)]
  return [cx + (x - cx) * cos - (y - cy) * sin, cy + (x - cx) * sin + (y - cy) * cos]
}

const signOf = ({ direction }: Swing) => (direction === 'up' ? 1 : -1)

/** The panel opened by so many degrees. */
export function panelAt(swing: Swing, openDeg: number): readonly Point2[] {
  return swing.panel.map((point) => turnAbout(point, swing.hinge, signOf(swing) * openDeg * RAD))
}

/** The arc that a point draws: radius, where it starts, and how far it goes (radians, signed). */
interface Arc {
  readonly centre: Point2
  readonly radius: number
  readonly start: number
  readonly sweep: number
}

/** How far along an arc a direction lies, 0 to the sweep's size; nothing when the arc does not come by. */
function alongArc({ start, sweep }: Arc, angle: number): number | undefined {
  const turn = 2 * Math.PI
  const direction = Math.sign(sweep) || 1
  const gone = ((((angle - start) * direction) % turn) + turn) % turn
  if (gone <= Math.abs(sweep) + 1e-12) return Math.min(gone, Math.abs(sweep))
  return turn - gone < 1e-12 ? 0 : undefined
}

/** The angles (radians gone) at which an arc's point lies on a segment. */
function meetings(arc: Arc, { from, to }: Segment): number[] {
  const [fx, fy] = [from[0] - arc.centre[0], from[1] - arc.centre[1]]
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const a = dx * dx + dy * dy
  if (a < 1e-18) return []
  const b = fx * dx + fy * dy
  const root = b * b - a * (fx * fx + fy * fy - arc.radius * arc.radius)
  if (root < 0) return []
  const s = Math.sqrt(root)
  const met: number[] = []
  for (const t of [(-b - s) / a, (-b + s) / a]) {
    if (t < -1e-12 || t > 1 + 1e-12) continue
    const gone = alongArc(arc, Math.atan2(fy + t * dy, fx + t * dx))
    if (gone !== undefined) met.push(gone)
  }
  return met
}

const onArc = ({ centre, radius, start, sweep }: Arc, share: number): Point2 => {
  const angle = start + sweep * share
  return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)]
}

/** The nearest point of a segment. */
function footOn(point: Point2, { from, to }: Segment): Point2 {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const square = dx * dx + dy * dy
  const t =
    square < 1e-18
      ? 0
      : Math.min(1, Math.max(0, ((point[0] - from[0]) * dx + (point[1] - from[1]) * dy) / square))
  return [from[0] + t * dx, from[1] + t * dy]
}

interface ArcGap {
  readonly gap: number
  readonly onArc: Point2
  readonly onSegment: Point2
  /** How far along the arc, radians. */
  readonly gone: number
}

/** Least distance between an arc and a segment that do not meet, where it is less than `below`. */
function arcGap(arc: Arc, segment: Segment, below: number): ArcGap | undefined {
  const { centre, radius, sweep } = arc
  let best: ArcGap | undefined
  let least = below
  for (const share of [0, 1]) {
    const end = onArc(arc, share)
    const gap = pointToSegment(end, segment)
    if (gap < least) {
      least = gap
      best = { gap, onArc: end, onSegment: footOn(end, segment), gone: Math.abs(sweep) * share }
    }
  }
  for (const point of [footOn(centre, segment), segment.from, segment.to]) {
    const [x, y] = [point[0] - centre[0], point[1] - centre[1]]
    const distance = lengthOf(x, y)
    const gap = Math.abs(distance - radius)
    if (gap >= least) continue
    const gone = alongArc(arc, Math.atan2(y, x))
    if (gone === undefined) continue
    least = gap
    const share = distance === 0 ? 0 : radius / distance
    best = { gap, onArc: [centre[0] + x * share, centre[1] + y * share], onSegment: point, gone }
  }
  return best
}

const arcOf = (point: Point2, centre: Point2, sweep: number): Arc => ({
  centre,
  radius: lengthOf(point[0] - centre[0], point[1] - centre[1]),
  start: Math.atan2(point[1] - centre[1], point[0] - centre[0]),
  sweep,
})

const inside = ([x, y]: Point2, box: readonly Point2[]) => {
  const [a, , c] = box
  return a !== undefined && c !== undefined && x > a[0] && x < c[0] && y > a[1] && y < c[1]
}

/** The corners of an upright rectangle in order around it. */
export const rectangleCorners = (x0: number, z0: number, x1: number, z1: number): readonly Point2[] => [
  [x0, z0],
  [x1, z0],
  [x1, z1],
  [x0, z1],
]

function segmentsCross(a: Segment, b: Segment): boolean {
  const cross = (o: Point2, p: Point2, q: Point2) =>
    (p[0] - o[0]) * (q[1] - o[1]) - (p[1] - o[1]) * (q[0] - o[0])
  const [d1, d2] = [cross(b.from, b.to, a.from), cross(b.from, b.to, a.to)]
  const [d3, d4] = [cross(a.from, a.to, b.from), cross(a.from, a.to, b.to)]
  return d1 * d2 < 0 && d3 * d4 < 0
}

/** Whether two figures lie apart along an axis, by more than what counts as touching. */
function distanceAlong(a: readonly Point2[], b: readonly Point2[], axis: 0 | 1): boolean {
  const span = (points: readonly Point2[]) => {
    let [low, high] = [Infinity, -Infinity]
    for (const point of points) {
      low = Math.min(low, point[axis])
      high = Math.max(high, point[axis])
    }
    return { low, high }
  }
  const [ours, theirs] = [span(a), span(b)]
  return Math.max(ours.low - theirs.high, theirs.low - ours.high) > REST_TOUCH_MM
}

/** Where a panel at rest touches a rectangle already. */
function restTouch(
  panel: readonly Point2[],
  panelSides: readonly Segment[],
  box: readonly Point2[],
  boxSides: readonly Segment[],
): Point2 | undefined {
  if (distanceAlong(panel, box, 0) || distanceAlong(panel, box, 1)) return undefined
  const within = panel.find((point) => inside(point, box))
  if (within) return within
  for (const side of panelSides)
    for (const edge of boxSides) {
      if (segmentsCross(side, edge)) return side.from
      const touching =
        [edge.from, edge.to].find((corner) => pointToSegment(corner, side) < REST_TOUCH_MM) ??
        [side.from, side.to].find((point) => pointToSegment(point, edge) < REST_TOUCH_MM)
      if (touching) return touching
    }
  return undefined
}

/**
 * What a swing meets on its way: exact, by the arcs that the panel's points draw against the rectangle's sides
 * and, the other way round, by those the rectangle's corners draw against the panel. Touching counts as touching.
 * Handbook: rotation about a point; nearest points of an arc and a segment.
 */
export function sweepAgainst(
  swing: Swing,
  [x0, z0, x1, z1]: readonly [number, number, number, number],
): Swept {
  const box = rectangleCorners(x0, z0, x1, z1)
  const boxSides = sides(box, true)
  const panelSides = sides(swing.panel, false)
  const touching = restTouch(swing.panel, panelSides, box, boxSides)
  if (touching) return { kind: 'touches', atDeg: 0, point: touching }
  const sweep = signOf(swing) * swing.opensDeg * RAD
  const reach = reachOf(swing)
  let first: { gone: number; point: Point2 } | undefined
  let gap = Infinity
  let nearest: Nearest = { panel: swing.hinge, box: box[0] ?? swing.hinge, atDeg: 0 }
  const direction = Math.sign(sweep)
  const take = (gone: number, point: Point2) => {
    if (first === undefined || gone < first.gone) first = { gone, point }
  }
  const away = distanceToBox(swing.hinge, [x0, z0, x1, z1])
  // From the panel's far end back: it comes nearest to most things, and then the rest need no look.
  for (const point of swing.panel.toReversed()) {
    const arc = arcOf(point, swing.hinge, sweep)
    if (away - arc.radius > gap) continue
    for (const side of boxSides) {
      for (const gone of meetings(arc, side)) take(gone, turnAbout(point, swing.hinge, direction * gone))
      const closer = first ? undefined : arcGap(arc, side, gap)
      if (!closer) continue
      gap = closer.gap
      nearest = { panel: closer.onArc, box: closer.onSegment, atDeg: closer.gone / RAD }
    }
  }
  for (const corner of box) {
    if (first === undefined && lengthOf(corner[0] - swing.hinge[0], corner[1] - swing.hinge[1]) - reach > gap)
      continue
    const arc = arcOf(corner, swing.hinge, -sweep)
    for (const panel of panelSides) {
      for (const gone of meetings(arc, panel)) take(gone, corner)
      const closer = first ? undefined : arcGap(arc, panel, gap)
      if (!closer) continue
      gap = closer.gap
      nearest = {
        panel: turnAbout(closer.onSegment, swing.hinge, direction * closer.gone),
        box: corner,
        atDeg: closer.gone / RAD,
      }
    }
  }
  return first
    ? { kind: 'touches', atDeg: first.gone / RAD, point: first.point }
    : { kind: 'clears', gapMm: gap, nearest }
}

/** How far the panel reaches from its hinge, mm. */
function reachOf({ hinge, panel }: Swing): number {
  return panel.reduce((most, [x, z]) => Math.max(most, lengthOf(x - hinge[0], z - hinge[1])), 0)
}

const distanceToBox = ([x, z]: Point2, [x0, z0, x1, z1]: readonly [number, number, number, number]): number =>
  lengthOf(Math.max(0, x0 - x, x - x1), Math.max(0, z0 - z, z - z1))

/** Whether a rectangle lies so far from the hinge that the swing cannot come within a gap of it. */
export function outOfReach(
  swing: Swing,
  [x0, z0, x1, z1]: readonly [number, number, number, number],
  gapMm: number,
): boolean {
  return distanceToBox(swing.hinge, [x0, z0, x1, z1]) > reachOf(swing) + gapMm
}

/**
 * How far forward (mm, up to `atMost`) a rectangle must go for a swing to pass it with a gap; 0 when it does
 * already, nothing when no such shift is enough. Found by halving to 0.02 mm.
 */
export function shiftToClear(
  swing: Swing,
  [x0, z0, x1, z1]: readonly [number, number, number, number],
  gapMm: number,
  atMost = 3000,
): number | undefined {
  const clears = (by: number) => {
    const box = [x0 - by, z0, x1 - by, z1] as const
    if (outOfReach(swing, box, gapMm)) return true
    const swept = sweepAgainst(swing, box)
    return swept.kind === 'clears' && swept.gapMm >= gapMm - 1e-9
  }
  if (clears(0)) return 0
  if (!clears(atMost)) return undefined
  let low = 0
  let high = atMost
  // Most shifts are short: a short one that clears spares most of the halving.
  for (const guess of [60, 250, 800]) {
    if (guess >= high) break
    if (clears(guess)) {
      high = guess
      break
    }
    low = guess
  }
  while (high - low > 0.02) {
    const middle = (low + high) / 2
    if (clears(middle)) high = middle
    else low = middle
  }
  return high
}
