import { BODIES } from '../kinds/body'
import { choicesOf } from '../kinds/kind'
import type { TailLoad, Vehicle } from '../plan/schema/vehicle'
import { ATTACHMENT_FIELD } from './attachment-fields'
import { listOf, rawOf, type UnknownRecord } from './unknown-record'
import {
  ID,
  MARKS,
  choice,
  figures,
  group,
  halved,
  length,
  list,
  mass,
  note,
  number,
  percent,
  several,
  text,
  wordFor,
  type Field,
  type FieldsOf,
} from './field'
import { SOURCE_FIELD } from './figures-fields'
import { LIKELY_OF_VEHICLE } from './likely'
import { MASS } from './mass-field'
import { OBSTACLE_FIELD } from './obstacle-fields'

const BACK = 'Behind the windscreen’s upper edge'

/** What a vehicle has, and what it has not. */
const FACTS: Field = {
  is: 'split',
  parts: {
    has: several(wordFor('fact', 'It has', 'As kits name it: another bumper; …')),
    hasNot: several(wordFor('fact', 'It has not', 'Semicolons between')),
  },
  format: (value) => {
    const named = (has: boolean) =>
      listOf(value)
        .map(rawOf)
        .filter((fact) => fact['has'] === has)
        .map(({ what }) => what)
    return { has: named(true), hasNot: named(false) }
  },
  parse: ({ has, hasNot }) => {
    const said = (list: unknown, is: boolean) => listOf(list).map((what) => ({ what, has: is }))
    const all = [...said(has, true), ...said(hasNot, false)]
    return { value: all.length > 0 ? all : undefined }
  },
}

function between(now: UnknownRecord): Record<string, string> {
  const [kerb, gross, length] = [now['kerbKg'], now['grossKg'], Number(now['lengthMm'])]
  return {
    ...(typeof kerb === 'number' && typeof gross === 'number' && gross <= kerb
      ? { grossKg: 'Gross mass must be more than kerb mass.' }
      : {}),
    ...(Number(now['wheelbaseMm']) >= length
      ? { wheelbaseMm: 'The wheelbase must be shorter than the vehicle.' }
      : {}),
    ...(Number(now['noseToScreenMm']) >= length
      ? { noseToScreenMm: 'The windscreen must be on the vehicle: this is longer than the whole of it.' }
      : {}),
  }
}

export const VEHICLE_FIELD = group(
  'Vehicle',
  {
    id: ID,
    name: text('Name', 'By body and plate, say'),
    body: choice(
      'Body',
      choicesOf(BODIES, ({ label }) => label),
    ),
    lengthMm: length('Overall length'),
    widthMm: length('Body width, no mirrors'),
    heightMm: length('Height, unladen', 'Over all, rails and antenna too'),
    wheelbaseMm: length('Wheelbase'),
    frontOverhangMm: length('Front overhang', 'Nose to front axle'),
    noseToScreenMm: length("Nose to windscreen's upper edge"),
    wheelRadiusMm: length('Wheel radius'),
    years: group('', {
      from: number('Built from', 'The year on its plate'),
      to: number('Built to', 'Empty when it is one year'),
    }),
    doors: number('Doors', 'Kits ask for them'),
    trim: wordFor('trim', 'Trim', 'A lower trim may lack the points'),
    facts: FACTS,
    kerbKg: mass('Kerb mass', 'Empty when not known'),
    grossKg: mass('Gross mass', 'Empty when not known'),
    trackMm: group('', {
      front: length('Track, front', 'Middle of tyre to middle of tyre'),
      rear: length('Track, rear'),
    }),
    axleLimitKg: group('', { front: mass('Front axle may bear'), rear: mass('Rear axle may bear') }),
    centreOfGravity: {
      is: 'variants',
      label: 'Its own centre of gravity',
      by: 'known',
      choices: [
        ['stability', 'Front share and stability factor'],
        ['position', 'Place and height'],
        ['height', 'Height alone'],
      ],
      groupOf: (known) =>
        known === 'height'
          ? group('', { known: ID, heightMm: length('Over the ground') })
          : known === 'position'
            ? group('', {
                known: ID,
                xMm: length("Behind the windscreen's edge"),
                heightMm: length('Over the ground'),
              })
            : group('', {
                known: ID,
                frontShare: percent('On its front axle', 'Percent of its own mass'),
                staticStabilityFactor: number('Static stability factor', 'Track over twice the height'),
              }),
    },
    drive: group('', {
      energy: choice('Driven by', [
        ['petrol', 'Petrol'],
        ['diesel', 'Diesel'],
        ['battery', 'Battery'],
      ]),
      efficiencyPercent: number('Reaches the road', 'Percent of what is in the tank or battery'),
    }),
    roof: group('', {
      fromXMm: length('Roof begins at', BACK),
      toXMm: length('Roof ends at', BACK),
      halfWidthFrontMm: halved('Roof width, front'),
      halfWidthRearMm: halved('Roof width, rear'),
      crownMm: length('Crown', 'Middle over edge'),
      skinZMm: length('Roof’s skin over the ground', 'If the height above is not of the roof skin'),
      ratings: figures('Load limits of the roof'),
    }),
    tail: list(
      'Load at the tail',
      'something at the tail',
      group('At the tail', {
        id: ID,
        name: text('What it is', 'A carrier on the bumper, a trailer’s nose weight'),
        mass: MASS('It weighs'),
        xMm: length('Its weight acts at', BACK),
        zMm: length('Over the ground'),
        box: group('', {
          lengthMm: length('Length', 'Along the vehicle; empty for a nose weight'),
          widthMm: length('Width'),
          heightMm: length('Height'),
        }),
        typed: MARKS,
      } satisfies FieldsOf<TailLoad>),
      { start: (id) => ({ id, name: 'Carrier on the ball', mass: { kg: 0, basis: 'unknown' }, zMm: 600 }) },
    ),
    cabWallXMm: length('Cab’s rear wall at', 'On a pickup'),
    attachments: list('Rails, points, gutters', 'something that holds a rack', ATTACHMENT_FIELD),
    obstacles: list('Hatch, sunroof, antenna', 'something the load may touch', OBSTACLE_FIELD),
    source: SOURCE_FIELD,
    note: note('Notes'),
    known: MARKS,
    typed: MARKS,
  } satisfies FieldsOf<Vehicle>,
  {
    check: between,
    likely: LIKELY_OF_VEHICLE,
    parts: [
      { keys: ['name', 'body'] },
      { keys: ['attachments'], title: 'What holds a rack', open: true },
      { keys: ['roof.ratings'] },
      {
        title: 'Sizes',
        keys: [
          'lengthMm',
          'widthMm',
          'heightMm',
          'wheelbaseMm',
          'frontOverhangMm',
          'noseToScreenMm',
          'wheelRadiusMm',
        ],
      },
      {
        title: 'Roof',
        keys: [
          'roof.fromXMm',
          'roof.toXMm',
          'roof.halfWidthFrontMm',
          'roof.halfWidthRearMm',
          'roof.crownMm',
          'roof.skinZMm',
          'cabWallXMm',
        ],
      },
      { title: 'Things the load may touch', keys: ['obstacles'] },
      {
        title: 'Weight and balance',
        keys: ['kerbKg', 'grossKg', 'axleLimitKg', 'trackMm', 'centreOfGravity', 'drive', 'tail'],
      },
      { title: 'What kits ask for', keys: ['years', 'doors', 'trim', 'facts'] },
      { title: 'Sources', keys: ['source', 'note'] },
    ],
  },
)
