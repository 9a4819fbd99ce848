import { LEAST_SPAN_SHARE } from '../plan/schema/hints'
import { isLong } from '../survey/bars/long-load'
import { rootOf, type ThingAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { atLeast, type Compared } from './comparison'

/** A long load: over how much it is held, against a part of its length. mm. */
interface LongSpan {
  readonly thing: ThingAt
  readonly lengthMm: number
  readonly compared: Compared
}

/** From the first to the last bar that holds a thing, itself or through its carrier. mm. */
function spanOf(survey: Survey, thing: ThingAt): number | undefined {
  const { host } = rootOf(thing).placement
  if (host.on === 'place' || host.on === 'panel' || host.on === 'ladder') return undefined
  const xs = survey.bars
    .filter(({ bar, rack }) => (host.on === 'bars' ? host.barIds.includes(bar.id) : rack.id === host.rackId))
    .map(({ bar }) => bar.xMm)
  return xs.length === 0 ? undefined : Math.max(...xs) - Math.min(...xs)
}

/** Every long load that is held on bars. */
export const longSpans = (survey: Survey): readonly LongSpan[] =>
  survey.things.flatMap((thing) => {
    const span = isLong(thing) ? spanOf(survey, thing) : undefined
    if (span === undefined) return []
    const lengthMm = thing.box.x1 - thing.box.x0
    return [{ thing, lengthMm, compared: atLeast(span, lengthMm * LEAST_SPAN_SHARE) }]
  })
