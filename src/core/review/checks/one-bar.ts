import { fails, spareOf } from '../../facts/comparison'
import { onOneBar } from '../../facts/twists'
import { mm, newtonMetre } from '../../units/phrase'
import { check } from '../check'

/** Does a thing on one bar alone stand over that bar? Offset in mm, twist in N·m. */
export const oneBar = check({
  id: 'one-bar',
  title: 'On one bar',
  question: 'Is a thing on one bar alone centred over it, so that it does not twist the bar?',
  formula: 'twist = m·g·offset; offset ≤ half the bar’s width',
  source: { kind: 'handbook', text: 'Moment of a force about an axis; statics, from memory.' },
  law: 'balance',
  mass: 'hardly',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'Nothing stands on one bar alone.',
  *run(survey) {
    for (const { bar, thing, off, twistNm } of onOneBar(survey))
      yield {
        about: thing.placement.id,
        severity: fails(off) ? 'mind' : 'clear',
        state: 'all',
        subject: { barId: bar.id, placementIds: [thing.placement.id] },
        measured: mm(off.measure),
        limit: mm(off.limit),
        margin: mm(spareOf(off)),
        sentence: fails(off)
          ? [
              `${thing.gear.name} rests on ${bar.name} alone, `,
              mm(off.measure),
              ' off it: it twists the bar by ',
              newtonMetre(twistNm),
              ', which its clamps must resist.',
            ]
          : [`${thing.gear.name} stands over ${bar.name}, the one bar that holds it.`],
      }
  },
})
