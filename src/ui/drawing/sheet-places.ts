import type { BarWidth, Survey } from '@/core/api/assess'
import type { SheetLayout } from '@/drawing/layout'

const UNDER_SIDE_PX = 34
const UNDER_RULER_PX = 26
const WIDTH_ROW_PX = 42

/** How far down the ruler of lengths stands, px. */
export const rulerYOf = ({ side }: SheetLayout) => side.top + side.height + UNDER_SIDE_PX

/** How far down the first span under the ruler of lengths begins, px. */
export const spansYOf = (layout: SheetLayout) => rulerYOf(layout) + UNDER_RULER_PX

/** The bars whose widths have room under the rear view, each with how far down it stands, px. */
export function widthRowsOf(survey: Survey, layout: SheetLayout) {
  const { rear, plan, stacked } = layout
  const top = rear.top + rear.height + 30
  const most = stacked ? 0 : Math.max(0, Math.floor((plan.top + plan.height - top) / WIDTH_ROW_PX))
  const bars: readonly BarWidth[] = survey.fit.widths().flatMap((rack) => rack.bars)
  return { top, rows: bars.slice(0, most).map((width, i) => ({ width, y: top + 26 + i * WIDTH_ROW_PX })) }
}
