import { aboutSwing } from '../../review/checks/hatch'
import { aboutPair } from '../../review/checks/space'
import { aboutPane } from '../../review/checks/sunroof'
import type { Finding } from '../../review/finding'
import { skinOffMm } from '../../facts/length-facts'
import { rootOf, type ThingAt } from '../../survey/frame/arrangement'
import { forwardToClear } from '../../survey/openings/swings'
import type { Survey } from '../../survey/survey'
import { upToMm } from '../../units/tolerance'
import { MOVE_FIRST, type Candidate, type Fixes } from '../candidate'
import { barShifts, barsMoved, flipped, moved, takeOffFix, TAPE_MM, turnedAbout } from '../moves'

function hatchFixes(survey: Survey, finding: Finding): Candidate[] {
  const collision = survey.fit.swings().find((each) => `hatch ${aboutSwing(each)}` === finding.id)
  if (!collision) return []
  // A pass that the roof's unmeasured skin may turn is a question, so a fix leaves room for that too.
  const wanted = survey.plan.rules.gapsMm.hatch + skinOffMm(survey)
  const by = forwardToClear(collision.swings, collision.met.box, wanted)
  const { thing } = collision.met
  if (thing) {
    const root = rootOf(thing)
    const forward = by === undefined ? [] : [...moved(survey, root, -upToMm(by), 0)]
    const own = by !== undefined && root !== thing ? moved(survey, thing, -upToMm(by), 0) : []
    return [...forward, ...own, ...turnedAbout(root), ...flipped(root), takeOffFix(survey, thing)]
  }
  const at = survey.bars.find(({ bar }) => bar.id === collision.met.id)
  if (!at || by === undefined) return barsMoved(survey)
  const toMm = at.bar.xMm - Math.max(upToMm(by), Math.ceil(TAPE_MM))
  return [
    {
      kind: 'move',
      message: barShifts([{ name: at.bar.name, fromMm: at.bar.xMm, toMm }]),
      command: { do: 'moveBar', barId: at.bar.id, xMm: toMm },
      rank: MOVE_FIRST + by,
    },
    ...barsMoved(survey),
  ]
}

function sunroofFixes(survey: Survey, finding: Finding): Candidate[] {
  const collision = survey.fit.panes().find((each) => `sunroof ${aboutPane(each)}` === finding.id)
  if (!collision) return []
  const { met, sunroof, opens } = collision
  if (!met.thing) return barsMoved(survey)
  const root = rootOf(met.thing)
  const gap = survey.plan.rules.gapsMm.sunroof
  const end = sunroof.openingMm.toMm + (opens === 'slides' ? (sunroof.slidesOutside?.travelMm ?? 0) : 0)
  return [
    ...moved(survey, root, upToMm(end + gap - met.box.x0), 0),
    ...moved(survey, root, -upToMm(met.box.x1 + gap - sunroof.openingMm.fromMm), 0),
    takeOffFix(survey, met.thing),
  ]
}

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

function spaceFixes(survey: Survey, finding: Finding): Candidate[] {
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

export const SWING_FIXES: Readonly<Record<string, Fixes>> = {
  hatch: hatchFixes,
  sunroof: sunroofFixes,
  space: spaceFixes,
}
