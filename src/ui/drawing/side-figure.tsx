import type { Survey } from '@/core'
import { attachmentPath, rackPaths } from './rack-paths'
import { ThingView } from './thing-view'
import { VehicleView } from './vehicle-view'

/** Vehicle, racks and things from the side, in the view's own mm: what small drawings and printed ones share. */
export function SideFigure({ survey }: { survey: Survey }) {
  const { plan, body, racks, things } = survey
  return (
    <>
      <VehicleView view="side" vehicle={plan.vehicle} body={body} />
      {racks.map((rack) => {
        const paths = rackPaths(rack, 'side')
        return (
          <g key={rack.rack.id}>
            {rack.attachments.map((each) => (
              <path key={each.id} d={attachmentPath(plan.vehicle, each, 'side')} className="draw-rail-side" />
            ))}
            <path d={paths.line} className="draw-line" />
            <path d={paths.plate} className="draw-plate" />
            <path d={paths.ink} className="draw-ink" />
          </g>
        )
      })}
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
    </>
  )
}
