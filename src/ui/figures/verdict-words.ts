import { leftPhrase, type StateSummary, VERDICT_WORD } from '@/core/api/assess'
import { phraseText, type UnitChoice } from '@/core/api/plan'

/** How much over, how many to find out, or how much is left; nothing where there is no more to say than the verdict. */
export function besideVerdict({ verdict, open, left }: StateSummary, units: UnitChoice): string | undefined {
  const single = units.show === 'both' ? { ...units, show: 'metric' as const } : units
  if (verdict === 'stop' && left?.kind === 'over') return phraseText(leftPhrase(left), single)
  if (verdict === 'stop' || verdict === 'findOut') return `${open} ${verdict === 'stop' ? 'to mend' : 'open'}`
  return left === undefined || verdict === 'unplanned' ? undefined : phraseText(leftPhrase(left), single)
}

/** A state's verdict in a few words. */
export function verdictWords(summary: StateSummary, units: UnitChoice): string {
  const beside = besideVerdict(summary, units)
  return beside === undefined ? VERDICT_WORD[summary.verdict] : `${VERDICT_WORD[summary.verdict]}, ${beside}`
}
