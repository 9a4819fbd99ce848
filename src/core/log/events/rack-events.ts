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
    line: (said) => said.what,
    changes: ({ racks }, said) =>
      racks.set(said.rackId, { rackId: said.rackId, what: said.what, on, since: said.at }),
  })
const noted = (word: string) => entry({ word, shape: what, line: (said) => said.what })

/** What happens to a rack on a vehicle, whether in a job or years after. */
export const ofRackEvents = {
  fitted: ofRack('Fitted', true),
  removed: ofRack('Taken off', false),
  refitted: ofRack('Put on again', true),
  replaced: entry({
    word: 'Replaced',
    shape: { what: words, with: words },
    line: (said) => `${said.what} by ${said.with}`,
    changes: ({ replaced, missing }, said) => {
      replaced.push(said)
      missing.delete(said.what)
    },
  }),
  lost: entry({
    word: 'Lost',
    shape: counted,
    line: (said) => `${said.count} × ${said.what}`,
    changes: ({ missing }, said) => missing.set(said.what, (missing.get(said.what) ?? 0) + said.count),
  }),
  found: entry({
    word: 'Found',
    shape: counted,
    line: (said) => `${said.count} × ${said.what}`,
    changes: ({ missing }, said) => {
      const left = (missing.get(said.what) ?? 0) - said.count
      if (left > 0) missing.set(said.what, left)
      else missing.delete(said.what)
    },
  }),
  checked: noted('Checked'),
  loadChanged: noted('Load changed'),
  firstTrip: entry({
    word: 'First trip',
    shape: { what: words, on: daySchema },
    line: (said) => `${said.what}, on ${said.on}`,
  }),
  dated: entry({
    word: 'Date set',
    shape: { what: words, due: daySchema },
    line: (said) => `${said.what}, due ${said.due}`,
  }),
  /** Names the entry that no longer counts; what is right comes after it. */
  corrected: entry({
    word: 'Corrected',
    shape: { eventId: idSchema, reason },
    line: (said) => `entry ${said.eventId}: ${said.reason}`,
  }),
}
