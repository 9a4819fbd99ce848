import { ATTACHMENTS } from '../kinds/attachment'
import { BODIES } from '../kinds/body'
import { choicesOf } from '../kinds/kind'
import { PART_ROLES } from '../kinds/part-role'
import type { Kit, Part } from '../plan/schema/rack'
import type { UnknownRecord } from './unknown-record'
import {
  ID,
  MARKS,
  choice,
  flag,
  group,
  length,
  list,
  mass,
  number,
  several,
  text,
  wordFor,
  type FieldsOf,
} from './field'
import { SOURCE_FIELD } from './figures-fields'
import { MOUNT_FIELD, RATED } from './held-fields'
import { FASTENERS } from './joint-fields'
import { LIKELY_OF_PART } from './likely'
import { WORK, WORK_PARTS } from './work-fields'

const DOORS = [2, 3, 4, 5].map((each) => [each, String(each)] as const)

const pilotFirst = ({ pilotMm, finalMm }: UnknownRecord): Record<string, string> =>
  typeof pilotMm === 'number' && typeof finalMm === 'number' && pilotMm > finalMm
    ? { pilotMm: 'A pilot is smaller than the final hole.' }
    : {}

const KIT = group('What the kit is for', {
  bodies: several(
    choice(
      'Bodies',
      choicesOf(BODIES, ({ label }) => label),
    ),
  ),
  years: group('', { from: number('Years from'), to: number('to') }),
  doors: several(choice('Doors', DOORS)),
  trims: several(wordFor('trim', 'Trims')),
  railShapes: list(
    'Rail shapes',
    'a rail shape',
    group('', { shape: wordFor('railShape', 'Rail shape'), adapter: wordFor('part', 'With which adapter') }),
  ),
  needs: several(wordFor('fact', 'The vehicle must have')),
  mustNotHave: several(wordFor('fact', 'The vehicle must not have')),
  settings: list(
    'Holes, slots or settings by trim',
    'a setting',
    group('', {
      setting: wordFor('hole', 'Setting', 'Long slot'),
      trim: wordFor('trim', 'For which trim', 'Generation B'),
    }),
  ),
  drills: group(
    'Drilling',
    {
      holes: number('Holes to drill'),
      reversible: flag('It can be undone'),
      pilotMm: length('Pilot'),
      finalMm: length('Final size'),
      each: list(
        'Holes that differ from the rest',
        'a hole',
        group(
          '',
          {
            name: wordFor('hole', 'Hole', 'Point 1, left'),
            pilotMm: length('Its pilot'),
            finalMm: length('Its final size'),
            operations: several(text('Done to it', 'In order, as pilot; step drill; deburr; prime')),
          },
          { check: pilotFirst },
        ),
      ),
      layers: several(text('Through', 'From outside in')),
      template: text('By template'),
      seal: text('Sealed with'),
      paint: text('Edges painted with'),
    },
    { check: pilotFirst },
  ),
  singleUse: text('Not used again'),
  cannotUndo: text('Cannot be undone'),
  removableTop: choice('A removable top', [
    ['stays', 'stays on'],
    ['liftsByOne', 'is lifted off by one'],
    ['liftsByTwo', 'is lifted off by two'],
  ]),
} satisfies FieldsOf<Kit>)

export const PART_FIELD = group(
  'Part',
  {
    id: ID,
    role: choice(
      'What it is',
      choicesOf(PART_ROLES, ({ choice: words }) => words),
    ),
    name: { ...wordFor('part', 'Name'), givesName: true },
    count: number('How many'),
    eachKg: mass('Weight of each'),
    centreZMm: length('Its middle over the ground', 'If the height of its mass is known'),
    rated: RATED('Load limits'),
    price: number('Price of all'),
    suits: several(
      choice(
        'Used over',
        choicesOf(ATTACHMENTS, ({ choice: words }) => words),
        'None ticked: not stated on its sheet',
      ),
    ),
    mount: MOUNT_FIELD,
    kit: KIT,
    setting: wordFor('hole', 'Fitted in which setting', 'As engraved: long slot'),
    tension: group('', { eachKg: mass('Each holds upward'), source: SOURCE_FIELD }),
    fasteners: FASTENERS,
    work: WORK,
    known: MARKS,
    typed: MARKS,
  } satisfies FieldsOf<Part>,
  {
    likely: LIKELY_OF_PART,
    parts: [
      { keys: ['role', 'name', 'count', 'eachKg', 'rated'] },
      { title: 'Joints and torque', keys: ['fasteners'] },
      ...WORK_PARTS,
      {
        title: 'What it suits, and its price',
        keys: ['suits', 'kit', 'setting', 'mount', 'tension', 'price', 'centreZMm'],
      },
    ],
  },
)
