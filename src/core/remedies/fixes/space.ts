import { upToMm } from '../../units/tolerance'
import type { Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type ThingAt, rootOf } from '../../survey/frame/arrangement'
import { moved, turnedAbout, flipped, takeOffFix } from '../moves'
import { type Finding } from '../../review/finding'
import { aboutPair } from '../../review/checks/space'

/** The four ways out of another thing's way, with the house's gap between them. */
function waysOut(survey: Survey, thing: ThingAt, other: ThingAt): Candidate[] {
  const gap = survey.plan.rules.gapsMm.between
  const [a, b] = [thing.box, other.box]
  return [
    ...moved(survey, thing, 0, upToMm(b.y1 + gap - a.y0)),
    ...moved(survey, thing, 0, -upToMm(a.y1 + gap - b.y0)),
    ...moved(survey, thing, upToMm(b.x1 + gap - a.x0), 0),
    ...moved(survey, thing, -upToMm(a.x1 + gap - b.x0), 0),
  ]
}

export function spaceFixes(survey: Survey, finding: Finding): Candidate[] {
  const near = survey.fit.near().find((each) => `space ${aboutPair(each)}` === finding.id)
  if (!near) return []
  const [a, b] = [near.a, near.b]
  const apart = rootOf(a) === rootOf(b) ? [a, b] : [rootOf(a), rootOf(b)]
  const [first, second] = apart
  if (!first || !second) return []
  return [
    ...waysOut(survey, first, second),
    ...waysOut(survey, second, first),
    ...apart.flatMap(turnedAbout),
    ...apart.flatMap(flipped),
    ...apart.map((thing) => takeOffFix(survey, thing)),
  ]
}
