'use client'
import { type Attachment, formatQuantity, type UnitChoice, type Vehicle } from '@/core/api/plan'
import type { BarAt, RackAt, Survey, ThingAt } from '@/core/api/assess'
import { memo, type KeyboardEvent, type PointerEvent } from 'react'
import { boxPath } from '@/drawing/path'
import { viewMatrix, type SheetLayout, type ViewName } from '@/drawing/layout'
import { attachmentPath, rackPaths } from '@/drawing/rack-paths'
import { middleOf, sizeIn } from '@/drawing/thing-marks'
import { ThingView } from '@/ui/drawing/thing-view'
import { VehicleView } from '@/ui/drawing/vehicle-view'
import type { Picked } from '@/ui/state/plan-store'

export interface SheetMarks {
  readonly picked: Picked | undefined
  readonly pointedThings: ReadonlySet<string>
  readonly pointedRacks: ReadonlySet<string>
  readonly presentThings: ReadonlySet<string>
  /** What is drawn opening: an obstacle or a tent, and what it meets. */
  readonly opening: { readonly id: string; readonly metId: string | undefined } | undefined
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
  const paths = rackPaths(rack, view)
  return (
    <g className={pointed ? 'draw-rack-pointed' : ''}>
      <path d={paths.plate} className="draw-plate" />
      <path d={paths.line} className="draw-line" />
      <path d={paths.ink} className="draw-ink" />
    </g>
  )
})

const AttachmentView = memo(function AttachmentView({
  vehicle,
  attachment,
  view,
}: {
  vehicle: Vehicle
  attachment: Attachment
  view: ViewName
}) {
  return (
    <path
      d={attachmentPath(vehicle, attachment, view)}
      className={view === 'side' ? 'draw-rail-side' : 'draw-rail'}
    />
  )
})

function barTarget({ box }: BarAt, view: ViewName): string {
  return view === 'side'
    ? boxPath(box.x0, box.z0, box.x1, box.z1)
    : view === 'plan'
      ? boxPath(box.x0, box.y0, box.x1, box.y1)
      : boxPath(box.y0, box.z0, box.y1, box.z1)
}

/** What makes a part of the drawing answer to hand and key; only the plan view is reached by keyboard. */
function press(
  picked: Picked,
  view: ViewName,
  handlers: SheetHandlers,
  pressed: boolean,
  label: () => string,
) {
  const onPointerDown = (event: PointerEvent<SVGElement>) => handlers.onGrab(picked, view, event)
  if (view !== 'plan') return { onPointerDown, 'aria-hidden': true } as const
  return {
    onPointerDown,
    tabIndex: -1,
    'data-roving': picked.kind,
    role: 'button',
    'aria-label': label(),
    'aria-pressed': pressed,
    onFocus: () => handlers.onPick(picked),
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key !== 'Enter' && event.key !== ' ') return
      event.preventDefault()
      handlers.onPick(picked)
    },
  } as const
}

interface PartProps {
  readonly view: ViewName
  readonly picked: boolean
  readonly handlers: SheetHandlers
  readonly units: UnitChoice
}

const BarTarget = memo(function BarTarget({
  bar,
  view,
  picked,
  handlers,
  units,
}: PartProps & { bar: BarAt }) {
  const label = () => `${bar.bar.name}, ${bar.rack.name}, at ${formatQuantity('length', bar.bar.xMm, units)}`
  return (
    <g className="draw-focusable" {...press({ kind: 'bar', id: bar.bar.id }, view, handlers, picked, label)}>
      <path d={barTarget(bar, view)} className={`draw-target ${picked ? 'draw-bar-picked' : ''}`} />
    </g>
  )
})

const ThingPart = memo(function ThingPart({
  thing,
  view,
  picked,
  pointed,
  absent,
  handlers,
  units,
}: PartProps & { thing: ThingAt; pointed: boolean; absent: boolean }) {
  const [u, v] = middleOf(thing, view)
  const [width, height] = sizeIn(thing, view)
  const label = () => {
    const length = (mm: number) => formatQuantity('length', mm, units)
    const y = (thing.box.y0 + thing.box.y1) / 2
    return `${thing.gear.name}, ${thing.gear.mass.basis === 'unknown' ? 'weight not known' : formatQuantity('mass', thing.gear.mass.kg, units)}, middle at ${length((thing.box.x0 + thing.box.x1) / 2)} behind the windscreen's edge, ${length(Math.abs(y))} ${y < 0 ? 'left' : 'right'} of the centreline`
  }
  return (
    <g
      className="draw-focusable"
      data-thing={thing.placement.id}
      {...press({ kind: 'thing', id: thing.placement.id }, view, handlers, picked, label)}
    >
      <ThingView thing={thing} view={view} picked={picked} pointedAt={pointed} absent={absent} />
      <rect className="draw-target" x={u - width / 2} y={v - height / 2} width={width} height={height} />
    </g>
  )
})

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
  const sorted = things.toSorted((a, b) => NEARER[view](a) - NEARER[view](b) || a.index - b.index)
  const isPicked = (kind: Picked['kind'], id: string) => marks.picked?.kind === kind && marks.picked.id === id
  const part = { view, handlers, units }
  return (
    <g clipPath={`url(#pane-${view})`}>
      <g transform={viewMatrix(layout, view)} className="draw-layer" data-seen={view}>
        <VehicleView view={view} vehicle={plan.vehicle} body={body} />
        {plan.vehicle.attachments
          .filter((attachment) => racks.some((rack) => rack.attachments.includes(attachment)))
          .map((attachment) => (
            <AttachmentView key={attachment.id} vehicle={plan.vehicle} attachment={attachment} view={view} />
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
          <BarTarget key={bar.bar.id} bar={bar} picked={isPicked('bar', bar.bar.id)} {...part} />
        ))}
        {sorted.map((thing) => (
          <ThingPart
            key={thing.placement.id}
            thing={thing}
            picked={isPicked('thing', thing.placement.id)}
            pointed={marks.pointedThings.has(thing.placement.id)}
            absent={!marks.presentThings.has(thing.placement.id)}
            {...part}
          />
        ))}
      </g>
    </g>
  )
}
