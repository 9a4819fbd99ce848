import { FIT_NEXT, type Candidate } from '../candidate'
import { limitWanted } from '../../survey/motion/securing'
import { straps } from '../../review/checks/tie-downs'
import { kg } from '../../units/phrase'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'

export function tieDownsFixes(survey: Survey, finding: Finding): Candidate[] {
  const tie = survey.motion
    .tieDowns()
    .find(({ thing }) => thing.placement.id === finding.subject.placementIds[0])
  if (!tie) return []
  const { thing, wanted, planned, plannedEachKg } = tie
  const count =
    plannedEachKg !== undefined && plannedEachKg > 0
      ? Math.max(wanted, planned, Math.ceil(limitWanted(tie.kg) / plannedEachKg - 1e-9))
      : wanted
  return [
    {
      kind: 'fit',
      message: [
        `Plan ${straps(count)} for ${thing.gear.name.toLowerCase()}, `,
        kg(plannedEachKg ?? Math.ceil(tie.eachKg)),
        ' each',
      ],
      command: {
        do: 'setStraps',
        placementId: thing.placement.id,
        straps: { count, eachKg: plannedEachKg ?? Math.ceil(tie.eachKg) },
      },
      rank: FIT_NEXT,
    },
  ]
}
