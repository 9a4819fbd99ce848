import { formatQuantity, type StateGlance, type UnitChoice, VERDICT_WORD } from '@/core'

/** How much over, how many to find out, or how much is left; nothing where there is no more to say than the verdict. */
export function besideVerdict({ verdict, open, leftKg }: StateGlance, units: UnitChoice): string | undefined {
  const single = units.show === 'both' ? { ...units, show: 'metric' as const } : units
  if (verdict === 'stop' && leftKg !== undefined && leftKg < 0)
    return `${formatQuantity('mass', -leftKg, single)} over`
  if (verdict === 'stop' || verdict === 'findOut') return `${open} ${verdict === 'stop' ? 'to mend' : 'open'}`
  return leftKg === undefined || verdict === 'unplanned'
    ? undefined
    : `${formatQuantity('mass', leftKg, single)} left`
}

/** A state's verdict in a few words. */
export function verdictWords(glance: StateGlance, units: UnitChoice): string {
  const beside = besideVerdict(glance, units)
  return beside === undefined ? VERDICT_WORD[glance.verdict] : `${VERDICT_WORD[glance.verdict]}, ${beside}`
}
