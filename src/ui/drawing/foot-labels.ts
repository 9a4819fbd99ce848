import { formatQuantity, type State, type UnitChoice } from '@/core/api/plan'
import { LIFTED_KG, type Survey } from '@/core/api/assess'
import { toSheet, type SheetLayout } from '@/drawing/layout'
import { AROUND_PLAN_PX, inPane, paneBox } from './load-labels'
import type { Label, LabelSpot } from './place-labels'
import { single, unitless } from './sheet-figures'

/** Load on each foot in the state shown, in the plan and, for the last bar of all, from behind; in the plan only where no field of kilos is shown that they could be taken for. */
export function footLabels(
  survey: Survey,
  layout: SheetLayout,
  units: UnitChoice,
  state: State,
  field: boolean,
): readonly Label[] {
  const lastX = Math.max(...survey.feet.map((foot) => foot.xMm))
  const plan = paneBox(layout, 'plan')
  const aroundPlan = { ...plan, top: plan.top - AROUND_PLAN_PX, bottom: plan.bottom + AROUND_PLAN_PX }
  const kg = (value: number) => unitless(formatQuantity('mass', Math.abs(value), single(units)))
  return survey.feet.flatMap((foot): Label[] => {
    const load = survey.footLoads[foot.index]?.loadKg[state] ?? 0
    if (Math.abs(load) < LIFTED_KG) return []
    const lifts = load < 0
    const words = { text: lifts ? `lifts ${kg(load)}` : kg(load), variant: lifts ? 'stop' : 'small' } as const
    const rank = lifts ? 2 : 4
    const outward = foot.side === 'right' ? -1 : 1
    const above = toSheet(layout, 'plan', foot.xMm, foot.yMm)
    const rear = toSheet(layout, 'rear', foot.yMm, foot.topZMm)
    const fromBehind = foot.xMm === lastX && inPane(layout, 'rear', rear)
    const [x, y] = [above[0], above[1] + 4]
    return [
      ...(!field && inPane(layout, 'plan', above)
        ? [
            {
              ...words,
              key: `foot ${foot.id}`,
              rank,
              inside: aroundPlan,
              spots: [
                { x, y: y + outward * 15, anchor: 'middle' },
                { x: x + 9, y: y + outward * 12, anchor: 'start' },
                { x: x - 9, y: y + outward * 12, anchor: 'end' },
                { x, y: y + outward * 29, anchor: 'middle' },
                { x, y: y - outward * 15, anchor: 'middle' },
                { x: x + 9, y, anchor: 'start' },
                { x: x - 9, y, anchor: 'end' },
              ],
            } as const,
          ]
        : []),
      ...(fromBehind
        ? [
            {
              ...words,
              key: `foot ${foot.id} from behind`,
              rank: rank + 0.5,
              inside: paneBox(layout, 'rear'),
              spots: [20, 34, 4].flatMap((down): LabelSpot[] => [
                {
                  x: rear[0] - outward * 8,
                  y: rear[1] + down,
                  anchor: foot.side === 'right' ? 'start' : 'end',
                },
                {
                  x: rear[0] + outward * 8,
                  y: rear[1] + down,
                  anchor: foot.side === 'right' ? 'end' : 'start',
                },
              ]),
            } as const,
          ]
        : []),
    ]
  })
}
