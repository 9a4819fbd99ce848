import { whose } from '../../units/words'
import { check, practice } from '../check'
import {
  cellFinding,
  holdsPhrase,
  limitPhrase,
  sourceText,
  usuallyPrinted,
  whereFigure,
} from '../layer-phrases'
import { heldTo, unsettledLinks } from '../../facts/links'
import { marginPhrase } from '../margin-words'
import { kg } from '../../units/phrase'

/** Does a verdict depend on whether a figure counts the rack itself? */
export const countsUnstated = check({
  id: 'counts-unsaid',
  title: 'What the figure counts',
  question: 'If a source does not say whether its figure counts the rack, does the verdict depend on it?',
  formula: 'over the figure counted one way, within it counted the other way',
  source: practice(
    'Manuals are often silent; the house rule applies until the verdict depends on it. Common practice, no source.',
  ),
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No verdict depends on what a figure counts.',
  *run(survey) {
    for (const [cell, result] of unsettledLinks(survey)) {
      if (!result.otherwise) continue
      const { comparison, countedKg, otherwiseKg } = result.otherwise
      const { rating } = comparison
      const [withOwn, without] =
        cell.counting === 'everything' ? [countedKg, otherwiseKg] : [otherwiseKg, countedKg]
      const { owner, role, name } = cell.layer
      // A figure of another state stands in here, and of that nobody has said yet where it is from.
      const source = cell.limit.kind === 'published' ? '' : ` (${sourceText(rating.source)})`
      yield cellFinding(
        'findOut',
        cell,
        [
          ...holdsPhrase(cell, comparison),
          ': ',
          kg(withOwn),
          ' with its own parts counted (',
          ...marginPhrase(heldTo(comparison, withOwn), kg),
          '), ',
          kg(without),
          ' without (',
          ...marginPhrase(heldTo(comparison, without), kg),
          '), against ',
          ...limitPhrase(cell, comparison),
          `. Find out what the figure${source} counts: usually ${usuallyPrinted(role)}.`,
        ],
        owner && {
          ask: {
            where: whereFigure(role),
            label: `What ${whose(name)} figure counts`,
            target: { field: 'counts', owner, ratingId: rating.id },
          },
        },
      )
    }
  },
})
