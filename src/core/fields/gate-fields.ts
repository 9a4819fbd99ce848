import type { PreorderMeasurement } from '../plan/schema/preorder-measurement'
import { ID, choice, group, length, list, mass, text, type FieldsOf } from './field'

export const GATES = list(
  'To be measured before ordering',
  'something to measure',
  group('', {
    id: ID,
    question: text('What is measured'),
    ask: {
      is: 'variants',
      label: 'As',
      by: 'kind',
      choices: [
        ['length', 'A gap or a thickness'],
        ['gauge', 'A gauge that must go in, or not'],
        ['mass', 'A weight'],
      ],
      groupOf: (kind) =>
        kind === 'gauge'
          ? group('', {
              gauge: text('Gauge', 'a 5 mm drill, say'),
              must: choice('It must', [
                ['go', 'go in'],
                ['noGo', 'not go in'],
              ]),
            })
          : kind === 'mass'
            ? group('', { fromKg: mass('At least'), toKg: mass('At most') })
            : group('', {
                fromMm: length('At least'),
                toMm: length('At most'),
                softFromMm: length('Better from', 'Where its sheet prints a range'),
                softToMm: length('Better up to', 'Where its sheet prints a range'),
                datum: text('From and to'),
              }),
    },
    implies: group('Result for another measurement', {
      gateId: choice('Answer to another question', 'gates'),
      plusFromMm: length('The other reads more by, from'),
      plusToMm: length('to'),
      why: text('Because'),
    }),
  } satisfies FieldsOf<PreorderMeasurement>),
  { start: (id) => ({ id, ask: { kind: 'length', datum: '' } }) },
)
