import { percentText } from '../../units/format'
import { fails, spareOf } from '../../facts/comparison'
import { evenShares } from '../../facts/even-shares'
import type { Evenness } from '../../survey/statics/evenness'
import { check, practice } from '../check'
import { marginPhrase } from '../margin-words'
import { IN_STATE } from '../finding'
import { kg, mm, type Phrase } from '../../units/phrase'

/** How the load stands, front against rear and left against right. */
function standsPhrase({ frontShare, leftShare }: Evenness): Phrase {
  return [
    `${percentText(frontShare)} in front and ${percentText(1 - frontShare)} behind, ${percentText(leftShare)} left and ${percentText(1 - leftShare)} right`,
  ]
}

/** Does the load stand evenly over the feet, so that no foot bears more than its share of what the set may? kg per foot. */
export const evenness = check({
  id: 'evenness',
  title: 'Evenly loaded',
  question: 'Does every foot stay within its even share of the rating of the set?',
  formula: 'foot by lever rule and beam ≤ figure for the set / number of feet',
  source: practice(
    'Ratings assume the load spread evenly, front to rear and side to side. Common practice, no source.',
  ),
  law: 'balance',
  mass: 'onlyWith',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No loaded feet have a set rating.',
  *run(survey) {
    if (survey.plan.rules.uneven === 'totalOnly') return
    for (const { share, evenness: at, compared } of evenShares(survey)) {
      const { cell, corner } = share
      const over = fails(compared)
      yield {
        about: `${cell.layer.id} ${cell.state}`,
        severity: over ? 'mind' : 'clear',
        state: cell.state,
        subject: { rackId: at.rack.rack.id, layerId: cell.layer.id, placementIds: [] },
        measured: kg(compared.measure),
        limit: kg(compared.limit),
        margin: kg(spareOf(compared)),
        sentence: over
          ? [
              `${cell.layer.name}: ${corner} bears `,
              kg(compared.measure),
              ` ${IN_STATE[cell.state]}, over its even share of `,
              kg(compared.limit),
              '; ',
              ...marginPhrase(compared, kg),
              '. The load stands ',
              ...standsPhrase(at),
              '; its middle is ',
              mm(Math.hypot(at.centre.xMm - at.middle.xMm, at.centre.yMm - at.middle.yMm)),
              ' from the middle of the feet.',
            ]
          : [
              `${cell.layer.name}: ${corner} bears most ${IN_STATE[cell.state]}, `,
              kg(compared.measure),
              ' of its even share of ',
              kg(compared.limit),
              ', ',
              ...marginPhrase(compared, kg),
              '; ',
              ...standsPhrase(at),
              '.',
            ],
      }
    }
  },
})
