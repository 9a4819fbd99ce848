import { fails, spareOf } from '../../facts/comparison'
import { upliftsAtRest } from '../../facts/uplifts'
import { kg, toSpare } from '../../units/phrase'
import { any } from '../../units/pick'
import { check } from '../check'

/** Does any foot carry less than nothing, so that the load pulls it up? */
export const uplift = check({
  id: 'uplift',
  title: 'A foot lifts',
  question: 'Does the load on the bars pull any foot upward?',
  formula: 'reaction of a foot by the lever rule, or of a beam on three feet and more, < 0',
  source: { kind: 'handbook', text: 'Lever rule with overhang; statics of rigid bodies, from memory.' },
  law: 'balance',
  mass: 'onlyWith',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: { masses: 'aboard' },
  nothing: 'No foot carries anything.',
  *run(survey) {
    const { lifted, carrying, anyHolds, least } = upliftsAtRest(survey)
    for (const { foot, rack, upKg, holds } of lifted)
      yield {
        about: foot.id,
        severity: holds && fails(holds) ? 'stop' : 'mind',
        state: 'all',
        subject: { footId: foot.id, placementIds: [] },
        measured: kg(-upKg),
        ...(holds
          ? { limit: kg(-holds.limit), margin: kg(spareOf(holds)) }
          : { nearStop: { share: Infinity } }),
        sentence: [
          `${rack?.rack.name ?? 'Rack'}: the load lifts the ${foot.corner} foot by `,
          kg(upKg),
          ...(holds
            ? [fails(holds) ? ', more than the ' : ', within the ', kg(holds.limit), ' it holds']
            : []),
          '. Bring the load in between the feet.',
        ],
      }
    const pressed = carrying - lifted.length
    if (pressed !== 0 && (anyHolds || !any(lifted)))
      yield {
        about: 'none',
        severity: 'clear',
        state: 'all',
        subject: { placementIds: [] },
        ...(anyHolds ? { nearStop: { rest: true } } : { nearStop: { share: Infinity } }),
        sentence: [
          `The load presses on each of ${pressed} ${any(lifted) ? 'other ' : ''}feet that carry any of it`,
          ...(least ? [', with at least ', toSpare(kg(least.kg)), ` (${least.foot.corner})`] : []),
          '.',
        ],
      }
  },
})
