import { ANTENNA_FORMS } from '../../kinds/obstacle'
import { upToMm } from '../../units/tolerance'
import type { Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { rootOf } from '../../survey/frame/arrangement'
import { moved, takeOffFix } from '../moves'

export function antennaFixes(survey: Survey, finding: Finding): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  const antenna = survey.plan.vehicle.obstacles.find(({ id }) => id === finding.subject.obstacleId)
  if (!thing || antenna?.kind !== 'antenna') return []
  const half = ANTENNA_FORMS[antenna.form].halfMm + 20
  const root = rootOf(thing)
  return [
    ...moved(survey, root, -upToMm(thing.box.x1 - antenna.xMm + half), 0),
    ...moved(survey, root, upToMm(antenna.xMm + half - thing.box.x0), 0),
    ...moved(survey, root, 0, upToMm(antenna.yMm + half - thing.box.y0)),
    ...moved(survey, root, 0, -upToMm(thing.box.y1 - antenna.yMm + half)),
    takeOffFix(survey, root),
  ]
}
