import type { Candidate } from '../candidate'
import { moved } from '../moves'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'

export function oneBarFixes(survey: Survey, finding: Finding): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  const twist = survey.statics.twists().find((each) => each.placementId === thing?.placement.id)
  return thing && twist && !thing.parent ? moved(survey, thing, -Math.round(twist.offMm), 0) : []
}
