import type { Box } from '../../geometry/boxes'
import type { Vehicle } from '../../plan/schema/vehicle'

/** Something that belongs to the vehicle and takes up room: what is in its bed, or hangs at its tail. mm. */
export interface OnVehicle {
  readonly id: string
  readonly name: string
  readonly where: 'bed' | 'tail'
  readonly box: Box
}

/** What is in the bed already, from the ground up as nothing goes under it, and what hangs at the tail and has a size. */
export function onVehicle(vehicle: Vehicle): readonly OnVehicle[] {
  const cached = seen.get(vehicle)
  if (cached) return cached
  const found = boxesOf(vehicle)
  seen.set(vehicle, found)
  return found
}

/** It is asked of every bar and thing, and a vehicle changes seldom. */
const seen = new WeakMap<Vehicle, readonly OnVehicle[]>()

function boxesOf({ obstacles, tail = [] }: Vehicle): readonly OnVehicle[] {
  const inBed = obstacles.flatMap((each): OnVehicle[] =>
    each.kind === 'inBed'
      ? [
          {
            id: each.id,
            name: each.name,
            where: 'bed',
            box: {
              x0: each.fromXMm,
              x1: each.toXMm,
              y0: -each.halfWidthMm,
              y1: each.halfWidthMm,
              z0: 0,
              z1: each.topZMm,
            },
          },
        ]
      : [],
  )
  const atTail = tail.flatMap(({ id, name, xMm, zMm, box }): OnVehicle[] =>
    box
      ? [
          {
            id,
            name,
            where: 'tail',
            box: {
              x0: xMm - box.lengthMm / 2,
              x1: xMm + box.lengthMm / 2,
              y0: -box.widthMm / 2,
              y1: box.widthMm / 2,
              z0: zMm - box.heightMm / 2,
              z1: zMm + box.heightMm / 2,
            },
          },
        ]
      : [],
  )
  return [...inBed, ...atTail]
}
