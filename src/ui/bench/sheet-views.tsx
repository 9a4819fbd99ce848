'use client'
import { memo, useMemo, type KeyboardEvent, type PointerEvent } from 'react'
import type { BarAt, RackAt, ThingAt } from '@/core/survey/arrangement'
import type { Survey } from '@/core/survey/survey'
import { formatQuantity, type UnitChoice } from '@/core/units/format'
import { boxPath } from '@/ui/drawing/path'
import { viewMatrix, type SheetLayout, type ViewName } from '@/ui/drawing/layout'
import { attachmentPath, rackPaths } from '@/ui/drawing/rack-paths'
import { middleOf, sizeIn, ThingView } from '@/ui/drawing/thing-view'
import { VehicleView } from '@/ui/drawing/vehicle-view'
import type { Picked } from './plan-store'

export interface SheetMarks {
  readonly picked: Picked | undefined
  readonly pointedThings: ReadonlySet<string>
  readonly pointedRacks: ReadonlySet<string>
  readonly presentThings: ReadonlySet<string>
}

export interface SheetHandlers {
  onGrab(picked: Picked, view: ViewName, event: PointerEvent<SVGElement>): void
  onPick(picked: Picked): void
}

/** What lies nearest to the eye is drawn last: on top in the plan, on the left in the side view, behind in the rear view. */
const NEARER: Readonly<Record<ViewName, (thing: ThingAt) => number>> = {
  plan: ({ box }) => box.z0,
  side: ({ box }) => -box.y0,
  rear: ({ box }) => box.x1,
}

const RackView = memo(function RackView({
  rack,
  view,
  pointed,
}: {
  rack: RackAt
  view: ViewName
  pointed: boolean
}) {
  const paths = useMemo(() => rackPaths(rack, view), [rack, view])
  return (
    <g className={pointed ? 'draw-rack-pointed' : ''}>
      <path d={paths.plate} className="draw-plate" />
      <path d={paths.line} className="draw-line" />
      <path d={paths.ink} className="draw-ink" />
    </g>
  )
})

function barTarget({ box }: BarAt, view: ViewName): string {
  return view === 'side'
    ? boxPath(box.x0, box.z0, box.x1, box.z1)
    : view === 'plan'
      ? boxPath(box.x0, box.y0, box.x1, box.y1)
      : boxPath(box.y0, box.z0, box.y1, box.z1)
}

interface ViewProps {
  readonly survey: Survey
  readonly layout: SheetLayout
  readonly view: ViewName
  readonly marks: SheetMarks
  readonly handlers: SheetHandlers
  readonly units: UnitChoice
}

/** One of the three views: vehicle, racks and gear in mm, with targets that are larger than what they stand for. */
export function SheetView({ survey, layout, view, marks, handlers, units }: ViewProps) {
  const { plan, body, racks, bars, things } = survey
  const focusable = view === 'plan'
  const sorted = things.toSorted((a, b) => NEARER[view](a) - NEARER[view](b) || a.index - b.index)
  const press = (picked: Picked) => ({
    onPointerDown: (event: PointerEvent<SVGElement>) => {
      handlers.onGrab(picked, view, event)
    },
    ...(focusable
      ? {
          tabIndex: 0,
          role: 'button',
          onFocus: () => {
            handlers.onPick(picked)
          },
          onKeyDown: (event: KeyboardEvent) => {
            if (event.key !== 'Enter' && event.key !== ' ') return
            event.preventDefault()
            handlers.onPick(picked)
          },
        }
      : { 'aria-hidden': true }),
  })
  const isPicked = (kind: Picked['kind'], id: string) => marks.picked?.kind === kind && marks.picked.id === id
  const length = (mm: number) => formatQuantity('length', mm, units)

  return (
    <g clipPath={`url(#pane-${view})`}>
      <g transform={viewMatrix(layout, view)} className="draw-layer">
        <VehicleView view={view} vehicle={plan.vehicle} body={body} />
        {plan.vehicle.attachments
          .filter((attachment) => racks.some((rack) => rack.attachment === attachment))
          .map((attachment) => (
            <path
              key={attachment.id}
              d={attachmentPath(plan.vehicle, attachment, view)}
              className={view === 'side' ? 'draw-rail-side' : 'draw-rail'}
            />
          ))}
        {racks.map((rack) => (
          <RackView
            key={rack.rack.id}
            rack={rack}
            view={view}
            pointed={marks.pointedRacks.has(rack.rack.id)}
          />
        ))}
        {bars.map((bar) => (
          <g
            key={bar.bar.id}
            className="draw-focusable"
            aria-label={`${bar.bar.name}, ${bar.rack.name}, at ${length(bar.bar.xMm)}`}
            aria-pressed={focusable ? isPicked('bar', bar.bar.id) : undefined}
            {...press({ kind: 'bar', id: bar.bar.id })}
          >
            <path
              d={barTarget(bar, view)}
              className={`draw-target ${isPicked('bar', bar.bar.id) ? 'draw-bar-picked' : ''}`}
            />
          </g>
        ))}
        {sorted.map((thing) => {
          const { id } = thing.placement
          const [u, v] = middleOf(thing, view)
          const [width, height] = sizeIn(thing, view)
          return (
            <g
              key={id}
              className="draw-focusable"
              aria-label={`${thing.gear.name}, ${formatQuantity('mass', thing.gear.mass.kg, units)}, middle at ${length((thing.box.x0 + thing.box.x1) / 2)} behind the windscreen's edge, ${length(Math.abs((thing.box.y0 + thing.box.y1) / 2))} ${(thing.box.y0 + thing.box.y1) / 2 < 0 ? 'left' : 'right'} of the centreline`}
              aria-pressed={focusable ? isPicked('thing', id) : undefined}
              {...press({ kind: 'thing', id })}
            >
              <ThingView
                thing={thing}
                view={view}
                picked={isPicked('thing', id)}
                pointedAt={marks.pointedThings.has(id)}
                absent={!marks.presentThings.has(id)}
              />
              <rect
                className="draw-target"
                x={u - width / 2}
                y={v - height / 2}
                width={width}
                height={height}
              />
            </g>
          )
        })}
      </g>
    </g>
  )
}
