import { unitOf } from '@/core/units/dimension'
import type { UnitChoice } from '@/core/units/format'

/** A chart has one axis, so where a person sees both systems it is drawn in metric. */
export function massAxis({ show }: UnitChoice): { symbol: string; of: (kg: number) => number } {
  const { symbol, factor } = unitOf('mass', show === 'us' ? 'lb' : 'kg')
  return { symbol, of: (kg) => Math.round((kg / factor) * 10) / 10 }
}

export const AXIS = {
  stroke: 'var(--edge)',
  tick: { fill: 'var(--color-base-content)', fontSize: 13 },
} as const
export const INK = 'var(--color-base-content)'
export const SECOND = 'var(--edge)'
export const LIMIT = 'var(--stopline)'
