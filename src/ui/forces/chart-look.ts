import { unitOf, type Dimension } from '@/core/units/dimension'
import type { UnitChoice } from '@/core/units/format'

/** A chart has one axis, so where a person sees both systems it is drawn in metric. */
export function axisUnit(
  dimension: Dimension,
  units: UnitChoice,
): { symbol: string; of: (value: number) => number } {
  const us = units.show === 'us'
  const symbol = { mass: us ? 'lb' : 'kg', angle: '°', force: us ? 'lbf' : 'N' }[dimension as 'mass'] ?? 'kg'
  const unit = unitOf(dimension, symbol)
  return { symbol, of: (value) => Math.round((value / unit.factor) * 10) / 10 }
}

export const AXIS = {
  stroke: 'var(--edge)',
  tick: { fill: 'var(--color-base-content)', fontSize: 13 },
} as const
export const INK = 'var(--color-base-content)'
export const SECOND = 'var(--edge)'
export const LIMIT = 'var(--stopline)'
