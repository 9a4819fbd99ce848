import type { Cell } from '../../survey/load-path/limit'
import { any } from '../../units/pick'
import { check, practice } from '../check'
import { IN_STATE } from '../finding'
import { askFigure, cellFinding, usuallyPrinted } from '../layer-phrases'
import { kg, type Phrase } from '../../units/phrase'

const oneOf = (kinds: readonly (string | undefined)[]) =>
  [...new Set(kinds.flatMap((kind) => (kind === undefined ? [] : [kind])))].join(' and ')

/** Why there is no figure, in words. */
function lackPhrase({ layer, state, limit }: Cell): Phrase {
  const { ratedWith } = layer
  switch (ratedWith?.kind) {
    case 'circle':
      return ['said to be rated with a part that is rated with it: there is no figure at the end of it']
    case 'notHere':
      return [`said to be rated with ${ratedWith.what}, which is not on this plan`]
    case 'figures':
    case 'noFigure':
      return ['said to be rated with a part that does not bear all of it']
    case undefined:
      break
  }
  if (limit.kind === 'missing' && any(limit.partial))
    return [
      `its figure is for ${oneOf(limit.partial.map(({ gearKind }) => gearKind))} alone, and it carries other gear`,
    ]
  return [
    layer.ratings.length === 0
      ? 'no figure at all'
      : `no figure for ${state === 'parked' ? 'parking' : `the ${state}`}`,
  ]
}

/** Is any link of the load path without a figure? A missing rating is never a pass. */
export const unratedLayer = check({
  id: 'unrated-layer',
  title: 'No figure',
  question: 'Does every loaded link have a figure?',
  formula:
    'a link without any figure that applies in the state, and none that stands in for it, is unrated; a figure for one kind of gear speaks for that alone, “rated with” must end at a figure',
  source: practice(
    'Many racks are fitted with no figure known at all: that is unknown, never a pass. Common practice, no source.',
  ),
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'Every loaded link has a figure.',
  *run({ loadPath }) {
    for (const cell of loadPath.cells) {
      if (cell.idle || cell.limit.kind !== 'missing' || cell.limit.driving) continue
      yield cellFinding(
        'findOut',
        cell,
        [
          `${cell.layer.name}: `,
          ...lackPhrase(cell),
          ', and ',
          kg(cell.countedKg),
          ` hang on it ${IN_STATE[cell.state]}. It is usually printed ${usuallyPrinted(cell.layer.role)}.`,
        ],
        { ask: askFigure(cell) },
      )
    }
  },
})
