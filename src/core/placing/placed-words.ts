import type { Gear } from '../plan/schema/gear'
import type { Placement } from '../plan/schema/placement'
import type { Survey } from '../survey/survey'
import type { Phrase } from '../units/phrase'
import type { Compatible } from './compatible'

/**
 * What putting a thing on a rack did besides standing it there: it was turned, set on edge or put into another thing; or
 * nothing is free, and it only shows why. Nothing where it went on as it is.
 */
export function placedWords(
  survey: Survey,
  gear: Gear,
  placement: Placement,
  answer: Compatible,
): Phrase | undefined {
  const { host, turn, onEdge } = placement
  const inside = host.on === 'place' ? survey.thingById.get(host.placementId)?.gear.name : undefined
  const done = [
    ...(turn === 0 ? [] : [`turned by ${turn}°`]),
    ...(onEdge ? ['set on edge'] : []),
    ...(inside === undefined ? [] : [`put into ${inside}`]),
  ]
  if (answer.kind === 'cannot')
    return [
      `No place is free for ${gear.name}: `,
      ...answer.why,
      '. It stands at the first place, to show what is in its way.',
    ]
  return done.length === 0 ? undefined : [`${gear.name} was ${done.join(' and ')} to fit.`]
}
