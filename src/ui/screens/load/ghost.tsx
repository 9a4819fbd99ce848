'use client'
import { type Box, phraseText, type UnitChoice } from '@/core/api/plan'
import { sizeAsPlaced, type Survey, trialThing } from '@/core/api/assess'
import { toSheet, type SheetLayout, type ViewName, VIEWS } from '@/drawing/layout'
import { type LabelBox, spotAmong } from '@/ui/drawing/place-labels'
import { SheetText } from '@/ui/drawing/sheet-text'
import { placeFor } from '@/ui/forms/put-on'
import { useShelfDrag } from './shelf-drag'

function outline(layout: SheetLayout, view: ViewName, box: Box): string {
  const [u0, u1] = view === 'rear' ? [box.y0, box.y1] : [box.x0, box.x1]
  const [v0, v1] = view === 'plan' ? [box.y0, box.y1] : [box.z0, box.z1]
  const [left, low] = toSheet(layout, view, u0, v0)
  const [right, high] = toSheet(layout, view, u1, v1)
  return `M ${left} ${low} H ${right} V ${high} H ${left} Z`
}

/** A thing from the shelf held over the drawing: where it would go, or why it cannot, before it is let go. */
export function Ghost({
  survey,
  layout,
  units,
  taken,
}: {
  survey: Survey
  layout: SheetLayout
  units: UnitChoice
  taken: readonly LabelBox[]
}) {
  const held = useShelfDrag((store) => store.held)
  const answer = held && placeFor(survey, held.gear, held.rackId, held.near)
  if (!held || !answer) return null
  const { gear, near } = held
  const thing = answer.kind === 'cannot' ? undefined : trialThing(survey, gear, answer.placement)
  const size = sizeAsPlaced(gear, gear.turns[0] ?? 0, false)
  const top = survey.racks.find(({ rack }) => rack.id === held.rackId)?.topZMm ?? survey.plan.vehicle.heightMm
  const box: Box = thing?.box ?? {
    x0: near.xMm - size.length / 2,
    x1: near.xMm + size.length / 2,
    y0: near.yMm - size.width / 2,
    y1: near.yMm + size.width / 2,
    z0: top,
    z1: top + size.height,
  }
  const words =
    answer.kind === 'fits'
      ? `${gear.name} goes here`
      : answer.kind === 'fitsIf'
        ? `${gear.name} goes here ${phraseText(answer.say, units)}`
        : `${gear.name}: ${phraseText(answer.why, units)}`
  const [wordsX, wordsY] = toSheet(layout, 'plan', box.x0, box.y1)
  const zones = survey.fit
    .widths()
    .filter(({ rack }) => rack.rack.id === held.rackId && !rack.deck)
    .flatMap(({ rack, free }) => {
      const xs = rack.bars.map(({ bar }) => bar.xMm)
      return free.map(([y0, y1]) => ({
        x0: Math.min(...xs) - 60,
        x1: Math.max(...xs) + 60,
        y0,
        y1,
        z0: 0,
        z1: 0,
      }))
    })
  const bad = answer.kind === 'cannot'
  const tall = toSheet(layout, 'plan', box.x0, box.y0)[1] - wordsY
  const over = (px: number) => ({ x: wordsX, y: wordsY - px, anchor: 'start' }) as const
  return (
    <g className="pointer-events-none" aria-hidden data-ghost={answer.kind}>
      {zones.map((zone) => (
        <path key={zone.y0} d={outline(layout, 'plan', zone)} className="ghost-zone" />
      ))}
      {VIEWS.map((view) => (
        <path key={view} d={outline(layout, view, box)} className={bad ? 'ghost ghost-bad' : 'ghost'} />
      ))}
      <SheetText
        {...spotAmong(
          'title',
          words,
          [over(8), ...[24, 38, 52].map(over), ...[-14, -28, -42].map((down) => over(down - tall))],
          taken,
        )}
        text={words}
        variant={bad ? 'sheet-stop' : 'sheet-title'}
      />
    </g>
  )
}
