import type { Gear } from '../plan/gear'
import type { Placement } from '../plan/placement'
import { addTurns, thingAt, turned, type Arrangement, type ThingAt } from '../survey/frame/arrangement'

/**
 * A thing as it would stand, without putting it on the plan: on bars, on a deck or in a place of what is there
 * already. Nothing for what hangs on panels and ladders, which is placed by hand.
 */
export function trialThing(arrangement: Arrangement, gear: Gear, placement: Placement): ThingAt | undefined {
  const { host } = placement
  const stand = (gear.standMm ?? 0) + (placement.fitting?.adapter?.heightMm ?? 0)
  const base = { gear, placement, index: arrangement.things.length, turn: placement.turn, parent: undefined }
  const [x, y] = [placement.xMm, placement.yMm]
  if (host.on === 'bars') {
    let top = -Infinity
    for (const { bar, box } of arrangement.bars)
      if (box.z1 > top && host.barIds.includes(bar.id)) top = box.z1
    return top === -Infinity ? undefined : thingAt(base, { x, y, z: top + stand })
  }
  if (host.on === 'deck') {
    const rack = arrangement.racks.find((each) => each.rack.id === host.rackId)
    return rack && thingAt(base, { x, y, z: rack.topZMm + stand })
  }
  if (host.on !== 'place') return undefined
  const parent = arrangement.thingById.get(host.placementId)
  const place = parent?.gear.carries?.places.find((each) => each.id === host.placeId)
  if (!parent || !place) return undefined
  const [dx, dy] = turned(place.xMm + x, place.yMm + y, parent.turn)
  return thingAt(
    { ...base, parent, turn: addTurns(parent.turn, placement.turn) },
    {
      x: (parent.box.x0 + parent.box.x1) / 2 + dx,
      y: (parent.box.y0 + parent.box.y1) / 2 + dy,
      z: parent.box.z0 + place.zMm + stand,
    },
  )
}
