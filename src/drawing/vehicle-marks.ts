import { onVehicle, type BodyOutline, type OnVehicle } from '@/core/api/assess'
import type { Vehicle } from '@/core/api/plan'
import type { ViewName } from './layout'
import type { Mark } from './mark'
import { boxPath } from './path'
import { planPaths, rearPaths, sidePaths } from './vehicle-paths'

function boxIn({ x0, x1, y0, y1, z0, z1 }: OnVehicle['box'], view: ViewName): string {
  return view === 'side'
    ? boxPath(x0, z0, x1, z1)
    : view === 'plan'
      ? boxPath(x0, y0, x1, y1)
      : boxPath(y0, z0, y1, z1)
}

/** A vehicle from one side, from its own dimensions: what is behind comes first. */
export function vehicleMarks(view: ViewName, vehicle: Vehicle, body: BodyOutline): readonly Mark[] {
  const paths =
    view === 'side' ? sidePaths(body) : view === 'plan' ? planPaths(body, vehicle) : rearPaths(body, vehicle)
  return [
    ...(view === 'rear' ? [{ d: paths.dark, variant: 'draw-tyre' }] : []),
    { d: paths.body, variant: 'draw-body' },
    ...(view === 'side' ? [{ d: paths.dark, variant: 'draw-wheel' }] : []),
    { d: paths.glass, variant: 'draw-glass' },
    { d: paths.thin, variant: 'draw-thin' },
    ...onVehicle(vehicle).map(({ box }) => ({ d: boxIn(box, view), variant: 'draw-thin' })),
    ...(paths.centre === '' ? [] : [{ d: paths.centre, variant: 'draw-centre' }]),
  ]
}
