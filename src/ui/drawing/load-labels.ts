import {
  type Amount,
  formatQuantity,
  missing,
  mm,
  phraseText,
  type State,
  toSpare,
  type UnitChoice,
} from '@/core/api/plan'
import type { ClearanceAt, Survey, ThingAt } from '@/core/api/assess'
import type { Picked } from '@/ui/state/plan-store'
import { CEILING_IN_SIGHT_MM, toSheet, type SheetLayout, type ViewName } from '@/drawing/layout'
import { textWidth } from './letter-widths'
import type { Label, LabelBox, LabelSpot } from './place-labels'
import { wholeSheet } from './ruler-labels'
import { unitless, single } from './sheet-figures'

/** How far over the plan's edge figures may stand, px. */
export const AROUND_PLAN_PX = 14

export function paneBox(layout: SheetLayout, view: ViewName): LabelBox {
  const { left, top, width, height } = layout[view]
  return { left, top, right: left + width, bottom: top + height }
}

export const inPane = (layout: SheetLayout, view: ViewName, [x, y]: readonly [number, number]) => {
  const { left, top, right, bottom } = paneBox(layout, view)
  return x > left && x < right && y > top && y < bottom
}

/** Which doors are drawn as lines, and which stand too high to be drawn. */
export function doorsOf({ clearances, drivingTop }: Survey) {
  const isInSight = ({ clearance }: ClearanceAt) =>
    clearance.heightMm <= drivingTop.topMm + CEILING_IN_SIGHT_MM
  return { inSight: clearances.filter(isInSight), above: clearances.filter((each) => !isInSight(each)) }
}

/** The top of the load, and what each door and garage leaves. */
export function heightLabels(
  survey: Survey,
  layout: SheetLayout,
  units: UnitChoice,
  state: State,
): readonly Label[] {
  const { side, stacked } = layout
  const length = (mm: number) => formatQuantity('length', mm, single(units))
  const amountText = (amount: Amount) => phraseText([amount], single(units))
  const words = ({ clearance: { name, heightMm }, spareMm, passes }: ClearanceAt) =>
    spareMm < 0
      ? `${name} ${length(heightMm)}, ${amountText(missing(mm(-spareMm)))} too high`
      : `${name} ${length(heightMm)}, ${passes ? '' : 'only '}${amountText(toSpare(mm(spareMm)))} to spare`
  const right = side.left + side.width - 4
  const left = side.left + 4
  const inside = { ...paneBox(layout, 'side'), top: 0 }
  const { inSight, above } = doorsOf(survey)
  const top = survey.heights[state].topMm
  const [, topY] = toSheet(layout, 'side', 0, top)
  const doors = inSight.flatMap((each): Label[] => {
    const [, y] = toSheet(layout, 'side', 0, each.clearance.heightMm)
    if (y < side.top - 12 || y > side.top + side.height) return []
    const ends = [
      { x: right, y: y - 4, anchor: 'end' },
      { x: left, y: y - 4, anchor: 'start' },
      { x: right, y: y + 13, anchor: 'end' },
      { x: left, y: y + 13, anchor: 'start' },
      { x: side.left + side.width / 2, y: y - 4, anchor: 'middle' },
    ] as const
    return [
      {
        key: `door ${each.clearance.id}`,
        text: words(each),
        variant: each.passes ? 'plain' : 'stop',
        rank: each.passes ? 2 : 1,
        inside,
        spots: [...ends, ...ends.map((spot) => ({ ...spot, text: each.clearance.name }))],
      },
    ]
  })
  const higher: Label[] =
    above.length === 0 || stacked
      ? []
      : [
          {
            key: 'doors above',
            text: above.map(words).join(' · '),
            variant: 'quiet',
            rank: 3,
            inside,
            spots: [
              { x: right, y: side.top - 14, anchor: 'end' },
              {
                x: right,
                y: side.top - 14,
                anchor: 'end',
                text: `${above.length} higher: ${above.map(({ clearance }) => clearance.name).join(' · ')}`,
              },
              { x: right, y: side.top - 14, anchor: 'end', text: `${above.length} higher` },
            ],
          },
        ]
  const mark: Label[] =
    topY > side.top && topY < side.top + side.height
      ? [
          {
            key: 'top of load',
            text: unitless(length(top)),
            variant: 'plain',
            rank: 0,
            inside: wholeSheet(layout),
            spots: [{ x: side.left - 21, y: topY + 4, anchor: 'end' }],
          },
        ]
      : []
  return [...mark, ...doors, ...higher]
}

/** Names on what is there, the largest first, where there is room for them. */
export function nameLabels(
  survey: Survey,
  layout: SheetLayout,
  picked: Picked | undefined,
): readonly Label[] {
  const inside = paneBox(layout, 'plan')
  const area = ({ box }: ThingAt) => (box.x1 - box.x0) * (box.y1 - box.y0)
  const largest = Math.max(1, ...survey.things.map(area))
  return survey.things.flatMap((thing): Label[] => {
    const { placement, gear, box } = thing
    const isPicked = picked?.kind === 'thing' && picked.id === placement.id
    const [x0, low] = toSheet(layout, 'plan', Math.max(box.x0, -30_000), box.y0)
    const [x1, high] = toSheet(layout, 'plan', box.x1, box.y1)
    const [left, right] = [Math.max(x0, inside.left), Math.min(x1, inside.right)]
    const half = textWidth(gear.name, 12) / 2
    const hasRoom = low - high >= 15 && right - left >= half * 2 + 8
    if (!isPicked && !hasRoom) return []
    const middle = (left + right) / 2
    const y = (low + high) / 2 + 4
    const tall = low - high > 44
    const along = (level: number): LabelSpot[] =>
      [middle, right - half - 10, left + half + 10].map((x) => ({ x, y: level, anchor: 'middle' }))
    return [
      {
        key: `name ${placement.id}`,
        text: gear.name,
        variant: 'name',
        rank: isPicked ? 4.2 : 8 - (0.9 * area(thing)) / largest,
        inside,
        spots: [
          ...(hasRoom ? along(y) : []),
          ...(hasRoom && tall ? [...along(high + 16), ...along(low - 8)] : []),
          ...(isPicked
            ? ([
                { x: middle, y: high - 5, anchor: 'middle' },
                { x: middle, y: low + 14, anchor: 'middle' },
                { x: right + 6, y, anchor: 'start' },
                { x: left - 6, y, anchor: 'end' },
                { x: middle, y: high - 19, anchor: 'middle' },
                { x: middle, y: low + 28, anchor: 'middle' },
              ] as const)
            : []),
        ],
      },
    ]
  })
}

/** Titles of the views and the letters of the sides. */
export function viewLabels(survey: Survey, layout: SheetLayout): readonly Label[] {
  const { side, rear, plan } = layout
  const inside = wholeSheet(layout)
  const title = (text: string, x: number, y: number): Label => ({
    key: `view ${text}`,
    text,
    variant: 'title',
    rank: 0,
    inside,
    spots: [{ x, y, anchor: 'start' }],
  })
  const letter = (key: string, text: string, [x, y]: readonly [number, number], within: LabelBox): Label => ({
    key,
    text,
    variant: 'letter',
    rank: 7,
    inside: within,
    spots: [{ x, y, anchor: 'middle' }],
  })
  const half = survey.plan.vehicle.widthMm / 2
  const beside = (y: number): readonly [number, number] => [
    plan.left - 16,
    toSheet(layout, 'plan', 0, y)[1] + 4,
  ]
  const besidePlan = { ...paneBox(layout, 'plan'), left: 0, right: plan.left }
  const low = survey.body.sillZMm * 1.35
  return [
    title('Side', side.left, side.top - 14),
    title('Rear', rear.left, rear.top - 14),
    title('Plan', plan.left - 50, plan.top + 12),
    letter('right in plan', 'R', beside(half * 0.72), besidePlan),
    letter('left in plan', 'L', beside(-half * 0.72), besidePlan),
    letter('left from behind', 'L', toSheet(layout, 'rear', -half * 0.62, low), paneBox(layout, 'rear')),
    letter('right from behind', 'R', toSheet(layout, 'rear', half * 0.62, low), paneBox(layout, 'rear')),
  ]
}
