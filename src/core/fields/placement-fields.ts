import { choicesOf } from '../kinds/kind'
import { WHENS } from '../kinds/when'
import type { Fitting, Host, Placement, Straps } from '../plan/schema/placement'
import { ADAPTER_FIELD } from './adapter-fields'
import {
  choice,
  flag,
  group,
  hiddenField,
  ID,
  length,
  list,
  MARKS,
  mass,
  number,
  type FieldsOf,
  type Group,
} from './field'
import { OPENING_SIDES } from './gear-fields'
import { LOAD_FIELD } from './load-fields'
import { STATUS_FIELD } from './status-field'

const BY_NAME = hiddenField('It is chosen by its name.')

/** What a person says of a thing's host besides which one it is. */
const HOSTS: Readonly<Record<Host['on'], Group>> = {
  bars: group('', { on: ID, barIds: BY_NAME } satisfies FieldsOf<Extract<Host, { on: 'bars' }>>),
  deck: group('', { on: ID, rackId: BY_NAME } satisfies FieldsOf<Extract<Host, { on: 'deck' }>>),
  panel: group('', {
    on: ID,
    rackId: BY_NAME,
    side: BY_NAME,
    zMm: length('Over the bed’s side'),
  } satisfies FieldsOf<Extract<Host, { on: 'panel' }>>),
  ladder: group('', { on: ID, rackId: BY_NAME } satisfies FieldsOf<Extract<Host, { on: 'ladder' }>>),
  place: group('', { on: ID, placementId: BY_NAME, placeId: BY_NAME } satisfies FieldsOf<
    Extract<Host, { on: 'place' }>
  >),
}

const HOLE = number('In which hole')

export const HOLE_LABEL = HOLE.label

export const STRAPS_FIELDS = {
  count: number('How many'),
  eachKg: mass('Each, by its label'),
} satisfies FieldsOf<Straps>

/** Where a thing stands and what holds it there: the drawing and its strip ask it, one field at a time. */
export const PLACEMENT_FIELDS = {
  id: ID,
  gearId: BY_NAME,
  host: {
    is: 'variants',
    label: 'Stands on',
    by: 'on',
    choices: [
      ['bars', 'bars'],
      ['deck', 'a deck'],
      ['panel', 'a side panel'],
      ['ladder', 'a ladder'],
      ['place', 'a place in another thing'],
    ],
    groupOf: (on) => HOSTS[on as Host['on']],
  },
  xMm: length('x, middle'),
  yMm: length('y, right +'),
  turn: choice('Turn', [
    [0, '0°'],
    [90, '90°'],
    [180, '180°'],
    [270, '270°'],
  ]),
  onEdge: flag('On edge'),
  when: choice(
    'On board',
    choicesOf(WHENS, ({ word }) => word),
  ),
  loads: list('In it or on it', 'contents', LOAD_FIELD),
  fitting: group('', {
    adapter: ADAPTER_FIELD,
    boltMm: length('Bolts of'),
    nutSlotMm: length('Nuts for'),
    hole: HOLE,
  } satisfies FieldsOf<Fitting>),
  lines: group('Lines', { bow: flag('bow'), stern: flag('stern') }),
  straps: group('Straps over it', STRAPS_FIELDS),
  opensToward: choice('Opens to the', OPENING_SIDES),
  status: STATUS_FIELD,
  typed: MARKS,
} satisfies FieldsOf<Placement>
