import { upToMm } from '../../units/tolerance'
import type { Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { nearestFoot, wanted } from '../../review/checks/clear-of-feet'
import { moved, takeOffFix } from '../moves'

export function clearOfFeetFixes(survey: Survey, finding: Finding): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  const near = thing && nearestFoot(survey, thing)
  if (!thing || !near) return []
  const apart = wanted(near, 0, 0)
  return [
    ...moved(survey, thing, 0, -upToMm(near.contactY - (near.footY - apart))),
    ...moved(survey, thing, 0, upToMm(near.footY + apart - near.contactY)),
    takeOffFix(survey, thing),
  ]
}
