import type * as z from '../units/schema'
import { kindsOf } from '../kinds/kind'
import { unionOf } from '../kinds/union'
import { idSchema } from '../units/scalars'
import { common } from './events/entry'
import { ofRackEvents } from './events/rack-events'

/** The rack is chosen; what it is called is not typed again. */
const chosenRack = { shape: { rackId: idSchema } }

/** What a person may enter in a log by hand, in the order in which it is offered. */
const byHand = {
  found: ofRackEvents.found,
  lost: ofRackEvents.lost,
  replaced: ofRackEvents.replaced,
  removed: chosenRack,
  refitted: chosenRack,
  loadChanged: ofRackEvents.loadChanged,
  checked: ofRackEvents.checked,
  firstTrip: ofRackEvents.firstTrip,
  dated: ofRackEvents.dated,
}
type ByHand = typeof byHand

export const eventByHandSchema = unionOf<'kind', ByHand, Record<keyof ByHand, { note: typeof common.note }>>(
  'kind',
  byHand,
  () => ({ note: common.note }),
)
export type EventByHand = z.infer<typeof eventByHandSchema>
export const KINDS_BY_HAND = kindsOf(byHand)
