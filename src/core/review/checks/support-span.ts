import { TOLERANCE } from '../../units/tolerance'
import { type ThingAt, rootOf } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { LEAST_SPAN_SHARE } from '../../plan/hints'
import { check, practice } from '../check'
import { mm } from '../../units/phrase'
import { isLong } from '../../survey/bars/long-load'

/** From the first to the last bar that holds a thing, itself or through its carrier. mm. */
function spanOf(survey: Survey, thing: ThingAt): number | undefined {
  const { host } = rootOf(thing).placement
  if (host.on === 'place' || host.on === 'panel' || host.on === 'ladder') return undefined
  const xs = survey.bars
    .filter(({ bar, rack }) => (host.on === 'bars' ? host.barIds.includes(bar.id) : rack.id === host.rackId))
    .map(({ bar }) => bar.xMm)
  return xs.length === 0 ? undefined : Math.max(...xs) - Math.min(...xs)
}

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
  nothing: 'No long load is on the plan.',
  *run(survey) {
    for (const thing of survey.things) {
      const span = isLong(thing) ? spanOf(survey, thing) : undefined
      if (span === undefined) continue
      const length = thing.box.x1 - thing.box.x0
      const wanted = length * LEAST_SPAN_SHARE
      const short = span < wanted - TOLERANCE.lengthMm
      const tied = thing.placement.lines?.bow === true && thing.placement.lines.stern
      yield {
        about: thing.placement.id,
        state: 'all',
        subject: { placementIds: [thing.placement.id] },
        measured: mm(span),
        limit: mm(wanted),
        margin: mm(span - wanted),
        severity: short && !tied ? 'mind' : 'clear',
        sentence: [
          `${thing.gear.name} is `,
          mm(length),
          ' long and held over ',
          mm(span),
          short ? ': a third of its length is ' : ', more than a third: ',
          mm(wanted),
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
