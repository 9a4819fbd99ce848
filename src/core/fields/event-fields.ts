import { EVENT_WORD } from '../log/event'
import { KINDS_BY_HAND, type EventByHand } from '../log/by-hand'
import { choice, day, group, ID, number, text, type FieldsOf, type Group, type Variants } from './field'

type OfKind<K extends EventByHand['kind']> = FieldsOf<Extract<EventByHand, { kind: K }>>

const note = text('Note')
const what = text('What')
const counted = { kind: ID, what, count: number('How many'), note }
const ofRack = { kind: ID, rackId: choice('Which rack', 'racks'), note }
const noted = { kind: ID, what, note }

const FIELDS_BY_HAND: { readonly [K in EventByHand['kind']]: OfKind<K> } = {
  found: counted,
  lost: counted,
  replaced: { kind: ID, what, with: text('By what'), note },
  removed: ofRack,
  refitted: ofRack,
  loadChanged: noted,
  checked: noted,
  firstTrip: { kind: ID, what, on: day('On'), note },
  dated: { kind: ID, what, due: day('Due'), note },
}

const GROUPS = Object.fromEntries(
  KINDS_BY_HAND.map((kind) => [kind, group('', FIELDS_BY_HAND[kind])]),
) as Readonly<Record<EventByHand['kind'], Group>>

/** An entry of a log by hand: found, lost, replaced, taken off, put on again, checked, or a date to keep. */
export const EVENT_BY_HAND_FIELD: Variants = {
  is: 'variants',
  label: 'Kind',
  by: 'kind',
  choices: KINDS_BY_HAND.map((kind) => [kind, EVENT_WORD[kind]] as const),
  groupOf: (kind) => GROUPS[kind as EventByHand['kind']],
  start: (kind) => (kind === 'found' || kind === 'lost' ? { kind, count: 1 } : { kind }),
}
