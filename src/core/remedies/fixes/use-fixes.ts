import type { Finding } from '../../review/finding'
import type { Survey } from '../../survey/survey'
import { kmH } from '../../units/phrase'
import type { Candidate, Fixes } from '../candidate'

function speedRatingFixes({ plan: { use } }: Survey, { limit, state }: Finding): Candidate[] {
  if (!limit || state === 'all') return []
  return [
    {
      kind: 'change',
      message: ['Drive at most ', limit],
      command: {
        do: 'setUse',
        use: state === 'road' ? { ...use, roadKmH: limit.value } : { ...use, trailKmH: limit.value },
      },
      rank: 0,
    },
  ]
}

function windFixes({ plan: { use } }: Survey, finding: Finding): Candidate[] {
  if (!finding.measured || !finding.limit || finding.measured.value <= 0) return []
  const slower = Math.floor(use.roadKmH * Math.sqrt(finding.limit.value / finding.measured.value))
  return slower > 0
    ? [
        {
          kind: 'change',
          message: ['Drive at most ', kmH(slower)],
          command: { do: 'setUse', use: { ...use, roadKmH: slower } },
          rank: use.roadKmH - slower,
        },
      ]
    : []
}

export const USE_FIXES: Readonly<Record<string, Fixes>> = {
  'speed-rating': speedRatingFixes,
  wind: windFixes,
}
