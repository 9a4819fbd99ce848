import type { Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'

export function speedRatingFixes({ plan: { use } }: Survey, { limit, state }: Finding): Candidate[] {
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
