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
} from '../layer-phrases'
import { kg, toSpare } from '../../units/phrase'

/** Is the trail judged by a figure of its own, or by the road's under a house rule? */
export const trailFigure = check({
  id: 'trail-figure',
  title: 'Trail figure assumed',
  question: 'Without a published trail figure, is the load within the house rule’s share of the road figure?',
  formula:
    'trail figure = road figure × house factor (2/3 unless the shop says otherwise); strict shops ask for it',
  source: practice('A school of the trade. Common practice, no source.'),
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No trail load relies on an assumed figure.',
  *run(survey) {
    for (const cell of survey.loadPath.cells) {
      if (cell.idle || cell.state !== 'trail') continue
      if (cell.limit.kind === 'assumed' && holdsSurely(linkVerdict(cell, survey)))
        yield cellFinding('mind', cell, [
          ...holdsPhrase(cell),
          ', ',
          toSpare(kg(cell.limit.kg - cell.countedKg)),
          ' left of ',
          ...limitPhrase(cell),
          ...countedOtherwise(cell),
          '. No trail figure is published.',
        ])
      else if (cell.limit.kind === 'missing' && cell.limit.driving)
        yield cellFinding(
          'findOut',
          cell,
          [
            ...holdsPhrase(cell),
            `, and no trail figure. The house rule is to find it: usually ${usuallyPrinted(cell.layer.role)}.`,
          ],
          { ask: askFigure(cell) },
        )
    }
  },
})
