import type * as z from '../units/schema'
import { kindsOf } from '../kinds/kind'
import { unionOf } from '../kinds/union'
import { common, type EventKindTraits } from './events/entry'
import { ofRackEvents } from './events/rack-events'
import { ofWorkEvents } from './events/work-events'

const events = { ...ofRackEvents, ...ofWorkEvents }
type Events = typeof events

/**
 * Something that happened to a vehicle's rack. The log only grows: what was wrong is set right by `corrected`, which
 * names the event that no longer counts, and a right one after it.
 */
export const logEventSchema = unionOf<'kind', Events, Record<keyof Events, typeof common>>(
  'kind',
  events,
  () => common,
)
export type LogEvent = z.infer<typeof logEventSchema>
export type EventKind = LogEvent['kind']

/** Each kind's word, line and doing. */
export const EVENTS = events as unknown as Readonly<Record<EventKind, EventKindTraits>>

/** How an event reads in a list. */
export const EVENT_WORD = Object.fromEntries(
  kindsOf(events).map((kind) => [kind, EVENTS[kind].word]),
) as Readonly<Record<EventKind, string>>
