import type { UnitChoice } from '@/core/api/plan'

/** One system on the drawing, where two figures would not find room. */
export const single = (units: UnitChoice): UnitChoice =>
  units.show === 'both' ? { ...units, show: 'metric' } : units

/** A figure without its unit: the drawing says once what it is in. */
export const unitless = (figure: string) => figure.replace(/ (mm|in|kg|lb)$/, '')
