import { formatQuantity, type UnitChoice } from '@/core/api/plan'
import type { SpreadPair, Survey } from '@/core/api/assess'
import type { PointerEvent } from 'react'
import { MOST_SPAN_ROWS, SPAN_ROW_PX, toSheet, type SheetLayout } from '@/drawing/layout'
import { spanHolds, spanOf } from './ruler-labels'
import { rulerYOf, spansYOf } from './sheet-places'

/** What each thing allows the rear bar of a pair, as spans from its front bar; what suits all of them as a band. */
function PairSpans({ pair, layout }: { pair: SpreadPair; layout: SheetLayout }) {
  const { front, rear, wants, common, nowMm } = pair
  const rows = wants.slice(0, MOST_SPAN_ROWS)
  const y = spansYOf(layout)
  const bottom = y + rows.length * SPAN_ROW_PX + 4
  const shared = common[0]
  const suits = shared !== undefined && nowMm >= shared[0] - 1e-6 && nowMm <= shared[1] + 1e-6
  const now = spanOf(layout, pair, 0, nowMm, 0).right
  const band = shared && spanOf(layout, pair, shared[0], shared[1], 0)
  return (
    <g>
      {shared && band && shared[1] < 30_000 && (
        <rect
          x={band.left}
          y={y}
          width={Math.max(2, band.right - band.left)}
          height={bottom - y}
          className="spread-common"
        />
      )}
      {rows.map(({ member, from, to }, i) => {
        const { left, right, y: at } = spanOf(layout, pair, from, to, i)
        return (
          <path
            key={member.id}
            d={`M ${left} ${at - 3} V ${at + 3} M ${left} ${at} H ${right} M ${right} ${at - 3} V ${at + 3}`}
            className={spanHolds(pair, from, to) ? 'spread-span' : 'spread-span spread-span-bad'}
          />
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
export function SpreadSpans({ survey, layout }: { survey: Survey; layout: SheetLayout }) {
  return (
    <g aria-hidden>
      {survey.fit
        .spreads()
        .pairs.filter(({ wants }) => wants.length > 0)
        .map((pair) => (
          <PairSpans key={`${pair.front.bar.id}-${pair.rear.bar.id}`} pair={pair} layout={layout} />
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
  pickedId,
  onGrab,
  onPick,
}: {
  survey: Survey
  layout: SheetLayout
  units: UnitChoice
  pickedId: string | undefined
  onGrab: (barId: string, event: PointerEvent<SVGElement>) => void
  onPick: (barId: string) => void
}) {
  const { side } = layout
  const y = rulerYOf(layout)
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
            tabIndex={-1}
            data-roving="ruler"
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
            <rect x={x - 22} y={y - 22} width={44} height={44} className="spread-target" />
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
