import type { EventByHand } from '../log/by-hand'
import type { Rack } from '../plan/schema/rack'
import { refitValues } from './refit'

/**
 * What is written in the log for an entry by hand; nothing where its rack is not there. Of a rack that comes off, what it
 * takes to put it back as it was is written down unless a note was typed.
 */
export function eventOfHand(hand: EventByHand, racks: readonly Rack[]) {
  if (hand.kind !== 'removed' && hand.kind !== 'refitted') return hand
  const rack = racks.find(({ id }) => id === hand.rackId)
  if (!rack) return undefined
  const values = hand.kind === 'removed' && hand.note === undefined ? refitValues(rack) : ''
  return { ...hand, what: rack.name, ...(values === '' ? {} : { note: values }) }
}
