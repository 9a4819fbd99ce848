import { startsOf } from '../../provenance/starts'
import { check, practice } from '../check'

/** Which values does a form stand behind, and nobody else? */
export const startingValues = check({
  id: 'starting-values',
  title: 'Starting values',
  question: 'Are the starting values of the forms replaced or confirmed?',
  formula:
    'every field that still holds what its form began with; facts that a verdict depends on are asked for one by one',
  source: practice('What nobody measured is no fact. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No starting value of a form is left.',
  *run({ plan }) {
    const starts = startsOf(plan)
    if (starts.length === 0) return
    const one = starts.length === 1
    yield {
      about: 'all',
      severity: 'mind',
      state: 'all',
      subject: { placementIds: [] },
      sentence: [
        `${starts.length} starting ${one ? 'value' : 'values'} of the forms ${one ? 'is as' : 'are as'} filled in. Replace the wrong ones and confirm the right ones.`,
      ],
    }
  },
})
