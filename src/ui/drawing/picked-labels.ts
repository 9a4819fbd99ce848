import { formatQuantity, type UnitChoice } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import type { Picked } from '@/ui/state/plan-store'
import { toSheet, type SheetLayout, type ViewName } from '@/drawing/layout'
import { AROUND_PLAN_PX, paneBox } from './load-labels'
import type { Label } from './place-labels'
import { single, unitless } from './sheet-figures'

/** Where the picked thing stands: off the centreline from behind, before the first bar from the side, its length in the plan. */
export function pickedLabels(
  survey: Survey,
  layout: SheetLayout,
  units: UnitChoice,
  picked: Picked | undefined,
): readonly Label[] {
  const thing = picked?.kind === 'thing' ? survey.thingById.get(picked.id) : undefined
  if (!thing) return []
  const { box } = thing
  const { host } = thing.placement
  const y = (box.y0 + box.y1) / 2
  const first = survey.bars.find(({ bar }) => host.on === 'bars' && host.barIds.includes(bar.id))
  const dimension = (
    key: string,
    view: ViewName,
    from: number,
    to: number,
    mm: number,
    levels: readonly number[],
  ): Label => {
    const inside = paneBox(layout, view)
    const whole =
      from > inside.left - 0.5 && to > inside.left - 0.5 && Math.max(from, to) < inside.right + 0.5
    return {
      key: `picked ${key}`,
      text: unitless(formatQuantity('length', mm, single(units))),
      variant: 'plain',
      rank: 4.5,
      inside: { ...inside, top: inside.top - 24, bottom: inside.bottom + AROUND_PLAN_PX },
      spots: whole
        ? levels.map((level) => ({
            x: (from + to) / 2,
            y: level - 5,
            anchor: 'middle',
            line: { from, to, y: level },
          }))
        : [],
    }
  }
  const over = (view: ViewName, u: number) => toSheet(layout, view, u, box.z1)
  const [x0, low] = toSheet(layout, 'plan', box.x0, box.y0)
  const [x1, high] = toSheet(layout, 'plan', box.x1, box.y1)
  const stepsOver = (level: number) => [level - 10, level - 24, level - 38, level - 52]
  return [
    ...(Math.abs(y) > 1
      ? [
          dimension(
            'across',
            'rear',
            over('rear', 0)[0],
            over('rear', y)[0],
            Math.abs(y),
            stepsOver(over('rear', y)[1]),
          ),
        ]
      : []),
    dimension('length', 'plan', x0, x1, box.x1 - box.x0, [
      low + 20,
      low + 34,
      low + 48,
      high - 8,
      high - 22,
      high - 36,
      low - 10,
      high + 22,
    ]),
    ...(first && box.x0 < first.bar.xMm
      ? [
          dimension(
            'before the bar',
            'side',
            over('side', box.x0)[0],
            over('side', first.bar.xMm)[0],
            first.bar.xMm - box.x0,
            stepsOver(over('side', box.x0)[1]),
          ),
        ]
      : []),
  ]
}
