import { check } from '../check'
import { overOrClear } from '../layer-phrases'

/** Does the worst of several alike parts stay within a figure given for each? Masses in kg, per each. */
export const eachRating = check({
  id: 'each-rating',
  title: 'Each one holds',
  question: 'If a figure is per bar, foot or clamp, is the most loaded one within it?',
  formula: 'largest share on one of them, by the lever rule, ≤ the figure for each',
  source: { kind: 'handbook', text: 'Lever rule for two supports; statics of rigid bodies, from memory.' },
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No per-part rating applies to anything loaded.',
  *run(survey) {
    for (const cell of survey.loadPath.cells)
      if (!cell.idle && cell.per === 'each') yield* overOrClear(cell, survey)
  },
})
