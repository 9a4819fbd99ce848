import { upToMm } from '../../units/tolerance'
import type { Candidate } from '../candidate'
import { rootOf } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { aboutPane } from '../../review/checks/sunroof'
import type { Finding } from '../../review/finding'
import { barsMoved, moved, takeOffFix } from '../moves'

export function sunroofFixes(survey: Survey, finding: Finding): Candidate[] {
  const meeting = survey.fit.panes().find((each) => `sunroof ${aboutPane(each)}` === finding.id)
  if (!meeting) return []
  const { met, sunroof, way } = meeting
  if (!met.thing) return barsMoved(survey)
  const root = rootOf(met.thing)
  const gap = survey.plan.rules.gapsMm.sunroof
  const end = sunroof.openingMm.toMm + (way === 'slides' ? (sunroof.slidesOutside?.travelMm ?? 0) : 0)
  return [
    ...moved(survey, root, upToMm(end + gap - met.box.x0), 0),
    ...moved(survey, root, -upToMm(met.box.x1 + gap - sunroof.openingMm.fromMm), 0),
    takeOffFix(survey, met.thing),
  ]
}
