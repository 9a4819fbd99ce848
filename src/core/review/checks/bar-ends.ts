import { TOLERANCE } from '../../units/tolerance'
import { check, practice } from '../check'
import { mm } from '../../units/phrase'

/** Do bar ends stand clear of heads at the doors? mm. */
export const barEndsAtDoors = check({
  id: 'bar-ends',
  title: 'Heads at the doors',
  question: 'Do bars end within the door edge, or stand over heads?',
  formula:
    'half the bar’s length against the door edge, where the bar hangs lower than a head; Mind beyond it',
  source: practice('Bar ends at head height. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  nothing: 'No door edge is described.',
  *run(survey) {
    for (const edge of survey.plan.vehicle.obstacles) {
      if (edge.kind !== 'doorEdge') continue
      for (const { bar, box } of survey.bars) {
        const past = Math.max(box.y1, -box.y0) - edge.halfWidthMm
        const low = box.z0 < edge.headZMm
        yield {
          about: `${edge.id} ${bar.id}`,
          state: 'all',
          subject: { placementIds: [], barId: bar.id, obstacleId: edge.id },
          measured: mm(past),
          limit: mm(0),
          margin: mm(-past),
          severity: low && past > TOLERANCE.lengthMm ? 'mind' : 'clear',
          sentence:
            past > TOLERANCE.lengthMm
              ? [
                  `${bar.name} ends `,
                  mm(past),
                  ` beyond the door edge${low ? ', at head height: tell the customer, cap the ends' : ', over heads'}.`,
                ]
              : [`${bar.name} ends `, mm(-past), ' inside the door edge.'],
        }
      }
    }
  },
})
