import type { ThingAt } from '@/core'

/** Whether a thing looks the same as it did: each survey makes new objects, and most things have not moved. */
export function sameThing(a: ThingAt, b: ThingAt): boolean {
  return (
    a.gear === b.gear &&
    a.turn === b.turn &&
    a.placement.onEdge === b.placement.onEdge &&
    a.box.x0 === b.box.x0 &&
    a.box.x1 === b.box.x1 &&
    a.box.y0 === b.box.y0 &&
    a.box.y1 === b.box.y1 &&
    a.box.z0 === b.box.z0 &&
    a.box.z1 === b.box.z1
  )
}
