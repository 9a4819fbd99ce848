import { marginPhrase } from '../margin-words'
import { fails, spareOf } from '../../facts/comparison'
import { longNoses } from '../../facts/long-noses'
import { BOUNCE } from '../../survey/motion/long-lines'
import { check } from '../check'
import { kmH, mm, newtonMetre } from '../../units/phrase'

/** Would wind and a bump lift the front of a long load off its front bar? N·m about the rear bar. */
export const noseUp = check({
  id: 'nose-up',
  title: 'Nose of a long load',
  question: 'Is a long load held down on its front bar against wind and bumps, or by a bow line?',
  formula: `about the rear bar: uplift (rough, upper end) × arm + ${BOUNCE} × weight × arm < weight × arm`,
  source: {
    kind: 'handbook',
    text: 'Moments about the rear support, from memory; uplift and bounce are rough, common practice, no source.',
  },
  law: 'balance',
  mass: 'matters',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No long load runs ahead of its front bar.',
  *run(survey) {
    for (const { nose, compared, loose } of longNoses(survey)) {
      const { thing, upNm, holdsNm, aheadMm } = nose
      const lifts = loose || fails(compared)
      const tied = thing.placement.lines?.bow ?? false
      const { name } = thing.gear
      yield {
        about: thing.placement.id,
        severity: lifts && !tied ? 'mind' : 'clear',
        state: 'road',
        subject: { placementIds: [thing.placement.id] },
        measured: newtonMetre(upNm),
        limit: newtonMetre(holdsNm),
        margin: newtonMetre(spareOf(compared)),
        sentence: [
          `${name} runs `,
          mm(aheadMm),
          ' ahead of its front bar; wind at ',
          kmH(survey.plan.use.roadKmH),
          ' and a bump lift its nose with up to ',
          newtonMetre(upNm),
          ' (rough) against ',
          newtonMetre(holdsNm),
          ', ',
          ...marginPhrase(compared, newtonMetre),
          lifts ? (tied ? '. The bow line takes the rest.' : '. It wants a bow line.') : '.',
        ],
      }
    }
  },
})
