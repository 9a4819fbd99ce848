import { type Candidate, MOVE_FIRST } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { towerSpacing } from '../../survey/bars/tower-spacing'
import { mm } from '../../units/phrase'

export function towerSpacingFixes(survey: Survey, finding: Finding): Candidate[] {
  const at = survey.bars.find(({ bar }) => bar.id === finding.subject.barId)
  const rack = survey.racks.find((each) => each.rack.id === at?.rack.id)
  const spacing = at && rack && towerSpacing(rack, at)
  if (!at || spacing?.kind !== 'given' || at.bar.feetYMm.length !== 2) return []
  const half = spacing.feet.towerMm / 2
  const { typed: _, ...bar } = at.bar
  return [
    {
      kind: 'move',
      message: [`Set the feet of ${at.bar.name.toLowerCase()} `, mm(spacing.feet.towerMm), ' apart, evenly'],
      command: { do: 'setBar', bar: { ...bar, feetYMm: [-half, half] } },
      rank: MOVE_FIRST + Math.abs(spacing.nowMm - spacing.feet.towerMm),
    },
  ]
}
