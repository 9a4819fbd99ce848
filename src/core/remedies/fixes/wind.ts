import type { Candidate } from '../candidate'
import { kmH } from '../../units/phrase'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'

export function windFixes({ plan: { use } }: Survey, finding: Finding): Candidate[] {
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
