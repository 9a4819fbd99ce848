import { type Candidate, FIT_NEXT } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { underBar } from '../../review/checks/measured-facts'
import { mm } from '../../units/phrase'

export function measuredFactsFixes(survey: Survey, finding: Finding): Candidate[] {
  const measurement = survey.plan.measurements.find(({ id }) => id === finding.subject.measurementId)
  const found = measurement?.kind === 'length' ? underBar(survey, measurement) : undefined
  if (!found) return []
  const { typed: _, ...bar } = found.at.bar
  return [
    {
      kind: 'change',
      message: ['Take the measured ', mm(found.middleMm), ` for the room under ${bar.name.toLowerCase()}`],
      command: { do: 'setBar', bar: { ...bar, riseMm: Math.max(0, found.middleMm) } },
      rank: FIT_NEXT,
    },
  ]
}
