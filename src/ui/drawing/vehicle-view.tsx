import type { BodyOutline, Vehicle } from '@/core'
import { memo, useMemo } from 'react'
import type { ViewName } from './layout'
import { planPaths, rearPaths, sidePaths } from './vehicle-paths'

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
      {paths.centre !== '' && <path d={paths.centre} className="draw-centre" />}
    </g>
  )
})
