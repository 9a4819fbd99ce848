import { onVehicle, type BodyOutline, type OnVehicle, type Vehicle } from '@/core'
import { memo, useMemo } from 'react'
import type { ViewName } from './layout'
import { boxPath } from './path'
import { planPaths, rearPaths, sidePaths } from './vehicle-paths'

function boxIn({ x0, x1, y0, y1, z0, z1 }: OnVehicle['box'], view: ViewName): string {
  return view === 'side'
    ? boxPath(x0, z0, x1, z1)
    : view === 'plan'
      ? boxPath(x0, y0, x1, y1)
      : boxPath(y0, z0, y1, z1)
}

/** A vehicle from one side, drawn from its own dimensions. */
export const VehicleView = memo(function VehicleView({
  view,
  vehicle,
  body,
}: {
  view: ViewName
  vehicle: Vehicle
  body: BodyOutline
}) {
  const paths = useMemo(
    () =>
      view === 'side'
        ? sidePaths(body)
        : view === 'plan'
          ? planPaths(body, vehicle)
          : rearPaths(body, vehicle),
    [view, vehicle, body],
  )
  return (
    <g aria-hidden>
      {view === 'rear' && <path d={paths.dark} className="draw-tyre" />}
      <path d={paths.body} className="draw-body" />
      {view === 'side' && <path d={paths.dark} className="draw-wheel" />}
      <path d={paths.glass} className="draw-glass" />
      <path d={paths.thin} className="draw-thin" />
      {onVehicle(vehicle).map(({ id, box }) => (
        <path key={id} d={boxIn(box, view)} className="draw-thin" />
      ))}
      {paths.centre !== '' && <path d={paths.centre} className="draw-centre" />}
    </g>
  )
})
