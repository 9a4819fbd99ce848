import type { Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { barsMoved, turnedAbout, takeOffFix } from '../moves'

export function spreadFixes(survey: Survey, finding: Finding): Candidate[] {
  const things = finding.subject.placementIds.flatMap((id) => survey.thingById.get(id) ?? [])
  return [
    ...barsMoved(survey),
    ...things.flatMap(turnedAbout),
    ...things.map((thing) => takeOffFix(survey, thing)),
  ]
}
