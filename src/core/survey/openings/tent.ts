import type { Box } from '../../geometry/boxes'
import type { Opens } from '../../plan/schema/gear'
import type { Vehicle } from '../../plan/schema/vehicle'
import { roofZ, turned, type ThingAt } from '../frame/arrangement'
import { outlineTop, type BodyOutline } from '../frame/body/outline'

/** Side of the vehicle to which an opened tent reaches. */
export type Side = Opens['toward']

const DIRECTION: Readonly<Record<Side, readonly [number, number]>> = {
  front: [-1, 0],
  rear: [1, 0],
  left: [0, -1],
  right: [0, 1],
}

/** To which side of the vehicle a tent opens as it lies. */
export function opensToward({ gear, turn }: ThingAt): Side | undefined {
  if (!gear.opens) return undefined
  const [x, y] = turned(...DIRECTION[gear.opens.toward], turn)
  const side = (Object.keys(DIRECTION) as Side[]).find((each) => {
    const [dx, dy] = DIRECTION[each]
    return Math.round(x) === dx && Math.round(y) === dy
  })
  return side
}

/** A tent's floor where it opens past its closed box, and the space its ladder takes from there to the ground. mm. */
interface OpenedTent {
  readonly side: Side
  readonly floor: Box
  readonly ladder: Box | undefined
  /** From the opened floor's edge to the ground, where anybody knows how high the floor stands. */
  readonly dropMm: number | undefined
}

const FLOOR_THICK_MM = 60

function beside(box: Box, side: Side, fromMm: number, toMm: number, z0: number, z1: number): Box {
  const [dx, dy] = DIRECTION[side]
  const x =
    dx > 0 ? [box.x1 + fromMm, box.x1 + toMm] : dx < 0 ? [box.x0 - toMm, box.x0 - fromMm] : [box.x0, box.x1]
  const y =
    dy > 0 ? [box.y1 + fromMm, box.y1 + toMm] : dy < 0 ? [box.y0 - toMm, box.y0 - fromMm] : [box.y0, box.y1]
  return { x0: x[0] ?? 0, x1: x[1] ?? 0, y0: y[0] ?? 0, y1: y[1] ?? 0, z0, z1 }
}

const opened = new WeakMap<ThingAt, OpenedTent | undefined>()

/** What a tent takes when it is open, parked. */
export function openedTent(thing: ThingAt): OpenedTent | undefined {
  if (!thing.gear.opens) return undefined
  if (!opened.has(thing)) opened.set(thing, opening(thing))
  return opened.get(thing)
}

function opening(thing: ThingAt): OpenedTent | undefined {
  const { opens } = thing.gear
  const side = opensToward(thing)
  if (!opens || side === undefined) return undefined
  // Of a floor whose height nobody knows, wherever in the closed box it may be.
  const top = opens.floorMm === undefined ? thing.box.z1 : thing.box.z0 + opens.floorMm
  const under = opens.floorMm === undefined ? thing.box.z0 : top - FLOOR_THICK_MM
  return {
    side,
    floor: beside(thing.box, side, 0, opens.reachMm, under, top),
    ladder:
      opens.ladder && beside(thing.box, side, opens.reachMm, opens.reachMm + opens.ladder.outMm, 0, top),
    dropMm: opens.floorMm === undefined ? undefined : top,
  }
}

/**
 * Room between a tent and the cab in front of it, for a hand to reach its cover (mm); nothing where no body
 * stands before it at its height.
 */
export function gapToCab(vehicle: Vehicle, body: BodyOutline, box: Box): number | undefined {
  if (box.x0 <= vehicle.roof.toXMm || box.z0 >= roofZ(vehicle)) return undefined
  if (vehicle.cabWallXMm !== undefined) return box.x0 - vehicle.cabWallXMm
  let cab = vehicle.roof.toXMm
  for (let x = box.x0; x > vehicle.roof.toXMm; x -= 5)
    if (outlineTop(body.side, x) > box.z0) {
      cab = x
      break
    }
  return box.x0 - cab
}
