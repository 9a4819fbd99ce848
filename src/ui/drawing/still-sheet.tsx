'use client'
import type { Survey } from '@/core/api/assess'
import { useEffect, useId, useRef, useState } from 'react'
import { extentOf, layoutSheet, viewMatrix, type ViewName, VIEWS } from '@/drawing/layout'
import { attachmentPath, rackPaths } from '@/drawing/rack-paths'
import { SheetText } from './sheet-text'
import { ThingView } from './thing-view'
import { VehicleView } from './vehicle-view'

const TITLE: Readonly<Record<ViewName, string>> = { side: 'Side', rear: 'Rear', plan: 'Plan' }

/** The three views to look at beside a form: nothing in them can be picked. Everything the vehicle offers is drawn. */
export function StillSheet({ survey, label }: { survey: Survey; label: string }) {
  const box = useRef<HTMLDivElement>(null)
  const id = useId()
  const [size, setSize] = useState({ width: 0, height: 0 })
  useEffect(() => {
    const element = box.current
    if (!element) return
    const watch = new ResizeObserver(([entry]) => {
      if (entry)
        setSize({ width: Math.floor(entry.contentRect.width), height: Math.floor(entry.contentRect.height) })
    })
    watch.observe(element)
    return () => watch.disconnect()
  }, [])
  const layout = layoutSheet(
    extentOf(survey),
    { width: Math.max(size.width, 601), height: size.height },
    undefined,
  )
  const { plan, body, racks, things } = survey
  return (
    <div ref={box} className="sheet-box">
      {size.width > 0 && (
        <svg
          viewBox={`0 0 ${layout.width} ${layout.height}`}
          width={size.width}
          height={size.height}
          role="img"
          aria-label={label}
        >
          {VIEWS.map((view) => (
            <g key={view}>
              <clipPath id={`${id}-${view}`}>
                <rect
                  x={layout[view].left}
                  y={layout[view].top}
                  width={layout[view].width}
                  height={layout[view].height}
                />
              </clipPath>
              <g clipPath={`url(#${id}-${view})`}>
                <g transform={viewMatrix(layout, view)} className="draw-layer">
                  <VehicleView view={view} vehicle={plan.vehicle} body={body} />
                  {plan.vehicle.attachments.map((attachment) => (
                    <path
                      key={attachment.id}
                      d={attachmentPath(plan.vehicle, attachment, view)}
                      className={view === 'side' ? 'draw-rail-side' : 'draw-rail'}
                    />
                  ))}
                  {racks.map((rack) => {
                    const paths = rackPaths(rack, view)
                    return (
                      <g key={rack.rack.id}>
                        <path d={paths.plate} className="draw-plate" />
                        <path d={paths.line} className="draw-line" />
                        <path d={paths.ink} className="draw-ink" />
                      </g>
                    )
                  })}
                  {things.map((thing) => (
                    <ThingView
                      key={thing.placement.id}
                      thing={thing}
                      view={view}
                      picked={false}
                      pointedAt={false}
                      absent={false}
                    />
                  ))}
                </g>
              </g>
              <SheetText
                x={layout[view].left}
                y={layout[view].top - 8}
                text={TITLE[view]}
                variant="sheet-title"
              />
            </g>
          ))}
        </svg>
      )}
    </div>
  )
}
