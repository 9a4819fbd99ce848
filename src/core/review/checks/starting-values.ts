import { startsOf } from '../../provenance/starts'
import { check, practice } from '../check'

/** Which values does a form stand behind, and nobody else? */
export const startingValues = check({
  id: 'starting-values',
  title: 'Starting values',
  question: 'Has somebody typed over, or confirmed, what the forms filled in so that there was a drawing?',
  formula:
    'every field that still holds what its form began with; what a verdict hangs on is asked for itself',
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
        `${starts.length} starting ${one ? 'value' : 'values'} of the forms ${one ? 'stands as it was' : 'stand as they were'} filled in. Type over what is wrong; what is right can be confirmed.`,
      ],
    }
  },
})
