import { FIT_NEXT, type Candidate, type RemedyStock } from './candidate'
import type { Bar } from '../plan/rack'
import type { Survey } from '../survey/survey'
import { mm } from '../units/phrase'

/** Swap bars for the shortest ones in stock that are long or wide enough, on the same feet. */
export function longerBars(
  survey: Survey,
  barIds: readonly string[],
  stock: RemedyStock,
  enough: (bar: Bar) => boolean,
): Candidate[] {
  const longer = (stock.bars ?? []).filter(enough).toSorted((a, b) => a.lengthMm - b.lengthMm)[0]
  const bars = survey.bars.filter(({ bar }) => barIds.includes(bar.id) && !enough(bar))
  if (!longer || bars.length === 0) return []
  return [
    {
      kind: 'fit',
      message: ['Swap for bars of ', mm(longer.lengthMm), ' on the same feet'],
      command: {
        do: 'together',
        commands: bars.map(({ bar: { typed: _, ...bar } }) => ({
          do: 'setBar',
          bar: {
            ...bar,
            lengthMm: longer.lengthMm,
            usableMm: longer.usableMm,
            profile: longer.profile,
            capMm: longer.capMm ?? 0,
          },
        })),
      },
      rank: FIT_NEXT + 1000,
    },
  ]
}
