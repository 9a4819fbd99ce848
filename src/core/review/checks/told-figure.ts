import { whose } from '../../units/words'
import type { Cell } from '../../survey/load-path/limit'
import type { Survey } from '../../survey/survey'
import { askDoubt } from '../ask-doubt'
import { check, practice, type FindingDraft } from '../check'
import { type Doubt } from '../../facts/judge-comparison'
import { unsettledLinks, type LinkVerdict } from '../../facts/links'
import { cellFinding, holdsPhrase, limitPhrase, usuallyPrinted, whereFigure } from '../layer-phrases'
import { kg } from '../../units/phrase'

/** Whether a doubt is about a figure that a link is held against. */
const isOfRating = ({ uses }: Doubt): boolean => uses[0]?.entry.of === 'rating'

/** The payload is the gross less the kerb mass: either of them may be only told. */
function* ofPayload(cell: Cell, { doubts }: LinkVerdict, survey: Survey): Iterable<FindingDraft> {
  for (const doubt of doubts) {
    if (doubt.uses[0]?.entry.of !== 'vehicle') continue
    const asked = askDoubt(survey, doubt)
    if (!asked) continue
    yield cellFinding(
      'findOut',
      cell,
      [
        ...holdsPhrase(cell),
        ', against ',
        ...limitPhrase(cell),
        `, and it depends on ${asked.what}: `,
        ...(doubt.needs === undefined ? [] : [kg(doubt.needs), ' difference would turn it. ']),
        asked.find,
      ],
      { about: asked.about, ...(asked.ask ? { ask: asked.ask } : {}) },
    )
  }
}

/** Does a verdict depend on a figure that somebody told and nobody has seen? kg. */
export const toldFigure = check({
  id: 'told-figure',
  title: 'Figures only told',
  question: 'Does any verdict depend on a figure that was only told, not seen in print?',
  formula: 'the verdict at the figure less and more a tenth',
  source: practice('Figures from memory are often off. The tenth is the team’s; common practice, no source.'),
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No verdict depends on a figure that was only told.',
  *run(survey) {
    for (const [cell, result] of unsettledLinks(survey)) {
      yield* ofPayload(cell, result, survey)
      const doubt = result.doubts.find(isOfRating)
      const [use] = doubt?.uses ?? []
      if (!doubt || !use) continue
      const { owner, role, name } = cell.layer
      const { comparison } = doubt
      const ratingId = use.entry.id
      yield cellFinding(
        'findOut',
        cell,
        [
          ...holdsPhrase(cell, comparison),
          ', against ',
          ...limitPhrase(cell, comparison),
          ': at ',
          kg(use.value + use.bracket * (result.verdict.is === 'over' ? 1 : -1)),
          ` the verdict would change. Check the printed figure, usually ${usuallyPrinted(role)}.`,
        ],
        {
          comparison,
          ...(owner && {
            ask: {
              where: whereFigure(role),
              label: `${whose(name)} figure, as printed`,
              target: { field: 'seen', owner, ratingId },
            },
          }),
        },
      )
    }
  },
})
