import { exceeds } from '../../units/tolerance'
import type { Evenness } from '../../survey/statics/evenness'
import { check, practice } from '../check'
import { IN_STATE } from '../finding'
import { kg, mm, type Phrase } from '../../units/phrase'

const percent = (share: number) => `${Math.round(share * 100)} %`

/** How the load stands, front against rear and left against right. */
function standsPhrase({ frontShare, leftShare }: Evenness): Phrase {
  return [
    `${percent(frontShare)} in front and ${percent(1 - frontShare)} behind, ${percent(leftShare)} left and ${percent(1 - leftShare)} right`,
  ]
}

/** Does the load stand evenly over the feet, so that no foot bears more than its share of what the set may? kg per foot. */
export const evenness = check({
  id: 'evenness',
  title: 'Evenly loaded',
  question: 'Does every foot bear no more than its even share of what the set of feet may?',
  formula: 'foot by lever rule and beam ≤ figure for the set / number of feet',
  source: practice(
    'Ratings assume the load spread evenly, front to rear and side to side. Common practice, no source.',
  ),
  law: 'balance',
  mass: 'onlyWith',
  stage: 'forces',
  turnedBy: {},
  nothing: 'No feet with a figure for the set bear anything.',
  *run(survey) {
    if (survey.plan.rules.uneven === 'totalOnly') return
    const stands = survey.statics.evenness()
    for (const { cell, corner, countedKg, shareKg } of survey.statics.footShares()) {
      const at = stands.find(
        (each) => each.state === cell.state && cell.layer.rackIds.includes(each.rack.rack.id),
      )
      if (!at) continue
      const over = exceeds(countedKg, shareKg)
      yield {
        about: `${cell.layer.id} ${cell.state}`,
        severity: over ? 'mind' : 'clear',
        state: cell.state,
        subject: { rackId: at.rack.rack.id, layerId: cell.layer.id, placementIds: [] },
        measured: kg(countedKg),
        limit: kg(shareKg),
        margin: kg(shareKg - countedKg),
        sentence: over
          ? [
              `${cell.layer.name}: ${corner} bears `,
              kg(countedKg),
              ` ${IN_STATE[cell.state]}, over its even share of `,
              kg(shareKg),
              '. The load stands ',
              ...standsPhrase(at),
              '; its middle is ',
              mm(Math.hypot(at.centre.xMm - at.middle.xMm, at.centre.yMm - at.middle.yMm)),
              ' from the middle of the feet.',
            ]
          : [
              `${cell.layer.name}: ${corner} bears most ${IN_STATE[cell.state]}, `,
              kg(countedKg),
              ' of its even share of ',
              kg(shareKg),
              '; ',
              ...standsPhrase(at),
              '.',
            ],
      }
    }
  },
})
