import { FIT_NEXT, type Candidate } from './candidate'
import type { Fitting } from '../plan/placement'
import type { ThingAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import type { Finding } from '../review/finding'

/** Another fitting for a thing; `price` ranks what must be bought. */
export function fittedWith(
  { placement }: ThingAt,
  fitting: Fitting,
  message: Candidate['message'],
  price = 0,
): Candidate {
  return {
    kind: 'fit',
    message,
    command: {
      do: 'setFitting',
      placementId: placement.id,
      fitting: { ...placement.fitting, ...fitting },
    },
    rank: FIT_NEXT + price,
  }
}

/** Lines at both ends of the thing that a finding is about. */
export function linesPlanned(survey: Survey, finding: Finding): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  return thing
    ? [
        {
          kind: 'fit',
          message: [`Plan bow and stern lines for ${thing.gear.name.toLowerCase()}`],
          command: {
            do: 'setLines',
            placementId: thing.placement.id,
            lines: { bow: true, stern: true },
          },
          rank: FIT_NEXT,
        },
      ]
    : []
}
