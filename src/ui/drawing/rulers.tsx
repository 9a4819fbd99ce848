import { formatQuantity, type UnitChoice } from '@/core'
import { memo } from 'react'
import { toSheet, type SheetLayout } from './layout'
import { SheetText } from './sheet-text'

interface Step {
  readonly mm: number
  /** Every so many ticks one is long and has its figure. */
  readonly every: number
  readonly text: (mm: number) => string
}

/** Ticks a hand can read at this scale: whole hundreds of millimetres, or whole inches and feet. */
export function rulerStep(scale: number, units: UnitChoice): Step {
  const us = units.show === 'us'
  const choices: readonly (readonly [number, number])[] = us
    ? [
        [25.4, 6],
        [25.4 * 3, 4],
        [25.4 * 6, 4],
        [25.4 * 12, 5],
      ]
    : [
        [10, 10],
        [50, 4],
        [100, 5],
        [500, 4],
      ]
  const [mm, every] = choices.find(([each, count]) => each * scale >= 4.5 && each * count * scale >= 34) ??
    choices.at(-1) ?? [100, 5]
  return {
    mm,
    every,
    text: (value) =>
      formatQuantity('length', value, { ...units, show: us ? 'us' : 'metric' }).replace(/ (mm|in)$/, ''),
  }
}

/** Heights over the ground, beside the side view. */
export const HeightRuler = memo(function HeightRuler({
  layout,
  units,
  markedMm,
}: {
  layout: SheetLayout
  units: UnitChoice
  /** A height that is written here already: the ruler's own figures keep clear of it. */
  markedMm: number
}) {
  const step = rulerStep(layout.scale, units)
  const { side } = layout
  const x = side.left - 10
  const bottom = side.top + side.height
  const [, marked] = toSheet(layout, 'side', 0, markedMm)
  const ticks: number[] = []
  for (let i = 0; i < 400; i += 1) {
    const [, y] = toSheet(layout, 'side', 0, i * step.mm)
    if (y < side.top) break
    if (y <= bottom) ticks.push(i)
  }
  return (
    <g aria-hidden>
      <path d={`M ${x} ${side.top} L ${x} ${bottom}`} className="ruler" />
      {ticks.map((i) => {
        const [, y] = toSheet(layout, 'side', 0, i * step.mm)
        const long = i % step.every === 0
        return (
          <g key={i}>
            <path d={`M ${x} ${y} L ${x - (long ? 8 : 4)} ${y}`} className="ruler" />
            {long && Math.abs(y - marked) > 12 && (
              <SheetText x={x - 11} y={y + 4} text={step.text(i * step.mm)} anchor="end" look="sheet-quiet" />
            )}
          </g>
        )
      })}
    </g>
  )
})

/** Lengths behind the windscreen's upper edge, between the side view and the plan. */
export const LengthRuler = memo(function LengthRuler({
  layout,
  units,
  y,
}: {
  layout: SheetLayout
  units: UnitChoice
  y: number
}) {
  const step = rulerStep(layout.scale, units)
  const { side } = layout
  const left = side.left
  const right = side.left + side.width
  const ticks: number[] = []
  const [zero] = toSheet(layout, 'side', 0, 0)
  const first = Math.ceil((left - zero) / layout.scale / step.mm)
  for (let i = first; i < first + 600; i += 1) {
    if (toSheet(layout, 'side', i * step.mm, 0)[0] > right) break
    ticks.push(i)
  }
  return (
    <g aria-hidden>
      <path d={`M ${left} ${y} L ${right} ${y}`} className="ruler" />
      {ticks.map((i) => {
        const [x] = toSheet(layout, 'side', i * step.mm, 0)
        const long = i % step.every === 0
        return (
          <g key={i}>
            <path d={`M ${x} ${y} L ${x} ${y + (long ? 8 : 4)}`} className="ruler" />
            {long && (
              <SheetText x={x} y={y + 20} text={step.text(i * step.mm)} anchor="middle" look="sheet-quiet" />
            )}
          </g>
        )
      })}
    </g>
  )
})
