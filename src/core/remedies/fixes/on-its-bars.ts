import { upToMm } from '../../units/tolerance'
import { type Candidate, FIT_NEXT } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { missing } from '../../review/checks/on-its-bars'
import { moved, takeOffFix } from '../moves'

export function onItsBarsFixes(survey: Survey, finding: Finding): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  const short = thing && missing(survey, thing)
  if (!thing || !short || thing.placement.host.on !== 'bars') return []
  const reached = survey.bars.filter(
    ({ bar, rack }) => rack.id === short.at.rack.id && bar.xMm >= thing.box.x0 && bar.xMm <= thing.box.x1,
  )
  return [
    ...(short.byMm > 0 ? moved(survey, thing, (short.forward ? -1 : 1) * upToMm(short.byMm), 0) : []),
    ...(reached.length > 1
      ? [
          {
            kind: 'fit' as const,
            message: [
              `Mount ${thing.gear.name.toLowerCase()} on ${reached.map(({ bar }) => bar.name.toLowerCase()).join(' and ')}`,
            ],
            command: {
              do: 'rehost' as const,
              placementId: thing.placement.id,
              host: { on: 'bars' as const, barIds: reached.map(({ bar }) => bar.id) },
              xMm: thing.placement.xMm,
              yMm: thing.placement.yMm,
            },
            rank: FIT_NEXT,
          },
        ]
      : []),
    takeOffFix(survey, thing),
  ]
}
