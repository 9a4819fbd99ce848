import { formatQuantity, type UnitChoice } from '@/core/api/plan'
import { toSheet, type SheetLayout } from '@/drawing/layout'

export interface Tick {
  /** Along the ruler's way, px on the sheet. */
  readonly at: number
  /** A long tick has a figure. */
  readonly figure: string | undefined
}

/** Ticks a hand can read at this scale: whole hundreds of millimetres, or whole inches and feet. */
export function rulerStep(scale: number, units: UnitChoice) {
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
    text: (value: number) =>
      formatQuantity('length', value, { ...units, show: us ? 'us' : 'metric' }).replace(/ (mm|in)$/, ''),
  }
}

const MOST_TICKS = 600

/** The ticks of the ruler of heights over the ground, from below. */
export function heightTicks(layout: SheetLayout, units: UnitChoice): readonly Tick[] {
  const { mm, every, text } = rulerStep(layout.scale, units)
  const { top, height } = layout.side
  const ticks: Tick[] = []
  for (let i = 0; i < MOST_TICKS; i += 1) {
    const [, at] = toSheet(layout, 'side', 0, i * mm)
    if (at < top) break
    if (at <= top + height) ticks.push({ at, figure: i % every === 0 ? text(i * mm) : undefined })
  }
  return ticks
}

/** The ticks of the ruler of lengths behind the windscreen's upper edge, from the front. */
export function lengthTicks(layout: SheetLayout, units: UnitChoice): readonly Tick[] {
  const { mm, every, text } = rulerStep(layout.scale, units)
  const { left, width } = layout.side
  const [zero] = toSheet(layout, 'side', 0, 0)
  const first = Math.ceil((left - zero) / layout.scale / mm)
  const ticks: Tick[] = []
  for (let i = first; i < first + MOST_TICKS; i += 1) {
    const [at] = toSheet(layout, 'side', i * mm, 0)
    if (at > left + width) break
    ticks.push({ at, figure: i % every === 0 ? text(i * mm) : undefined })
  }
  return ticks
}
