import { turned, type ThingAt } from '../frame/arrangement'

/** A thing's contacts as it lies, from its middle: along the vehicle and across it, mm. */
function contactsAsPlaced({ gear, turn }: ThingAt): { along: readonly number[]; across: readonly number[] } {
  const { contactsMm } = gear
  if (!contactsMm) return { along: [], across: [] }
  const along = contactsMm.along.map((x) => turned(x, 0, turn))
  const across = contactsMm.across.map((y) => turned(0, y, turn))
  return turn === 90 || turn === 270
    ? { along: across.map(([x]) => x), across: along.map(([, y]) => y) }
    : { along: along.map(([x]) => x), across: across.map(([, y]) => y) }
}

/**
 * Where a thing touches a bar, y in the vehicle frame (mm): its own contacts where its sheet gives them; else
 * its two sides, which is the widest it can stand.
 */
export function contactYs(thing: ThingAt): readonly number[] {
  const { box } = thing
  const middle = (box.y0 + box.y1) / 2
  const { across } = contactsAsPlaced(thing)
  return across.length > 0 ? across.map((y) => middle + y).sort((a, b) => a - b) : [box.y0, box.y1]
}

/** Whether the contacts are known, or only the sides of the box. */
export const contactsKnown = (thing: ThingAt): boolean => contactsAsPlaced(thing).across.length > 0
