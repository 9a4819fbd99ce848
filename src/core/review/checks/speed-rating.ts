import { spareOf } from '../../facts/comparison'
import { speedFacts } from '../../facts/speeds'
import { kmH } from '../../units/phrase'
import { check, practice } from '../check'
import { marginWords } from '../margin-words'
import { verdictOf } from '../verdict'

/** Is the planned speed within what gear and ratings allow? Speeds in km/h. */
export const speedRating = check({
  id: 'speed-rating',
  title: 'Speed',
  question: 'Is the planned speed within the limits of each thing and each figure?',
  formula: 'planned speed ≤ the lowest speed named',
  source: practice('Some figures hold only up to a speed. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'Nothing on the rack has a speed limit of its own.',
  *run(survey) {
    for (const { key, name, state, placementIds, compared } of speedFacts(survey))
      yield {
        about: `${key} ${state}`,
        severity: verdictOf(compared, 'stop'),
        state,
        subject: { placementIds },
        measured: kmH(compared.measure),
        limit: kmH(compared.limit),
        margin: kmH(spareOf(compared)),
        sentence: [
          `${name}: up to `,
          kmH(compared.limit),
          '; the plan says ',
          kmH(compared.measure),
          ...marginWords(compared, kmH),
        ],
      }
  },
})
