import { fails, overBy, spareOf } from '../facts/comparison'
import { helperHeld, helperWeightOf, type HelperWeight } from '../facts/helper-weight'
import type { GateAt } from '../survey/mounting/gates'
import type { Survey } from '../survey/survey'
import { kg, missing, rangePhrase, toSpare, type Phrase } from '../units/phrase'
import type { FindingDraft } from './check'
import { marginWords } from './margin-words'
import { verdictOf } from './verdict'

const SURE_WORDS: Readonly<Record<HelperWeight['sure'], string>> = {
  exact: '',
  atLeast: 'at least ',
  atMost: 'at most ',
}

const linkTakes = ({ link, sure, takesKg }: HelperWeight): Phrase => [
  `with nobody else on it ${link} takes ${SURE_WORDS[sure]}`,
  toSpare(kg(takesKg)),
  ' parked',
]

const soWeighs = (helper: HelperWeight): Phrase => [
  ...linkTakes(helper),
  ', so a helper must weigh ',
  ...(helper.fromKg > 0
    ? rangePhrase(kg(helper.fromKg), toSpare(kg(helper.mostKg)))
    : ['at most ', toSpare(kg(helper.mostKg))]),
]

/** What a helper who was not weighed yet may weigh, as the end of a sentence. */
export function helperMayWeigh(survey: Survey, at: GateAt): Phrase {
  const helper = at.stand.kind === 'unmeasured' ? helperWeightOf(survey, at) : undefined
  return helper && !fails(helper.anybody) ? [' As planned, ', ...soWeighs(helper), '.'] : []
}

/**
 * Who stands on a ladder to help may be no heavier than what the links under it take as it stands with nobody else on it:
 * the upper end of what its sheet asks, where that is lower than the sheet's own.
 */
export function* helperWeight(survey: Survey, at: GateAt): Iterable<FindingDraft> {
  const { gate, of } = at
  const helper = helperWeightOf(survey, at)
  if (!helper) return
  const { rackId, fromKg, anybody } = helper
  const label = `${of.name}, ${gate.question}`
  const common = {
    about: `${of.id} ${gate.id} on its links`,
    state: 'parked',
    subject: { placementIds: [], rackId },
  } as const
  if (fails(anybody)) {
    yield {
      ...common,
      severity: 'stop',
      sentence: [
        `${label}: `,
        ...linkTakes(helper),
        ', and its sheet asks for ',
        kg(fromKg),
        ' at least: no weight satisfies both, ',
        missing(kg(overBy(anybody))),
        ' short.',
      ],
    }
    return
  }
  const weighed = helperHeld(survey, at, helper)
  if (!weighed) return
  const { compared, hangs } = weighed
  yield {
    ...common,
    severity: hangs ? 'findOut' : verdictOf(compared, 'stop'),
    ...(hangs ? { ask: { where: 'scale', label, target: { open: 'measuring' } } as const } : {}),
    measured: kg(compared.measure),
    limit: kg(compared.limit),
    margin: kg(spareOf(compared)),
    sentence: [
      `${label}: `,
      ...soWeighs(helper),
      '; this helper weighs ',
      kg(compared.measure),
      ...marginWords(compared, kg),
      ...(hangs ? [' The verdict depends on the helper’s weight. Weigh the helper.'] : []),
    ],
  }
}
