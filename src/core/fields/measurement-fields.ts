import type { MeasuredSubject, Measurement } from '../plan/schema/measurement'
import {
  choice,
  day,
  group,
  hiddenField,
  ID,
  length,
  MARKS,
  several,
  text,
  type FieldsOf,
  type Group,
  type Variants,
} from './field'
import { MASS } from './mass-field'

const ASKED_FOR = hiddenField('It is what the reading was asked for.')

const SUBJECTS: Readonly<Record<MeasuredSubject['about'], Group>> = {
  gate: group('', { about: ID, owner: ASKED_FOR, ownerId: ASKED_FOR, gateId: ASKED_FOR }),
  underBar: group('', { about: ID, barId: ASKED_FOR }),
  spread: group('', {
    about: ID,
    frontBarId: ASKED_FOR,
    rearBarId: ASKED_FOR,
    side: choice('Side', [
      ['left', 'On the left'],
      ['right', 'On the right'],
    ]),
  }),
  other: group('', { about: ID, what: text('What is measured') }),
}

const SUBJECT: Variants = {
  is: 'variants',
  label: 'Measured for',
  by: 'about',
  choices: [
    ['gate', 'a question before ordering'],
    ['underBar', 'room under a bar'],
    ['spread', 'a spread'],
    ['other', 'something else'],
  ],
  groupOf: (about) => SUBJECTS[about as MeasuredSubject['about']],
}

/** Who took a measurement, and when. */
export const TAKEN_FIELDS = { by: text('Taken by'), on: day('Taken on') }
const common = { id: ID, of: SUBJECT, ...TAKEN_FIELDS, typed: MARKS }

export const LENGTH_FIELDS = {
  kind: ID,
  ...common,
  datum: text('From and to'),
  readingsMm: several(length('Reading')),
} satisfies FieldsOf<Extract<Measurement, { kind: 'length' }>>

export const GAUGE_FIELDS = {
  kind: ID,
  ...common,
  went: choice('Result of the gauge', [
    ['go', 'it went in'],
    ['noGo', 'it did not go in'],
  ]),
} satisfies FieldsOf<Extract<Measurement, { kind: 'gauge' }>>

const KINDS: Readonly<Record<Measurement['kind'], Group>> = {
  length: group('', LENGTH_FIELDS),
  gauge: group('', GAUGE_FIELDS),
  mass: group('', { kind: ID, ...common, mass: MASS('Mass') } satisfies FieldsOf<
    Extract<Measurement, { kind: 'mass' }>
  >),
}

/** Something measured on the vehicle: taken down reading by reading, where it was asked for. */
export const MEASUREMENT_FIELD: Variants = {
  is: 'variants',
  label: 'Measured',
  by: 'kind',
  choices: [
    ['length', 'a length'],
    ['gauge', 'a gauge'],
    ['mass', 'a mass'],
  ],
  groupOf: (kind) => KINDS[kind as Measurement['kind']],
}
