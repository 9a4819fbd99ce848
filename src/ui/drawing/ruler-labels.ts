import { OPEN_MM, type BarWidth, type SpreadPair, type Survey } from '@/core/api/assess'
import { formatQuantity, type UnitChoice } from '@/core/api/plan'
import { MOST_SPAN_ROWS, SPAN_ROW_PX, toSheet, type SheetLayout } from '@/drawing/layout'
import type { Label, LabelBox } from './place-labels'
import { heightTicks, lengthTicks } from './ruler-step'
import { rulerYOf, spansYOf, widthRowsOf } from './sheet-places'
import { unitless, single } from './sheet-figures'

/** Anywhere: what stands outside the views is held by the sheet alone. */
export const wholeSheet = (layout: SheetLayout): LabelBox => ({
  left: 0,
  top: 0,
  right: layout.width,
  bottom: layout.height,
})

/** The figures along the ruler of heights and the ruler of lengths. */
export function tickLabels(layout: SheetLayout, units: UnitChoice): readonly Label[] {
  const inside = wholeSheet(layout)
  const at = { variant: 'quiet', rank: 9, inside } as const
  const x = layout.side.left - 21
  const y = rulerYOf(layout) + 20
  return [
    ...heightTicks(layout, units).flatMap(({ at: level, figure }) =>
      figure === undefined
        ? []
        : [
            {
              ...at,
              key: `height ${figure}`,
              text: figure,
              spots: [{ x, y: level + 4, anchor: 'end' }],
            } as const,
          ],
    ),
    ...lengthTicks(layout, units).flatMap(({ at: along, figure }) =>
      figure === undefined
        ? []
        : [
            {
              ...at,
              key: `length ${figure}`,
              text: figure,
              spots: [{ x: along, y, anchor: 'middle' }],
            } as const,
          ],
    ),
  ]
}

/** From bar to bar, centre to centre, as dimensions over the ruler of lengths. */
export function spreadLabels(survey: Survey, layout: SheetLayout, units: UnitChoice): readonly Label[] {
  const xs = survey.bars.map(({ bar }) => bar.xMm).toSorted((a, b) => a - b)
  const { left, width } = layout.side
  const inPane = (x: number) => x >= left && x <= left + width
  const y = rulerYOf(layout) - 9
  return xs.flatMap((x, i) => {
    const before = xs[i - 1]
    if (before === undefined) return []
    const [from] = toSheet(layout, 'side', before, 0)
    const [to] = toSheet(layout, 'side', x, 0)
    if (!inPane(from) || !inPane(to) || to - from <= 2) return []
    return [
      {
        key: `spread ${i}`,
        text: unitless(formatQuantity('length', x - before, single(units))),
        variant: 'plain',
        rank: 4,
        inside: wholeSheet(layout),
        spots: [{ x: (from + to) / 2, y: y - 5, anchor: 'middle', line: { from, to, y } }],
      } as const,
    ]
  })
}

/** Where a want of a pair of bars is drawn as a span, px. */
export function spanOf(layout: SheetLayout, pair: SpreadPair, from: number, to: number, row: number) {
  const { left, width } = layout.side
  const px = (x: number) =>
    Math.min(Math.max(toSheet(layout, 'side', pair.front.bar.xMm + x, 0)[0], left), left + width)
  return { left: px(from), right: px(to), y: spansYOf(layout) + 5 + row * SPAN_ROW_PX }
}

/** Whether the pair stands as a want of it asks. */
export const spanHolds = ({ nowMm }: SpreadPair, from: number, to: number) =>
  nowMm >= from - 1e-6 && nowMm <= to + 1e-6

/** What each thing asks of the bars it stands on, beside its span. */
export function spanLabels(survey: Survey, layout: SheetLayout, units: UnitChoice): readonly Label[] {
  const length = (mm: number) => unitless(formatQuantity('length', mm, single(units)))
  const { side } = layout
  const inside = { ...wholeSheet(layout), left: side.left, right: side.left + side.width }
  return survey.fit.spreads().pairs.flatMap((pair) =>
    pair.wants.slice(0, MOST_SPAN_ROWS).map(({ member, from, to }, row): Label => {
      const { left, right, y } = spanOf(layout, pair, from, to, row)
      const figures = to >= OPEN_MM ? `≥ ${length(from)}` : `${length(from)}–${length(to)}`
      const whole = `${member.name} ${figures}`
      const beside = (text: string) =>
        [
          { x: right + 5, y: y + 4, anchor: 'start', text },
          { x: left - 5, y: y + 4, anchor: 'end', text },
        ] as const
      return {
        key: `span ${pair.front.bar.id} ${pair.rear.bar.id} ${member.id}`,
        text: whole,
        variant: spanHolds(pair, from, to) ? 'small' : 'stop',
        rank: 5,
        inside,
        spots: [...beside(whole), ...beside(member.name), ...beside(figures)],
      }
    }),
  )
}

const NARROWEST_PX = 24

function widthLabels(
  { bar, free }: BarWidth,
  layout: SheetLayout,
  y: number,
  units: UnitChoice,
): readonly Label[] {
  const px = (mm: number) => toSheet(layout, 'rear', mm, 0)[0]
  const inside = wholeSheet(layout)
  return [
    {
      key: `width ${bar.bar.id}`,
      text: bar.bar.name,
      variant: 'small',
      rank: 5,
      inside,
      spots: [
        { x: Math.max(px(-bar.bar.lengthMm / 2), layout.rear.left), y: y - 11, anchor: 'start' },
        { x: layout.rear.left, y: y - 11, anchor: 'start' },
      ],
    },
    ...free
      .filter(([from, to]) => px(to) - px(from) > NARROWEST_PX)
      .map(([from, to], i): Label => ({
        key: `free ${bar.bar.id} ${i}`,
        text: unitless(formatQuantity('length', to - from, single(units))),
        variant: 'small',
        rank: 6,
        inside,
        spots: [{ x: (px(from) + px(to)) / 2, y: y + 17, anchor: 'middle' }],
      })),
  ]
}

/** Names and what is left, on each bar's width under the rear view. */
export function widthRowLabels(survey: Survey, layout: SheetLayout, units: UnitChoice): readonly Label[] {
  const { top, rows } = widthRowsOf(survey, layout)
  if (rows.length === 0) return []
  return [
    {
      key: 'widths',
      text: 'Width on each bar',
      variant: 'title',
      rank: 0,
      inside: wholeSheet(layout),
      spots: [{ x: layout.rear.left, y: top - 2, anchor: 'start' }],
    },
    ...rows.flatMap(({ width, y }) => widthLabels(width, layout, y, units)),
  ]
}
