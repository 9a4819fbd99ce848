import type { BodyOutline } from '@/core/api/assess'
import type { Vehicle } from '@/core/api/plan'
import type { ViewName } from '@/drawing/layout'
import { Marks } from './marks'
import { vehicleMarks } from '@/drawing/vehicle-marks'

/** A vehicle from one side, drawn from its own dimensions. */
export function VehicleView({
  view,
  vehicle,
  body,
}: {
  view: ViewName
  vehicle: Vehicle
  body: BodyOutline
}) {
  const marks = vehicleMarks(view, vehicle, body)
  return (
    <g aria-hidden>
      <Marks marks={marks} />
    </g>
  )
}
