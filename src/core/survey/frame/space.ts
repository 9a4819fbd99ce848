import { TOLERANCE } from '../../units/tolerance'
import { packed, rootOf, turned, type ThingAt } from './arrangement'
import { reachInto, TOUCH_MM, type Box } from '../../geometry/boxes'
import { convexDepth, convexGap, type Point2 } from '../../geometry/plane'

type Corners = Pick<Box, 'x0' | 'x1' | 'y0' | 'y1'>

const cornersOf = ({ x0, x1, y0, y1 }: Corners): readonly Point2[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
]

/** The two pieces of a pair: one at either end of its own length, whichever way it lies. */
function piecesOf(box: Corners, pieceMm: number, isAlong: boolean): readonly Corners[] {
  const piece = Math.min(pieceMm, (isAlong ? box.x1 - box.x0 : box.y1 - box.y0) / 2)
  const { x0, x1, y0, y1 } = box
  return isAlong
    ? [
        { x0, x1: x0 + piece, y0, y1 },
        { x0: x1 - piece, x1, y0, y1 },
      ]
    : [
        { x0, x1, y0, y1: y0 + piece },
        { x0, x1, y0: y1 - piece, y1 },
      ]
}

/** A thing from above in the vehicle frame: its own outline where it has one, the two pieces of a pair, else its box. */
function planOutlines({ gear, box, turn, placement }: ThingAt): readonly (readonly Point2[])[] {
  if (gear.pieceMm !== undefined)
    return piecesOf(box, gear.pieceMm, turn === 0 || turn === 180).map(cornersOf)
  if (!gear.outlineMm || placement.onEdge) return [cornersOf(box)]
  const [x, y] = [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2]
  return [
    gear.outlineMm.map(({ xMm, yMm }): Point2 => {
      const [dx, dy] = turned(xMm, yMm, turn)
      return [x + dx, y + dy]
    }),
  ]
}

/** Two things that share space, or stand nearer than the house wants. mm. */
export type Near =
  | { readonly kind: 'overlap'; readonly a: ThingAt; readonly b: ThingAt; readonly intoMm: number }
  | { readonly kind: 'close'; readonly a: ThingAt; readonly b: ThingAt; readonly gapMm: number }

const related = (a: ThingAt, b: ThingAt): boolean => {
  for (let up: ThingAt | undefined = a.parent; up; up = up.parent) if (up === b) return true
  for (let up: ThingAt | undefined = b.parent; up; up = up.parent) if (up === a) return true
  return false
}

/** A thing's own clear width goes before the house's gap. mm. */
const gapBetween = (a: ThingAt, b: ThingAt, houseMm: number) =>
  Math.max(a.gear.fit.besideMm ?? houseMm, b.gear.fit.besideMm ?? houseMm)

/** Whether a thing takes less room seen from above than its box. */
const isFiner = ({ gear }: ThingAt) => gear.outlineMm !== undefined || gear.pieceMm !== undefined

function compare(a: ThingAt, b: ThingAt, houseMm: number): Near | undefined {
  const gapMm = gapBetween(a, b, houseMm)
  const into = reachInto(a.outer, b.outer)
  if (into.z <= TOUCH_MM || into.x < -gapMm || into.y < -gapMm) return undefined
  if (isFiner(a) || isFiner(b)) {
    const pairs = planOutlines(a).flatMap((one) => planOutlines(b).map((other) => [one, other] as const))
    const depth = Math.max(...pairs.map((pair) => convexDepth(...pair)))
    if (depth > TOUCH_MM) return { kind: 'overlap', a, b, intoMm: Math.min(depth, into.z) }
    const gap = Math.min(...pairs.map((pair) => convexGap(...pair)))
    return gap < gapMm - TOLERANCE.gapMm ? { kind: 'close', a, b, gapMm: gap } : undefined
  }
  if (into.x > TOUCH_MM && into.y > TOUCH_MM)
    return { kind: 'overlap', a, b, intoMm: Math.min(into.x, into.y, into.z) }
  const gap = Math.hypot(Math.max(0, -into.x), Math.max(0, -into.y))
  return gap < gapMm - TOLERANCE.gapMm ? { kind: 'close', a, b, gapMm: gap } : undefined
}

/** How one thing stands to every other that it could meet. */
export function nearThing(things: readonly ThingAt[], thing: ThingAt, gapMm: number): Near[] {
  if (packed(thing)) return []
  return things.flatMap((other) => {
    if (other === thing || other.placement.id === thing.placement.id) return []
    return related(thing, other) || packed(other) ? [] : (compare(thing, other, gapMm) ?? [])
  })
}

/**
 * Every two things that share space or stand nearer than the gap. Things on one carrier may stand close: only
 * sharing space counts there. Swept along x, so that what is far apart is never compared.
 */
export function nearOnes(things: readonly ThingAt[], houseMm: number): Near[] {
  const gapMm = Math.max(houseMm, ...things.map(({ gear }) => gear.fit.besideMm ?? 0))
  const open = things.filter((thing) => !packed(thing)).toSorted((a, b) => a.box.x0 - b.box.x0)
  const near: Near[] = []
  let active: ThingAt[] = []
  for (const thing of open) {
    active = active.filter(({ box }) => box.x1 > thing.box.x0 - gapMm)
    for (const other of active) {
      if (other.box.y0 > thing.box.y1 + gapMm || other.box.y1 < thing.box.y0 - gapMm) continue
      if (related(thing, other)) continue
      const [a, b] = other.index < thing.index ? [other, thing] : [thing, other]
      const found = compare(a, b, houseMm)
      if (found && (found.kind === 'overlap' || rootOf(a) !== rootOf(b))) near.push(found)
    }
    active.push(thing)
  }
  return near.sort((p, q) => p.a.index - q.a.index || p.b.index - q.b.index)
}
