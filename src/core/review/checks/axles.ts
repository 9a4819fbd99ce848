import { axleVerdicts, type AxleVerdict } from '../../facts/axles'
import type { Survey } from '../../survey/survey'
import { askDoubt } from '../ask-doubt'
import { check, notLooked, type FindingDraft } from '../check'
import { IN_STATE } from '../finding'
import { kg, type Phrase, missing, toSpare } from '../../units/phrase'
import { any } from '../../units/pick'

/** An axle as it stands, and what of it depends on a weight or a figure that is not certain. */
function* axleFindings(
  survey: Survey,
  { axle, state, comparison, countedKg, verdict }: AxleVerdict,
): Iterable<FindingDraft> {
  const { limit } = comparison
  const over = verdict.is === 'over'
  const common = {
    state,
    subject: { placementIds: [] },
    measured: kg(countedKg),
    limit: kg(limit),
    margin: kg(limit - countedKg),
  } as const
  const bears: Phrase = [`The ${axle} axle bears `, kg(countedKg), ` ${IN_STATE[state]}, `]
  if (verdict.is !== 'hangs')
    yield {
      ...common,
      about: `${axle} ${state}`,
      concerns: { axle },
      severity: over ? 'stop' : 'clear',
      sentence: [
        ...bears,
        over ? missing(kg(countedKg - limit)) : toSpare(kg(limit - countedKg)),
        over ? ' over its limit of ' : ' under its limit of ',
        kg(limit),
        '.',
      ],
    }
  if (verdict.is !== 'hangs' && verdict.is !== 'over') return
  for (const doubt of verdict.doubts) {
    const asked = askDoubt(survey, doubt)
    if (!asked) continue
    yield {
      ...common,
      about: `${axle} ${asked.about} ${state}`,
      concerns: { axle },
      severity: 'findOut',
      sentence: [
        ...bears,
        'against ',
        kg(limit),
        `, and it depends on ${asked.what}`,
        ...(Number.isFinite(doubt.overBy) ? [': it may be ', kg(limit + doubt.overBy), '. '] : ['. ']),
        asked.find,
      ],
      ...(asked.ask ? { ask: asked.ask } : {}),
    }
  }
}

/** Do both axles stay within their limits? kg. */
export const axles = check({
  id: 'axles',
  title: 'Axles',
  question: 'Does each axle stay within its limit with everything on, people and luggage inside included?',
  formula: 'lever rule over the wheelbase; what is inside counts midway',
  source: { kind: 'handbook', text: 'Lever rule; statics of rigid bodies, from memory.' },
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'axles',
  turnedBy: {},
  nothing: 'No rack is on the vehicle.',
  *run(survey) {
    const { vehicle } = survey.plan
    if (survey.racks.length === 0) return
    const axleVerdict = axleVerdicts(survey)
    if (!any(axleVerdict)) {
      yield notLooked(
        [
          vehicle.axleLimitKg
            ? 'Axles: nobody knows how the vehicle’s own mass sits on them. Weigh each axle.'
            : 'Axles: their limits are not known.',
        ],
        {
          where: vehicle.axleLimitKg ? 'scale' : 'label',
          label: 'Axles',
          target: { open: 'vehicle', at: vehicle.axleLimitKg ? 'centreOfGravity' : 'axleLimitKg' },
        },
      )
      return
    }
    for (const each of axleVerdict) yield* axleFindings(survey, each)
  },
})
