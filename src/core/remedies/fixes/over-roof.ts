import { upToMm } from '../../units/tolerance'
import type { Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { intoRacks } from '../../review/checks/over-roof'
import { moved, turnedAbout, flipped, takeOffFix } from '../moves'

export function overRoofFixes(survey: Survey, finding: Finding): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  if (!thing) return []
  const box = intoRacks(survey, thing)[0]?.box
  return [
    ...(box
      ? [
          ...moved(survey, thing, upToMm(box.x1 - thing.box.x0), 0),
          ...moved(survey, thing, -upToMm(thing.box.x1 - box.x0), 0),
          ...moved(survey, thing, 0, upToMm(box.y1 - thing.box.y0)),
          ...moved(survey, thing, 0, -upToMm(thing.box.y1 - box.y0)),
        ]
      : [
          ...moved(
            survey,
            thing,
            upToMm(Math.max(0, survey.plan.vehicle.roof.toXMm + 200 - thing.box.x0)),
            0,
          ),
        ]),
    ...turnedAbout(thing),
    ...flipped(thing),
    takeOffFix(survey, thing),
  ]
}
