import type { Candidate } from '../candidate'
import { startsOf } from '../../plan/starts'
import { type Survey } from '../../survey/survey'

export function startingValuesFixes({ plan }: Survey): Candidate[] {
  const starts = startsOf(plan)
  return starts.length === 0
    ? []
    : [{ kind: 'change', message: ['They are right'], command: { do: 'confirm', starts }, rank: 0 }]
}
