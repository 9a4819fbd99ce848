import { memo } from 'react'
import type { Survey } from '@/core/survey/survey'
import { extentOf } from '@/ui/drawing/layout'
import { attachmentPath, rackPaths } from '@/ui/drawing/rack-paths'
import { ThingView } from '@/ui/drawing/thing-view'
import { VehicleView } from '@/ui/drawing/vehicle-view'

/** A job from the side, small: the vehicle with all that is on it, always to the same scale. */
export const Thumbnail = memo(function Thumbnail({ survey }: { survey: Survey }) {
  const { plan, body, racks, things } = survey
  const { x0, x1 } = extentOf(survey)
  const width = Math.max(x1 - x0, 6600)
  const height = 3120
  const left = (x0 + x1 - width) / 2
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="draw-layer block w-full" aria-hidden>
      <g transform={`matrix(1 0 0 -1 ${-left} ${height - 40})`}>
        <path d={`M ${left} 0 h ${width}`} className="draw-thin" />
        <VehicleView view="side" vehicle={plan.vehicle} body={body} />
        {racks.map((rack) => (
          <g key={rack.rack.id}>
            {rack.attachment && (
              <path d={attachmentPath(plan.vehicle, rack.attachment, 'side')} className="draw-rail-side" />
            )}
            <path d={rackPaths(rack, 'side').line} className="draw-line" />
            <path d={rackPaths(rack, 'side').plate} className="draw-plate" />
            <path d={rackPaths(rack, 'side').ink} className="draw-ink" />
          </g>
        ))}
        {things
          .toSorted((a, b) => b.box.y0 - a.box.y0)
          .map((thing) => (
            <ThingView
              key={thing.placement.id}
              thing={thing}
              view="side"
              picked={false}
              pointedAt={false}
              absent={false}
            />
          ))}
      </g>
    </svg>
  )
})
