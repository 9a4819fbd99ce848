import { TOLERANCE } from '../../units/tolerance'
import { packed, rootOf, turned, type ThingAt } from './arrangement'
import { reachInto, TOUCH_MM } from '../../geometry/boxes'
import { convexDepth, convexGap, type Point2 } from '../../geometry/plane'

/** A thing from above in the vehicle frame: its own outline where it has one, else its box. */
function planOutline({ gear, box, turn, placement }: ThingAt): readonly Point2[] {
  if (!gear.outlineMm || placement.onEdge)
    return [
      [box.x0, box.y0],
      [box.x1, box.y0],
      [box.x1, box.y1],
      [box.x0, box.y1],
    ]
  const [x, y] = [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2]
  return gear.outlineMm.map(({ xMm, yMm }): Point2 => {
    const [dx, dy] = turned(xMm, yMm, turn)
    return [x + dx, y + dy]
  })
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

function compare(a: ThingAt, b: ThingAt, houseMm: number): Near | undefined {
  const gapMm = gapBetween(a, b, houseMm)
  const into = reachInto(a.outer, b.outer)
  if (into.z <= TOUCH_MM || into.x < -gapMm || into.y < -gapMm) return undefined
  if (a.gear.outlineMm || b.gear.outlineMm) {
    const [outlineA, outlineB] = [planOutline(a), planOutline(b)]
    const depth = convexDepth(outlineA, outlineB)
    if (depth > TOUCH_MM) return { kind: 'overlap', a, b, intoMm: Math.min(depth, into.z) }
    const gap = convexGap(outlineA, outlineB)
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
