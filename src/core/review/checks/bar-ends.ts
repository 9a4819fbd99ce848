import { barEndFacts } from '../../facts/bar-ends'
import { fails, overBy, spareOf } from '../../facts/comparison'
import { check, practice } from '../check'
import { verdictOf } from '../verdict'
import { mm, missing, toSpare } from '../../units/phrase'

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
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No door edge is described.',
  *run(survey) {
    for (const { edge, at, past, head } of barEndFacts(survey)) {
      const { bar } = at
      const low = fails(head)
      yield {
        about: `${edge.id} ${bar.id}`,
        state: 'all',
        subject: { placementIds: [], barId: bar.id, obstacleId: edge.id },
        measured: mm(past.measure),
        limit: mm(past.limit),
        margin: mm(spareOf(past)),
        severity: low ? verdictOf(past, 'mind') : 'clear',
        sentence: fails(past)
          ? [
              `${bar.name} ends `,
              missing(mm(overBy(past))),
              ` beyond the door edge${low ? ', at head height: tell the customer, cap the ends' : ', over heads'}.`,
            ]
          : [`${bar.name} ends `, toSpare(mm(spareOf(past))), ' inside the door edge.'],
      }
    }
  },
})
