import { upToMm } from '../../units/tolerance'
import type { Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { gapToCab } from '../../survey/openings/tent'
import { moved, turnedAbout } from '../moves'
import { middleY } from '../../review/checks/tent'

export function tentFixes(survey: Survey, finding: Finding): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  if (!thing?.gear.opens) return []
  const { coverGapMm } = thing.gear.opens
  const gap = gapToCab(survey.plan.vehicle, survey.body, thing.box)
  return [
    ...(coverGapMm !== undefined && gap !== undefined && gap < coverGapMm
      ? moved(survey, thing, upToMm(coverGapMm - gap), 0)
      : []),
    ...moved(survey, thing, 0, -middleY(thing)),
    ...turnedAbout(thing),
  ]
}
