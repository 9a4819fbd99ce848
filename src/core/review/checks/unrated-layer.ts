import { check, practice } from '../check'
import { IN_STATE } from '../finding'
import { cellFinding, USUALLY_PRINTED } from '../layer-phrases'
import { kg } from '../phrase'
import { cellOfFinding, strongerParts } from '../remedies/lighten'

/** Is any link of the load path without a figure? A missing rating is never a pass. */
export const unratedLayer = check({
  id: 'unrated-layer',
  title: 'No figure',
  question: 'Has every link that holds something a figure to be judged by?',
  formula: 'a link without any figure for the state, and none that stands in for it, is unrated',
  source: practice(
    'Many racks are fitted with no figure known at all: that is unknown, never fine. Common practice, no source.',
  ),
  nothing: 'Every link that holds something has a figure.',
  *run({ loadPath }) {
    for (const cell of loadPath.cells) {
      if (cell.idle || cell.limit.kind !== 'missing' || cell.limit.driving) continue
      if (
        cell.state === 'trail' &&
        cell.layer.ratings.some((rating) => rating.state === 'road' && rating.gearKind === undefined)
      )
        continue
      const held =
        cell.layer.ratings.length === 0
          ? 'no figure at all'
          : `no figure for ${cell.state === 'parked' ? 'parking' : `the ${cell.state}`}`
      yield cellFinding('unrated-layer', 'findOut', cell, [
        `${cell.layer.name}: ${held}, and `,
        kg(cell.countedKg),
        ` hang on it ${IN_STATE[cell.state]}. It is usually printed ${USUALLY_PRINTED[cell.layer.role]}.`,
      ])
    }
  },
  remedies(survey, finding, stock) {
    const cell = cellOfFinding(survey, finding)
    return cell ? strongerParts(survey, cell, stock) : []
  },
})
