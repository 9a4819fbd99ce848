import { choicesOf } from '../kinds/kind'
import { WHENS } from '../kinds/when'
import type { Load } from '../plan/schema/placement'
import {
  choice,
  group,
  ID,
  length,
  MARKS,
  number,
  quantityOf,
  text,
  type FieldsOf,
  type Group,
} from './field'
import { MASS, WEIGHTS } from './mass-field'

type What = Load['what']

const WHAT: Readonly<Record<What['kind'], Group>> = {
  mass: group('', { kind: ID, mass: WEIGHTS('It weighs') } satisfies FieldsOf<
    Extract<What, { kind: 'mass' }>
  >),
  fluid: group('', {
    kind: ID,
    fluid: choice('What it is', [
      ['petrol', 'Petrol'],
      ['diesel', 'Diesel'],
      ['water', 'Water'],
    ]),
    litres: quantityOf('volume', 'How much'),
    typed: MARKS,
  } satisfies FieldsOf<Extract<What, { kind: 'fluid' }>>),
  people: group('', {
    kind: ID,
    count: number('How many'),
    each: MASS('One of them weighs'),
  } satisfies FieldsOf<Extract<What, { kind: 'people' }>>),
}

/** Something in or on a thing, with all that may be known of it. */
export const LOAD_FIELD = group('Load', {
  id: ID,
  name: text('Name'),
  what: {
    is: 'variants',
    label: 'It is',
    by: 'kind',
    choices: [
      ['mass', 'things, by weight'],
      ['fluid', 'a fluid, by volume'],
      ['people', 'people'],
    ],
    groupOf: (kind) => WHAT[kind as What['kind']],
  },
  when: choice(
    'On board',
    choicesOf(WHENS, ({ word }) => word),
  ),
  atMm: group('', {
    xMm: length('Lies behind the middle of its thing', 'Empty: at its centre of gravity'),
    yMm: length('Lies to the right of it'),
  }),
} satisfies FieldsOf<Load>)
