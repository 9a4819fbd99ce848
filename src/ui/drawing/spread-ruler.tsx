import { formatQuantity, type SpreadPair, type Survey, type UnitChoice } from '@/core'
import type { PointerEvent } from 'react'
import { MOST_SPAN_ROWS, SPAN_ROW_PX, toSheet, type SheetLayout } from './layout'
import { SheetText } from './sheet-text'

/** A letter of the spans' words takes about so many px. */
const LETTER_PX = 5.4

/** What each thing allows the rear bar of a pair, as spans from its front bar; what suits all of them as a band. */
function PairSpans({
  pair,
  layout,
  y,
  units,
}: {
  pair: SpreadPair
  layout: SheetLayout
  y: number
  units: UnitChoice
}) {
  const { front, rear, wants, common, nowMm } = pair
  const single: UnitChoice = units.show === 'both' ? { ...units, show: 'metric' } : units
  const px = (x: number) => {
    const [at] = toSheet(layout, 'side', front.bar.xMm + x, 0)
    return Math.min(Math.max(at, layout.side.left), layout.side.left + layout.side.width)
  }
  const length = (mm: number) => formatQuantity('length', mm, single).replace(/ (mm|in)$/, '')
  const rows = wants.slice(0, MOST_SPAN_ROWS)
  const bottom = y + rows.length * SPAN_ROW_PX + 4
  const shared = common[0]
  const suits = shared !== undefined && nowMm >= shared[0] - 1e-6 && nowMm <= shared[1] + 1e-6
  const now = px(nowMm)
  return (
    <g>
      {shared && shared[1] < 30_000 && (
        <rect
          x={px(shared[0])}
          y={y}
          width={Math.max(2, px(shared[1]) - px(shared[0]))}
          height={bottom - y}
          className="spread-common"
        />
      )}
      {rows.map(({ member, from, to }, i) => {
        const at = y + 5 + i * SPAN_ROW_PX
        const holds = nowMm >= from - 1e-6 && nowMm <= to + 1e-6
        const [left, right] = [px(from), px(to)]
        const text = `${member.name} ${length(from)}–${length(to)}`
        const end = layout.side.left + layout.side.width
        const beforeIt = right + 5 + text.length * LETTER_PX > end
        return (
          <g key={member.id}>
            <path
              d={`M ${left} ${at - 3} V ${at + 3} M ${left} ${at} H ${right} M ${right} ${at - 3} V ${at + 3}`}
              className={holds ? 'spread-span' : 'spread-span spread-span-bad'}
            />
            <SheetText
              x={beforeIt ? left - 5 : right + 5}
              y={at + 3.5}
              text={text}
              anchor={beforeIt ? 'end' : 'start'}
              look={holds ? 'sheet-small' : 'sheet-small sheet-stop'}
            />
          </g>
        )
      })}
      <path
        d={`M ${now} ${y - 14} V ${bottom}`}
        className={suits ? 'spread-now' : 'spread-now spread-now-bad'}
      />
      <title>{`${front.bar.name} to ${rear.bar.name}`}</title>
    </g>
  )
}

/** Every pair's spans, under the ruler of lengths. */
export function SpreadSpans({
  survey,
  layout,
  units,
  y,
}: {
  survey: Survey
  layout: SheetLayout
  units: UnitChoice
  y: number
}) {
  return (
    <g aria-hidden>
      {survey.fit
        .spreads()
        .pairs.filter(({ wants }) => wants.length > 0)
        .map((pair) => (
          <PairSpans
            key={`${pair.front.bar.id}-${pair.rear.bar.id}`}
            pair={pair}
            layout={layout}
            y={y}
            units={units}
          />
        ))}
    </g>
  )
}

/** What a bar's handle says of the spreads it takes part in. */
function spokenSpread(survey: Survey, barId: string, units: UnitChoice): string {
  const length = (mm: number) => formatQuantity('length', mm, units)
  const pairs = survey.fit
    .spreads()
    .pairs.filter(({ front, rear }) => front.bar.id === barId || rear.bar.id === barId)
  return pairs
    .map(({ front, rear, nowMm, wants, common }) => {
      const other = front.bar.id === barId ? rear : front
      const shared = common[0]
      const all =
        wants.length === 0
          ? ''
          : shared === undefined
            ? ', nothing suits all that asks'
            : `, suits all from ${length(shared[0])} to ${length(shared[1])}`
      return `${length(nowMm)} to ${other.bar.name}${all}`
    })
    .join('; ')
}

/** The bars on the ruler: handles to drag or to nudge with the arrow keys. */
export function SpreadHandles({
  survey,
  layout,
  units,
  y,
  pickedId,
  onGrab,
  onPick,
}: {
  survey: Survey
  layout: SheetLayout
  units: UnitChoice
  y: number
  pickedId: string | undefined
  onGrab: (barId: string, event: PointerEvent<SVGElement>) => void
  onPick: (barId: string) => void
}) {
  const { side } = layout
  const spreads = survey.fit.spreads()
  return (
    <g>
      {survey.bars.map((at) => {
        const { bar, rack } = at
        const [x] = toSheet(layout, 'side', bar.xMm, 0)
        if (x < side.left || x > side.left + side.width) return null
        const locked = spreads.locked(at)
        const picked = pickedId === bar.id
        return (
          <g
            key={bar.id}
            role="slider"
            tabIndex={0}
            aria-label={`Spread ruler: ${bar.name}, ${rack.name}${locked ? ', fixed by the vehicle' : ''}`}
            aria-orientation="horizontal"
            aria-valuenow={Math.round(bar.xMm)}
            aria-valuemin={-3000}
            aria-valuemax={8000}
            aria-valuetext={spokenSpread(survey, bar.id, units)}
            className={`spread-handle ${picked ? 'spread-handle-picked' : ''} ${locked ? 'spread-handle-locked' : ''}`}
            onPointerDown={(event) => onGrab(bar.id, event)}
            onFocus={() => onPick(bar.id)}
          >
            <rect x={x - 14} y={y - 16} width={28} height={32} className="spread-target" />
            {locked ? (
              <circle cx={x} cy={y} r={5.5} className="spread-grip" />
            ) : (
              <path
                d={`M ${x - 6} ${y - 6} H ${x + 6} V ${y + 2} L ${x} ${y + 8} L ${x - 6} ${y + 2} Z`}
                className="spread-grip"
              />
            )}
          </g>
        )
      })}
    </g>
  )
}
