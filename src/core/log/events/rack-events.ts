import * as z from '../../units/schema'
import { daySchema, idSchema } from '../../units/scalars'
import { entry, reason, words } from './entry'

const rack = { rackId: idSchema, what: words }
const what = { what: words }
const counted = { what: words, count: z.int().check(z.gte(1)) }
const ofRack = (word: string, on: boolean) =>
  entry({
    word,
    shape: rack,
    line: (event) => event.what,
    changes: ({ racks }, event) =>
      racks.set(event.rackId, { rackId: event.rackId, what: event.what, on, since: event.at }),
  })
const noted = (word: string) => entry({ word, shape: what, line: (event) => event.what })

/** What happens to a rack on a vehicle, whether in a job or years after. */
export const ofRackEvents = {
  fitted: ofRack('Fitted', true),
  removed: ofRack('Taken off', false),
  refitted: ofRack('Put on again', true),
  replaced: entry({
    word: 'Replaced',
    shape: { what: words, with: words },
    line: (event) => `${event.what} by ${event.with}`,
    changes: ({ replaced, missing }, event) => {
      replaced.push(event)
      missing.delete(event.what)
    },
  }),
  lost: entry({
    word: 'Lost',
    shape: counted,
    line: (event) => `${event.count} × ${event.what}`,
    changes: ({ missing }, event) => missing.set(event.what, (missing.get(event.what) ?? 0) + event.count),
  }),
  found: entry({
    word: 'Found',
    shape: counted,
    line: (event) => `${event.count} × ${event.what}`,
    changes: ({ missing }, event) => {
      const left = (missing.get(event.what) ?? 0) - event.count
      if (left > 0) missing.set(event.what, left)
      else missing.delete(event.what)
    },
  }),
  checked: noted('Checked'),
  loadChanged: noted('Load changed'),
  firstTrip: entry({
    word: 'First trip',
    shape: { what: words, on: daySchema },
    line: (event) => `${event.what}, on ${event.on}`,
  }),
  dated: entry({
    word: 'Date set',
    shape: { what: words, due: daySchema },
    line: (event) => `${event.what}, due ${event.due}`,
  }),
  /** Names the entry that no longer counts; what is right comes after it. */
  corrected: entry({
    word: 'Corrected',
    shape: { eventId: idSchema, reason },
    line: (event) => `entry ${event.eventId}: ${event.reason}`,
  }),
}
