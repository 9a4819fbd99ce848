import type { UnitChoice } from '@/core/api/plan'
import type { SheetLayout } from '@/drawing/layout'
import { heightTicks, lengthTicks } from './ruler-step'

/** The lines of the ruler of heights over the ground, beside the side view. */
export function HeightRuler({ layout, units }: { layout: SheetLayout; units: UnitChoice }) {
  const { side } = layout
  const x = side.left - 10
  const ticks = heightTicks(layout, units).map(({ at, figure }) => `M ${x} ${at} h ${figure ? -8 : -4}`)
  return (
    <path
      aria-hidden
      d={`M ${x} ${side.top} V ${side.top + side.height} ${ticks.join(' ')}`}
      className="ruler"
    />
  )
}

/** The lines of the ruler of lengths, between the side view and the plan. */
export function LengthRuler({ layout, units, y }: { layout: SheetLayout; units: UnitChoice; y: number }) {
  const { left, width } = layout.side
  const ticks = lengthTicks(layout, units).map(({ at, figure }) => `M ${at} ${y} v ${figure ? 8 : 4}`)
  return <path aria-hidden d={`M ${left} ${y} H ${left + width} ${ticks.join(' ')}`} className="ruler" />
}
