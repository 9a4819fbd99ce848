import { check, practice } from '../check'
import { overOrClear } from '../layer-phrases'

/** Does every link of the load path hold what hangs on it? Masses in kg, per set. */
export const layerLimit = check({
  id: 'layer-limit',
  title: 'Every link holds',
  question: 'Is every link within its limit on the road, on the trail and parked?',
  formula:
    'counted = what stands on it (and itself and what is between, where its figure says so) ≤ its figure for the state',
  source: practice(
    'The lowest-rated link rules; carriers are subtracted before their contents. Common practice, no source.',
  ),
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No link with a published figure carries anything that the figure counts.',
  *run(survey) {
    for (const cell of survey.loadPath.cells)
      if (!cell.idle && cell.per === 'set' && cell.layer.role !== 'payload') yield* overOrClear(cell, survey)
  },
})
