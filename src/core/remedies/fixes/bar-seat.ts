import { type Candidate, MOVE_FIRST } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { seatsOfBar } from '../../survey/bars/seat-windows'
import { nearest } from '../../geometry/intervals'
import { barsMoved } from '../moves'
import { mm } from '../../units/phrase'

export function barSeatFixes(survey: Survey, finding: Finding): Candidate[] {
  const at = survey.bars.find(({ bar }) => bar.id === finding.subject.barId)
  const within = at && seatsOfBar(survey, at)?.within
  const xMm = within && nearest(within, at.bar.xMm)
  if (!at || xMm === undefined) return barsMoved(survey)
  const by = xMm - at.bar.xMm
  return [
    {
      kind: 'move',
      message: [`Move ${at.bar.name.toLowerCase()} ${by < 0 ? 'forward' : 'rearward'} `, mm(Math.abs(by))],
      command: { do: 'moveBar', barId: at.bar.id, xMm },
      rank: MOVE_FIRST + Math.abs(by),
    },
    ...barsMoved(survey),
  ]
}
