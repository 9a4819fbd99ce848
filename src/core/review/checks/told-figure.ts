import { check, practice } from '../check'
import { hangsOf } from '../hangs'
import { cellFinding, holdsPhrase, limitPhrase, usuallyPrinted, whereFigure } from '../layer-phrases'
import { kg } from '../../units/phrase'

/** Does a verdict hang on a figure that somebody told and nobody has seen? kg. */
export const toldFigure = check({
  id: 'told-figure',
  title: 'Figures only told',
  question: 'Does any verdict hang on a figure that somebody told and nobody has seen in print?',
  formula: 'the verdict at the figure less and more a tenth',
  source: practice('Figures from memory are often off. The tenth is the team’s; common practice, no source.'),
  law: 'moreIsWorse',
  nothing: 'No verdict hangs on a figure that was only told.',
  *run(survey) {
    for (const cell of survey.loadPath.cells) {
      const hang = hangsOf(cell, survey).find(({ on }) => on === 'rating')
      if (hang?.on !== 'rating') continue
      const { owner, role, name } = cell.layer
      yield cellFinding(
        'findOut',
        cell,
        [
          ...holdsPhrase(cell),
          ', against ',
          ...limitPhrase(cell),
          ': at ',
          kg(hang.limitKg),
          ` it would be otherwise. See the figure itself, usually ${usuallyPrinted(role)}.`,
        ],
        owner && {
          ask: {
            where: whereFigure(role),
            label: `${name}’s figure, as printed`,
            target: { field: 'seen', owner, ratingId: hang.rating.id },
          },
        },
      )
    }
  },
})
