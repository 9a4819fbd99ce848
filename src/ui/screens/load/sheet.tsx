'use client'
import { formatQuantity } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import {
  useDeferredValue,
  useEffect,
  useEffectEvent,
  useLayoutEffect,
  useRef,
  type PointerEvent,
} from 'react'
import {
  extentOf,
  fromSheet,
  layoutSheet,
  type SheetLayout,
  toSheet,
  viewAt,
  VIEWS,
  type ViewName,
} from '@/drawing/layout'
import { OpeningView } from '@/ui/drawing/opening-view'
import { SpreadHandles } from '@/ui/drawing/spread-ruler'
import { gravityBox } from '@/ui/drawing/gravity-marks'
import { sheetLabels } from '@/ui/drawing/sheet-labels'
import { FootArrows, FootTargets, KiloSpots, Quartered } from '@/ui/drawing/weight-notes'
import { Words } from '@/ui/drawing/words'
import { useUnits } from '@/ui/state/settings-store'
import { useField } from './field-switch'
import { Ghost } from './ghost'
import { HandDrag } from './hand-drag'
import { assessmentOf } from '@/ui/state/assessment'
import { usePlan, planStore } from '@/ui/state/plan-store'
import { isStill, nextOf, thingsUnder } from './under-pointer'
import { SheetNotes } from './sheet-notes'
import { SheetView, type SheetHandlers, type SheetMarks } from './sheet-views'
import { useZoom, zoomStore } from '@/ui/drawing/zoom-store'
import { useZoomGestures } from './zoom-gestures'
import { byPage, useRoving } from '@/ui/kit/use-roving'
import { useKeptFocus } from '@/ui/kit/use-kept-focus'
import { drawnSheet, sheetNow } from './sheet-now'

/**
 * The drawing: three linked views to one scale, to look at, pick from and drag in. While a hand moves something it is
 * drawn behind the hand, in pieces that let each move of the pointer through.
 */
export function Sheet({ marks }: { readonly marks: SheetMarks }) {
  const plan = usePlan((store) => store.plan)
  const isDragged = usePlan((store) => store.dragFrom !== undefined)
  const later = useDeferredValue(plan)
  const shown = isDragged ? later : plan
  return shown && <Views survey={assessmentOf(shown).survey} marks={marks} />
}

/** How the three views lie on the page. A drag leaves them still under the hand. */
function useLayout(survey: Survey): SheetLayout {
  const size = useZoom((store) => store.size)
  const zoom = useZoom((store) => store.zoom)
  const dragFrom = usePlan((store) => store.dragFrom)
  const still = dragFrom ? assessmentOf(dragFrom).survey : survey
  return layoutSheet(extentOf(still), size, zoom)
}

function Views({ survey, marks }: { readonly survey: Survey; readonly marks: SheetMarks }) {
  const units = useUnits()
  const state = usePlan((store) => store.state)
  const { pick, drop } = planStore.getState()
  const zoom = useZoom((store) => store.zoom)
  const field = useField((store) => store.shown)
  const box = useRef<HTMLDivElement>(null)
  const svg = useRef<SVGSVGElement>(null)
  const cross = useRef<SVGPathElement>(null)
  const readout = useRef<SVGTextElement>(null)
  const grip = useRef<HandDrag>(undefined)
  const below = useRef<{ of: string; under: readonly string[]; clientX: number; clientY: number }>(undefined)
  const measureNow = useRef<() => void>(undefined)

  useEffect(() => {
    const element = box.current
    if (!element) return
    const measure = () => {
      // Picking makes the strip below taller or lower: what is held in a hand may not jump for it.
      if (grip.current) return
      zoomStore.getState().setSize(Math.floor(element.clientWidth), Math.floor(element.clientHeight))
    }
    const watch = new ResizeObserver(measure)
    watch.observe(element)
    measureNow.current = measure
    return () => watch.disconnect()
  }, [])

  const layout = useLayout(survey)
  const { picked } = marks
  const words = sheetLabels({ survey, layout, units, state, picked, field })
  const taken = [...[...words.placed.values()].map(({ box }) => box), ...words.marks.map(gravityBox)]

  const place = (event: { clientX: number; clientY: number }): readonly [number, number] => {
    const rect = svg.current?.getBoundingClientRect()
    return [event.clientX - (rect?.left ?? 0), event.clientY - (rect?.top ?? 0)]
  }

  const handlers: SheetHandlers = {
    onPick: pick,
    onGrab(pointed, view, event: PointerEvent<SVGElement>) {
      if (event.button !== 0) return
      event.stopPropagation()
      // Of things over each other the picked one is held; pressed and let go, the next under it is picked.
      const under = thingsUnder(event.clientX, event.clientY)
      const now = planStore.getState().picked
      const again = now?.kind === 'thing' && under.includes(now.id) ? now : undefined
      const picked = again ?? pointed
      below.current = again && { of: again.id, under, clientX: event.clientX, clientY: event.clientY }
      pick(picked)
      const at = sheetNow()?.survey
      const held =
        at &&
        HandDrag.of({
          picked,
          view,
          left: event.clientX,
          top: event.clientY,
          survey: at,
          svg: svg.current,
        })
      if (!held) return
      cross.current?.setAttribute('d', '')
      svg.current?.setPointerCapture(event.pointerId)
      grip.current = held
    },
  }

  const pointAt = (event: PointerEvent<SVGSVGElement>) => {
    const at = layout
    const [left, top] = place(event)
    const view = viewAt(at, left, top)
    if (!cross.current || !readout.current) return
    if (!view) {
      cross.current.setAttribute('d', '')
      readout.current.textContent = ''
      return
    }
    const [u, v] = fromSheet(at, view, left, top)
    const { side, rear, plan } = at
    const down = (x: number) =>
      `M ${x} ${side.top} V ${side.top + side.height} M ${x} ${plan.top} V ${plan.top + plan.height}`
    const level = (z: number) =>
      `M ${side.left} ${z} H ${side.left + side.width} M ${rear.left} ${z} H ${rear.left + rear.width}`
    const planLine = (y: number) => {
      const [, at1] = toSheet(at, 'plan', 0, y)
      return at1 < plan.top || at1 > plan.top + plan.height
        ? ''
        : `M ${plan.left} ${at1} H ${plan.left + plan.width}`
    }
    const rearLine = (y: number) => {
      const [at1] = toSheet(at, 'rear', y, 0)
      return at1 < rear.left || at1 > rear.left + rear.width
        ? ''
        : `M ${at1} ${rear.top} V ${rear.top + rear.height}`
    }
    const length = (mm: number) => formatQuantity('length', mm, units)
    if (view === 'side') {
      cross.current.setAttribute('d', `${down(left)} ${level(top)}`)
      readout.current.textContent = `x ${length(u)}  z ${length(v)}`
    } else if (view === 'plan') {
      cross.current.setAttribute('d', `${down(left)} ${planLine(v)} ${rearLine(v)}`)
      readout.current.textContent = `x ${length(u)}  y ${length(v)}`
    } else {
      cross.current.setAttribute('d', `${level(top)} ${rearLine(u)} ${planLine(u)}`)
      readout.current.textContent = `y ${length(u)}  z ${length(v)}`
    }
  }

  const panFrom = useRef<{ view: ViewName; left: number; top: number }>(undefined)
  const pickBelow = (event: PointerEvent) => {
    const press = below.current
    below.current = undefined
    const next = press && isStill(press, event) ? nextOf(press.under, press.of) : undefined
    if (next !== undefined) pick({ kind: 'thing', id: next })
  }
  const letGo = () => {
    grip.current?.release()
    grip.current = undefined
    panFrom.current = undefined
    drop()
    measureNow.current?.()
  }
  useLayoutEffect(() => grip.current?.drawn(survey.plan), [survey])
  // Who leaves the screen with a thing in hand leaves it where it is.
  const leave = useEffectEvent(() => {
    grip.current?.release()
    drop()
  })
  useEffect(() => () => leave(), [])
  const ready = useZoom((store) => store.size.width > 0)
  useZoomGestures(svg, ready)
  useEffect(() => {
    drawnSheet.element = svg.current
    return () => {
      drawnSheet.element = null
    }
  }, [ready])
  useKeptFocus(svg, '[role=button]', survey)
  useRoving(svg, '[data-roving]', byPage, words)
  return (
    <div ref={box} className="sheet-box max-wide:h-auto max-wide:min-h-[30rem]" data-testid="sheet">
      {ready && (
        <svg
          ref={svg}
          width={layout.width}
          height={layout.height}
          role="group"
          aria-label={`Drawing of ${survey.plan.vehicle.name}: side, rear and plan views`}
          className="block select-none"
          onPointerDown={(event) => {
            pick(undefined)
            const [left, top] = place(event)
            const view = viewAt(layout, left, top)
            if (zoom && view && event.button === 0) {
              panFrom.current = { view, left: event.clientX, top: event.clientY }
              event.currentTarget.setPointerCapture(event.pointerId)
            }
          }}
          onPointerMove={(event) => {
            if (grip.current) grip.current.follow(event, layout.scale)
            else if (panFrom.current) {
              const { view, left, top } = panFrom.current
              zoomStore.getState().pan(survey, view, event.clientX - left, event.clientY - top)
              panFrom.current = { view, left: event.clientX, top: event.clientY }
            } else pointAt(event)
          }}
          onPointerUp={(event) => {
            letGo()
            pickBelow(event)
          }}
          onPointerCancel={letGo}
          onPointerLeave={() => {
            cross.current?.setAttribute('d', '')
            if (readout.current) readout.current.textContent = ''
          }}
        >
          <defs>
            {VIEWS.map((view) => (
              <clipPath key={view} id={`pane-${view}`}>
                <rect
                  x={layout[view].left}
                  y={layout[view].top}
                  width={layout[view].width}
                  height={layout[view].height}
                />
              </clipPath>
            ))}
            <clipPath id="pane-all">
              {VIEWS.map((view) => (
                <rect
                  key={view}
                  x={layout[view].left}
                  y={layout[view].top - 30}
                  width={layout[view].width}
                  height={layout[view].height + 30}
                />
              ))}
            </clipPath>
          </defs>
          {VIEWS.map((view) => (
            <SheetView
              key={view}
              survey={survey}
              layout={layout}
              view={view}
              marks={marks}
              handlers={handlers}
              units={units}
            />
          ))}
          <path ref={cross} className="cross-hair" aria-hidden />
          <g className="pointer-events-none">
            {words.fields.map((each) => (
              <KiloSpots key={each.rack.rack.id} field={each} units={units} state={state} />
            ))}
          </g>
          <g className="pointer-events-none">
            <FootTargets survey={survey} layout={layout} units={units} state={state} />
          </g>
          <SheetNotes survey={survey} layout={layout} units={units} state={state} />
          <g className="pointer-events-none" aria-hidden>
            <FootArrows survey={survey} layout={layout} state={state} />
            {words.marks.map(({ key, at }) => (
              <Quartered key={key} at={at} />
            ))}
          </g>
          <Words placed={words.placed} />
          <SpreadHandles
            survey={survey}
            layout={layout}
            units={units}
            pickedId={marks.picked?.kind === 'bar' ? marks.picked.id : undefined}
            onGrab={(barId, event) => handlers.onGrab({ kind: 'bar', id: barId }, 'plan', event)}
            onPick={(barId) => pick({ kind: 'bar', id: barId })}
          />
          <Ghost survey={survey} layout={layout} units={units} taken={taken} />
          {marks.opening && (
            <g clipPath="url(#pane-all)" className="pointer-events-none">
              <OpeningView
                key={`${marks.opening.id} ${marks.opening.metId ?? ''}`}
                survey={survey}
                layout={layout}
                units={units}
                id={marks.opening.id}
                metId={marks.opening.metId}
                taken={taken}
              />
            </g>
          )}
          <text
            ref={readout}
            x={layout.rear.left}
            y={layout.height - 10}
            className="sheet-text sheet-quiet"
            aria-hidden
          />
        </svg>
      )}
    </div>
  )
}
