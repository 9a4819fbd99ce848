import { ATTACHMENTS, attachmentShapes, loadsRoof, type AttachmentKind } from '../kinds/attachment'
import { BODIES } from '../kinds/body'
import { choicesOf } from '../kinds/kind'
import { ANTENNA_FORMS, OBSTACLES, type ObstacleKind } from '../kinds/obstacle'
import type { Attachment, Obstacle, Vehicle } from '../plan/vehicle'
import { listOf, type Raw, rawOf } from './draft'
import {
  choice,
  angle,
  figures,
  flag,
  group,
  halved,
  ID,
  mass,
  list,
  MARKS,
  length,
  note,
  number,
  pairs,
  percent,
  pick,
  range,
  several,
  text,
  type AllOf,
  type Field,
  type Fields,
  type FieldsOf,
  type Variants,
} from './field'
import { SOURCE_FIELD } from './figures-fields'
import { CHANNEL, RATED } from './part-fields'

const BACK = 'Behind the windscreen’s upper edge'

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** Places on either side, alike: how far back each is, and from the left one to the right one. */
const points = (label: string): Field => ({
  is: 'split',
  parts: {
    at: several(length(label, 'Semicolons between: 310; 1030')),
    gauge: several(length('Left point to right point', 'One for all, or one for each')),
  },
  apart: (value) => {
    const all = listOf(value).map(rawOf)
    const widths = all.map(({ yMm }) => Number(yMm) * 2)
    const alike = widths.every((each) => each === widths[0])
    return value === undefined
      ? {}
      : { at: all.map(({ xMm }) => xMm), gauge: alike ? widths.slice(0, 1) : widths }
  },
  join: ({ at, gauge }) => {
    const xs = listOf(at).map(Number)
    const widths = listOf(gauge).map(Number)
    if (xs.length === 0) return 'Give at least one place, several with semicolons between: 310; 1030.'
    if (widths.length !== 1 && widths.length !== xs.length)
      return 'Give one width for all, or one for each place.'
    const all = xs.map((xMm, i) => ({ xMm, yMm: (widths[i] ?? widths[0] ?? 0) / 2 }))
    return { value: all.toSorted((a, b) => a.xMm - b.xMm) }
  },
})

const ATTACHMENT_FIELDS = {
  id: ID,
  kind: ID,
  name: text('Name'),
  ranges: list('Where feet may go', 'a stretch', range('Feet may go from', 'to', BACK)),
  posts: list('Posts, where no foot goes', 'a post', range('Post from', 'to')),
  notchesXMm: several(length('Only in notches at', 'Empty: anywhere. Several: 300; 600')),
  points: points('Points at'),
  doorPositions: points('Points at'),
  xMm: length('Seam at', BACK),
  seamGapMm: length('Gap at the seam'),
  gaugeMm: length('Left rail to right rail'),
  riseMm: length("Rail's top over the roof's edge"),
  shape: text("Rail's shape", 'round, oval, flat: kits ask for it'),
  topZMm: length('Its top over the ground'),
  seatZMm: length('Its seat over the ground', 'Empty when not measured'),
  canopyKg: mass('The canopy’s own mass', 'It weighs on the bed’s sides too'),
  channel: CHANNEL,
  reinforced: flag('Reinforced inside'),
  roofBears: flag('The roof’s skin bears the load all the same', 'Left open where nobody has said'),
  rated: RATED('What it may carry'),
  ratings: figures('What it may carry'),
  known: MARKS,
  typed: MARKS,
} satisfies FieldsOf<{ [K in AllOf<Attachment>]: unknown }>

export const ATTACHMENT_FIELD: Variants = {
  is: 'variants',
  label: 'What it is',
  by: 'kind',
  choices: choicesOf(ATTACHMENTS, ({ choice: words }) => words),
  groupOf: (kind) => {
    const { choice: words } = ATTACHMENTS[kind as AttachmentKind]
    const own = Object.keys(attachmentShapes[kind as AttachmentKind].shape)
    const rated = loadsRoof(kind as AttachmentKind) ? 'rated' : 'ratings'
    return group(words, pick(ATTACHMENT_FIELDS, ['id', 'name', ...own, rated, 'known', 'typed']))
  },
}

const WIDTHS: Partial<Record<ObstacleKind, Fields>> = {
  doorEdge: { halfWidthMm: halved('From door edge to door edge') },
}

const OBSTACLE_FIELDS = {
  id: ID,
  kind: ID,
  name: text('Its name'),
  hinge: group('', { xMm: length('Hinge at', BACK), zMm: length('Hinge’s height over the ground') }),
  panel: pairs(
    'Corners of the closed panel',
    ['xMm', 'zMm'],
    'How far back / how high, from the hinge down: 2780 / 1030; 2980 / 960',
  ),
  halfWidthMm: halved('Panel’s width'),
  opensDeg: angle('Opens by'),
  openingMm: range('Pane from', 'Pane to', BACK),
  widthMm: length('Pane’s width'),
  moves: choice(
    'How it moves',
    [
      ['fixed', 'Not at all'],
      ['inside', 'Slides under the roof'],
      ['outside', 'Slides over the roof'],
      ['tilts', 'Tilts'],
      ['tiltsAndSlides', 'Tilts and slides'],
    ],
    'A pane that stays shut meets nothing',
  ),
  tiltRiseMm: length('Rear edge rises by', 'Empty when it does not tilt'),
  slidesOutside: group('', {
    travelMm: length('Slides outside by', 'Empty when it stays inside'),
    riseMm: length('Over the roof as it slides'),
  }),
  xMm: length('Antenna at', BACK),
  yMm: length('Off the centreline', 'To the right +'),
  heightMm: length('Height over the roof'),
  form: choice(
    'Form',
    choicesOf(ANTENNA_FORMS, (_, form) => form),
  ),
  fromXMm: length('Spoiler from', BACK),
  toXMm: length('Spoiler to'),
  topZMm: length('Its top over the ground'),
  headZMm: length('Heads up to', 'Over the ground'),
  known: MARKS,
  typed: MARKS,
} satisfies FieldsOf<{ [K in AllOf<Obstacle>]: unknown }>

/** A panel begins at its hinge, and goes with it. */
function fromHinge(now: Raw, was: Raw): Raw {
  if (same(now['hinge'], was['hinge']) && same(now['panel'], was['panel'])) return now
  const corners = listOf(now['panel'])
  const [first, ...rest] = corners
  const begins = same(first, now['hinge']) || (was['hinge'] !== undefined && same(first, was['hinge']))
  return { ...now, panel: [now['hinge'], ...(begins && rest.length > 0 ? rest : corners)] }
}

export const OBSTACLE_FIELD: Variants = {
  is: 'variants',
  label: 'What it is',
  by: 'kind',
  choices: choicesOf(OBSTACLES, ({ choice: words }) => words),
  groupOf: (kind) => {
    const { choice: words, shape } = OBSTACLES[kind as ObstacleKind]
    const fields = pick({ ...OBSTACLE_FIELDS, ...WIDTHS[kind as ObstacleKind] }, [
      'id',
      'name',
      ...Object.keys(shape),
      'known',
      'typed',
    ])
    return group(words, fields, 'hinge' in shape ? { settle: fromHinge } : {})
  },
}

/** What a vehicle has, and what it has not. */
const FACTS: Field = {
  is: 'split',
  parts: {
    has: several(text('It has', 'What kits ask for: another bumper; …')),
    hasNot: several(text('It has not', 'Semicolons between')),
  },
  apart: (value) => {
    const named = (has: boolean) =>
      listOf(value)
        .map(rawOf)
        .filter((fact) => fact['has'] === has)
        .map(({ what }) => what)
    return { has: named(true), hasNot: named(false) }
  },
  join: ({ has, hasNot }) => {
    const said = (list: unknown, is: boolean) => listOf(list).map((what) => ({ what, has: is }))
    const all = [...said(has, true), ...said(hasNot, false)]
    return { value: all.length > 0 ? all : undefined }
  },
}

function between(now: Raw): Record<string, string> {
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
    trim: text('Trim', 'A lower one may lack the points'),
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
      ],
      groupOf: (known) =>
        known === 'position'
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
      skinZMm: length('Roof’s skin over the ground', 'Where the height is of something else'),
      ratings: figures('What the roof may carry'),
    }),
    cabWallXMm: length('Cab’s rear wall at', 'On a pickup'),
    attachments: list('Rails, points, gutters', 'something that holds a rack', ATTACHMENT_FIELD),
    obstacles: list('Hatch, sunroof, antenna', 'something the load may meet', OBSTACLE_FIELD),
    source: SOURCE_FIELD,
    note: note('Notes'),
    known: MARKS,
    typed: MARKS,
  } satisfies FieldsOf<Vehicle>,
  {
    check: between,
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
      { title: 'What the load may meet', keys: ['obstacles'] },
      {
        title: 'Weight and balance',
        keys: ['kerbKg', 'grossKg', 'axleLimitKg', 'trackMm', 'centreOfGravity', 'drive'],
      },
      { title: 'What kits ask for', keys: ['years', 'doors', 'trim', 'facts'] },
      { title: 'Where all this is from', keys: ['source', 'note'] },
    ],
  },
)
