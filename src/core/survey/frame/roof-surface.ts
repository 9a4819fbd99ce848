import type { Obstacle, Vehicle } from '../../plan/schema/vehicle'
import { roofZ } from './arrangement'
import { outlineTop, type BodyOutline } from './body/outline'

/** Half the roof's width at a place along it, between its front and its rear. mm. */
export function roofHalfWidth({ roof }: Vehicle, xMm: number): number {
  const length = roof.toXMm - roof.fromXMm
  const share = length <= 0 ? 0 : Math.min(1, Math.max(0, (xMm - roof.fromXMm) / length))
  return roof.halfWidthFrontMm + (roof.halfWidthRearMm - roof.halfWidthFrontMm) * share
}

/** How far the crowned roof has fallen at y from the centreline, as a parabola from its middle to its edge. mm. */
export function crownDrop(vehicle: Vehicle, xMm: number, yMm: number): number {
  const half = Math.max(1, roofHalfWidth(vehicle, xMm))
  return vehicle.roof.crownMm * (Math.min(Math.abs(yMm), half) / half) ** 2
}

/** How high an antenna reaches over the ground. mm. */
export function antennaTopZ(vehicle: Vehicle, antenna: Extract<Obstacle, { kind: 'antenna' }>): number {
  return roofZ(vehicle) - crownDrop(vehicle, antenna.xMm, antenna.yMm) + antenna.heightMm
}

/** Room under a bar that stands so far over the roof's top, at y: it grows towards the sides as the roof falls. mm. */
export function underBarRoom(vehicle: Vehicle, riseMm: number, xMm: number, yMm: number): number {
  return riseMm + crownDrop(vehicle, xMm, yMm)
}

/** The highest point of the vehicle's own body under a stretch of its length and width; nothing beside it. mm. */
export function bodyTopUnder(
  vehicle: Vehicle,
  body: BodyOutline,
  box: { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number },
): number | undefined {
  const nearestY = box.y0 <= 0 && box.y1 >= 0 ? 0 : Math.min(Math.abs(box.y0), Math.abs(box.y1))
  if (nearestY >= vehicle.widthMm / 2) return undefined
  const [from, to] = [Math.max(box.x0, body.noseXMm), Math.min(box.x1, body.tailXMm)]
  if (to <= from) return undefined
  let top = Math.max(outlineTop(body.side, from), outlineTop(body.side, to))
  let at = from
  for (const [x, z] of body.side)
    if (x >= from && x <= to && z > top) {
      top = z
      at = x
    }
  const overRoof = nearestY <= roofHalfWidth(vehicle, at)
  // The overall height may be a rail's or an aerial's: the roof itself ends at its skin.
  return overRoof
    ? Math.min(top, roofZ(vehicle)) - crownDrop(vehicle, at, nearestY)
    : Math.min(top, body.waistZMm)
}
