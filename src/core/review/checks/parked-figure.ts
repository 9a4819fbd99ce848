import { parkedBelowDriving } from '../../facts/contradictions'
import { check, practice } from '../check'
import { linkVerdict } from '../../facts/links'
import {
  askFigure,
  countedOtherwise,
  cellFinding,
  holdsPhrase,
  holdsSurely,
  limitPhrase,
  usuallyPrinted,
  whereFigure,
} from '../layer-phrases'
import { kg, missing, toSpare } from '../../units/phrase'

/** Where no parked figure is published: is the parked load within the driving figure, or what does the house rule say? */
export const parkedFigure = check({
  id: 'parked-figure',
  title: 'Parked figure missing',
  question:
    'Without a published parked figure, is the parked load within the driving figure or the house rule? Is no parked figure below the driving one?',
  formula:
    'within the driving figure: holds. Above it: strict shops ask; the rule of three allows 3 × the road figure, marked as assumed',
  source: practice(
    'Ratios of parked to driving figures seen in practice run from 1.6 to 3.1, so three times is no fact. Common practice, no source.',
  ),
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No parked load relies on an assumed figure, and no parked figure is below its driving one.',
  *run(survey) {
    for (const cell of survey.loadPath.cells) {
      if (cell.idle || cell.state !== 'parked') continue
      const { owner, role, name } = cell.layer
      const odd = parkedBelowDriving(cell.layer)
      if (odd)
        yield cellFinding(
          'findOut',
          cell,
          [
            `${name}: its parked figure of `,
            kg(odd.parked.kg),
            ' is below its driving figure of ',
            kg(odd.driving.kg),
            '. What holds a load driving holds it parked: one of them was read wrongly.',
          ],
          {
            about: 'contradiction',
            ask: {
              where: whereFigure(role),
              label: `${name}, parked`,
              target:
                owner === undefined
                  ? { open: 'rack', rackId: cell.layer.rackIds[0] ?? '', at: 'parts' }
                  : {
                      field: 'rating',
                      owner,
                      state: 'parked',
                      per: odd.parked.per,
                      insteadOf: odd.parked.id,
                    },
            },
          },
        )
      if (cell.limit.kind === 'assumed' && holdsSurely(linkVerdict(cell, survey)))
        yield cellFinding('mind', cell, [
          ...holdsPhrase(cell),
          ', ',
          toSpare(kg(cell.limit.kg - cell.countedKg)),
          ' left of ',
          ...limitPhrase(cell),
          ...countedOtherwise(cell),
          '. No parked figure is published.',
        ])
      else if (cell.limit.kind === 'missing' && cell.limit.driving)
        yield cellFinding(
          'findOut',
          cell,
          [
            ...holdsPhrase(cell),
            ', above its driving figure of ',
            kg(cell.limit.driving.kg),
            `${cell.limit.driving.per === 'each' ? ' each' : ''} by `,
            missing(kg(cell.countedKg - cell.limit.driving.kg)),
            `, and no parked figure. It is usually printed ${usuallyPrinted(role)}.`,
          ],
          { ask: askFigure(cell) },
        )
    }
  },
})
