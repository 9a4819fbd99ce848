import { upToMm } from '../../units/tolerance'
import { MOVE_FIRST, type Candidate } from '../candidate'
import { rootOf } from '../../survey/frame/arrangement'
import { forwardToClear } from '../../survey/openings/swings'
import type { Survey } from '../../survey/survey'
import { aboutSwing } from '../../review/checks/hatch'
import type { Finding } from '../../review/finding'
import { mm } from '../../units/phrase'
import { skinOffMm } from '../../review/starting-lengths'
import { barsMoved, flipped, moved, takeOffFix, turnedAbout } from '../moves'

export function hatchFixes(survey: Survey, finding: Finding): Candidate[] {
  const meeting = survey.fit.swings().find((each) => `hatch ${aboutSwing(each)}` === finding.id)
  if (!meeting) return []
  // A pass that the roof's unmeasured skin may turn is a question, so a fix leaves room for that too.
  const wanted = survey.plan.rules.gapsMm.hatch + skinOffMm(survey)
  const by = forwardToClear(meeting.swings, meeting.met.box, wanted)
  const { thing } = meeting.met
  if (thing) {
    const root = rootOf(thing)
    const forward = by === undefined ? [] : [...moved(survey, root, -upToMm(by), 0)]
    const own = by !== undefined && root !== thing ? moved(survey, thing, -upToMm(by), 0) : []
    return [...forward, ...own, ...turnedAbout(root), ...flipped(root), takeOffFix(survey, thing)]
  }
  const at = survey.bars.find(({ bar }) => bar.id === meeting.met.id)
  if (!at || by === undefined) return barsMoved(survey)
  return [
    {
      kind: 'move',
      message: [`Move ${at.bar.name.toLowerCase()} forward `, mm(upToMm(by))],
      command: { do: 'moveBar', barId: at.bar.id, xMm: at.bar.xMm - upToMm(by) },
      rank: MOVE_FIRST + by,
    },
    ...barsMoved(survey),
  ]
}
