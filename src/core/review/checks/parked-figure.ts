import { check, practice } from '../check'
import { cellFinding, holdsPhrase, judge, limitPhrase, USUALLY_PRINTED } from '../layer-phrases'
import { kg } from '../phrase'

/** Where no parked figure is published: is the parked load within the driving figure, or what does the house rule say? */
export const parkedFigure = check({
  id: 'parked-figure',
  title: 'Parked figure missing',
  question:
    'Where no parked figure is published: is the parked load within the driving figure, and if not, what does the house rule say?',
  formula:
    'within the driving figure: holds. Above it: strict shops ask; the rule of three allows 3 × the road figure, marked as assumed',
  source: practice(
    'Ratios of parked to driving figures seen in practice run from 1.6 to 3.1, so three times is no fact. Common practice, no source.',
  ),
  nothing: 'Every parked load has a figure or is within the driving one.',
  *run({ loadPath }) {
    for (const cell of loadPath.cells) {
      if (cell.idle || cell.state !== 'parked') continue
      if (cell.limit.kind === 'assumed' && judge(cell) === 'within')
        yield cellFinding('parked-figure', 'mind', cell, [
          ...holdsPhrase(cell),
          ', ',
          kg(cell.limit.kg - cell.countedKg),
          ' left of ',
          ...limitPhrase(cell),
          '. No parked figure is published.',
        ])
      else if (cell.limit.kind === 'missing' && cell.limit.driving)
        yield cellFinding('parked-figure', 'findOut', cell, [
          ...holdsPhrase(cell),
          ', above its driving figure of ',
          kg(cell.limit.driving.kg),
          `${cell.limit.driving.per === 'each' ? ' each' : ''}, and no parked figure. It is usually printed ${USUALLY_PRINTED[cell.layer.role]}.`,
        ])
    }
  },
})
