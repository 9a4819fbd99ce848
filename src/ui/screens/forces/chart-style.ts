import { type UnitChoice, unitOf } from '@/core/api/plan'

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

/** Ticks at round numbers from below the lowest to above the highest, nothing among them. */
export function roundTicks(from: number, to: number): number[] {
  const span = Math.max(1e-6, to - Math.min(0, from))
  const power = 10 ** Math.floor(Math.log10(span / 5))
  const step = [1, 2, 5, 10].map((each) => each * power).find((each) => span / each <= 6) ?? 10 * power
  const first = Math.floor(Math.min(0, from) / step)
  const last = Math.max(1, Math.ceil(to / step))
  return Array.from({ length: last - first + 1 }, (_, i) => Number(((first + i) * step).toPrecision(6)))
}
