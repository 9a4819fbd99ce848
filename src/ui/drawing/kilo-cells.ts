import { formatQuantity, type State, type UnitChoice } from '@/core/api/plan'
import type { RackAt, Survey } from '@/core/api/assess'
import { toSheet, type SheetLayout } from '@/drawing/layout'
import { inPane, paneBox } from './load-labels'
import type { Label } from './place-labels'
import { unitless, single } from './sheet-figures'

const GRID = { rows: 6, columns: 4 } as const

export interface KiloCell {
  readonly key: string
  readonly kg: number
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

/** What a rack would still take (kg), spot by spot of its deck, with where each spot lies in the plan (px). */
export interface KiloField {
  readonly rack: RackAt
  readonly leastKg: number
  readonly mostKg: number
  /** Some link has no figure: it is at most so much. */
  readonly atMost: boolean
  readonly cells: readonly KiloCell[]
}

/** The field of every rack on which something more may go at all. */
export function kiloFields(survey: Survey, layout: SheetLayout, state: State): readonly KiloField[] {
  return survey.racks.flatMap((rack): KiloField[] => {
    const field = survey.statics.nextKiloField(rack, state, GRID)
    const spots = field.flat()
    const first = spots[0]
    if (!first) return []
    const kilos = spots.map(({ kg }) => kg)
    const mostKg = Math.max(...kilos)
    if (!Number.isFinite(mostKg)) return []
    const stepX = Math.abs((field[1]?.[0]?.xMm ?? first.xMm) - first.xMm)
    const stepY = Math.abs((field[0]?.[1]?.yMm ?? first.yMm) - first.yMm)
    const cells = spots.map(({ xMm, yMm, kg }): KiloCell => {
      const [left, top] = toSheet(layout, 'plan', xMm - stepX / 2, yMm + stepY / 2)
      const [right, bottom] = toSheet(layout, 'plan', xMm + stepX / 2, yMm - stepY / 2)
      return { key: `${rack.rack.id} ${xMm} ${yMm}`, kg, left, top, right, bottom }
    })
    return [
      {
        rack,
        leastKg: Math.min(...kilos),
        mostKg,
        atMost: first.unrated.length + first.unweighed.length > 0,
        cells: cells.filter(({ left, top, right, bottom }) =>
          inPane(layout, 'plan', [(left + right) / 2, (top + bottom) / 2]),
        ),
      },
    ]
  })
}

const NARROWEST_PX = 18

/** The figure in each spot that is wide enough for one. */
export function kiloLabels(
  fields: readonly KiloField[],
  layout: SheetLayout,
  units: UnitChoice,
): readonly Label[] {
  const inside = paneBox(layout, 'plan')
  return fields.flatMap(({ cells }) =>
    cells
      .filter(({ left, right }) => right - left > NARROWEST_PX)
      .map(({ key, kg, left, right, top, bottom }): Label => ({
        key: `kilo ${key}`,
        text: unitless(formatQuantity('mass', Math.floor(kg), single(units))),
        variant: 'small',
        rank: 6,
        inside,
        spots: [{ x: (left + right) / 2, y: (top + bottom) / 2 + 4, anchor: 'middle' }],
      })),
  )
}
