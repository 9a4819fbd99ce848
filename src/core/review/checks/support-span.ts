import { fails, spareOf } from '../../facts/comparison'
import { longSpans } from '../../facts/spans'
import { percentText } from '../../units/format'
import { mm } from '../../units/phrase'
import { check, practice } from '../check'
import { marginPhrase } from '../margin-words'

/** Are long loads held far enough apart? mm. */
export const supportSpan = check({
  id: 'support-span',
  title: 'Span under long loads',
  question: 'Are the supports of a long load far enough apart for its length?',
  formula:
    'first to last bar ≥ a third of the length, for loads along the vehicle; less only with bow and stern lines',
  source: practice('A third of the length: common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No long load is on the plan.',
  *run(survey) {
    for (const { thing, lengthMm, compared } of longSpans(survey)) {
      const short = fails(compared)
      const tied = thing.placement.lines?.bow === true && thing.placement.lines.stern
      yield {
        about: thing.placement.id,
        state: 'all',
        subject: { placementIds: [thing.placement.id] },
        measured: mm(compared.measure),
        limit: mm(compared.limit),
        margin: mm(spareOf(compared)),
        severity: short && !tied ? 'mind' : 'clear',
        sentence: [
          `${thing.gear.name} is `,
          mm(lengthMm),
          ' long and held over ',
          mm(compared.measure),
          ` (${percentText(compared.measure / lengthMm)})`,
          short ? ': a third of its length is ' : ', more than a third: ',
          mm(compared.limit),
          ', ',
          ...marginPhrase(compared),
          short
            ? tied
              ? '; its bow and stern lines take the pitching.'
              : '. Bow and stern lines must take the pitching.'
            : '.',
        ],
      }
    }
  },
})
