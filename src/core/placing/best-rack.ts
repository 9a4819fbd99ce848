import type { Gear } from '../plan/schema/gear'
import type { Adapter } from '../plan/schema/placement'
import type { Survey } from '../survey/survey'
import { compatible } from './compatible'

const RANK = { fits: 0, fitsIf: 1, cannot: 2 } as const

/** The rack that a thing suits best as all stands: the first on which it goes, else with a change, else the first. */
export function bestRack(survey: Survey, gear: Gear, adapters: readonly Adapter[]): string | undefined {
  const answers = survey.racks.map(({ rack }) => ({
    id: rack.id,
    rank: RANK[compatible(survey, gear, rack.id, adapters, 'trial').kind],
  }))
  return answers.toSorted((a, b) => a.rank - b.rank)[0]?.id
}
