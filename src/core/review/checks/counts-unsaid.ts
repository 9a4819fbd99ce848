import { check, practice } from '../check'
import { cellFinding, holdsPhrase, judge, limitPhrase, USUALLY_PRINTED } from '../layer-phrases'
import { kg } from '../phrase'
import { lightenLayer } from '../remedies/lighten'

/** Does a verdict hang on whether a figure counts the rack itself? */
export const countsUnsaid = check({
  id: 'counts-unsaid',
  title: 'What the figure counts',
  question:
    'Where a source does not say whether its figure counts the rack itself: does the verdict hang on it?',
  formula: 'over the figure counted one way, within it counted the other way',
  source: practice(
    'Manuals are often silent; the house rule stands in until the verdict hangs on it. Common practice, no source.',
  ),
  nothing: 'No verdict hangs on what a figure counts.',
  *run({ loadPath }) {
    for (const cell of loadPath.cells) {
      if (cell.idle || cell.limit.kind === 'missing' || judge(cell) !== 'overByCounting') continue
      const [withOwn, without] =
        cell.counting === 'everything'
          ? [cell.countedKg, cell.otherwiseKg]
          : [cell.otherwiseKg, cell.countedKg]
      yield cellFinding('counts-unsaid', 'findOut', cell, [
        ...holdsPhrase(cell),
        ': ',
        kg(withOwn),
        ' with its own parts counted, ',
        kg(without),
        ' without, against ',
        ...limitPhrase(cell),
        `. Find out what the figure counts: usually ${USUALLY_PRINTED[cell.layer.role]}.`,
      ])
    }
  },
  remedies: lightenLayer,
})
