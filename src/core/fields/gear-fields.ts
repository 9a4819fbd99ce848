import { GEAR_KINDS } from '../kinds/gear-kind'
import { GEAR_SHAPES } from '../kinds/gear-shape'
import { choicesOf } from '../kinds/kind'
import { WHENS } from '../kinds/when'
import type { Gear, Opens, Place } from '../plan/schema/gear'
import { listOf } from './unknown-record'
import {
  choice,
  flag,
  group,
  ID,
  mass,
  speed,
  list,
  MARKS,
  length,
  note,
  number,
  pairs,
  range,
  several,
  text,
  type Field,
  type FieldsOf,
} from './field'
import { GATES } from './gate-fields'
import { MOUNT_FIELD, RATED } from './held-fields'
import { WEIGHTS } from './mass-field'
import { FASTENERS } from './joint-fields'
import { LIKELY_OF_FIT, LIKELY_OF_GEAR } from './likely'
import { WORK, WORK_PARTS } from './work-fields'

const TURNS: readonly (readonly [string, string, readonly number[]])[] = [
  ['all', 'along or across', [0, 90, 180, 270]],
  ['ends', 'along, either way round', [0, 180]],
  ['none', 'only as it is', [0]],
]

const MAY_LIE: Field = {
  is: 'split',
  parts: {
    lie: choice(
      'May lie',
      TURNS.map(([key, words]) => [key, words] as const),
    ),
  },
  format: (value) => {
    const turns = listOf(value).length
    return { lie: TURNS.find(([, , each]) => each.length === turns)?.[0] ?? 'none' }
  },
  parse: ({ lie }) => {
    const turns = TURNS.find(([key]) => key === lie)?.[2]
    return turns ? { value: [...turns] } : 'Choose one.'
  },
}

const PLACE = group('Place', {
  id: ID,
  name: text('Place'),
  kind: choice('It is', [
    ['inside', 'room inside'],
    ['deck', 'room on top'],
    ['cradle', 'a cradle'],
    ['clamp', 'a clamp with holes'],
    ['tray', 'a tray'],
  ]),
  xMm: length('Behind its own middle', 'In front is negative'),
  yMm: length('Right of its own middle'),
  zMm: length('Over its own underside'),
  takes: several(
    choice(
      'Takes',
      choicesOf(GEAR_KINDS, ({ many }) => many),
      'None ticked: anything',
    ),
  ),
  takesWidthMm: range('Takes a width from', 'to'),
  holesMm: list('Holes of the clamp', 'a hole', range('Takes a handle from', 'to')),
} satisfies FieldsOf<Place>)

/** The sides to which a thing may open. */
export const OPENING_SIDES = [
  ['left', 'left'],
  ['right', 'right'],
  ['front', 'front'],
  ['rear', 'rear'],
] as const

const OPENS = group('', {
  toward: choice('Opens to the', OPENING_SIDES),
  orToward: several(choice('May open to another side instead', OPENING_SIDES)),
  reachMm: length('Reaches past its closed box by', 'Empty when not known'),
  floorMm: length('Open floor over its underside'),
  ladder: group('', {
    dropMm: range('Ladder spans from', 'Ladder spans to', 'Floor to ground'),
    outMm: length('Ladder stands out by'),
  }),
  coverGapMm: length('Room to reach its cover', 'Empty when none'),
} satisfies FieldsOf<Opens>)

/** Where its underside touches what it stands on, from its own middle. */
const CONTACTS = group('', {
  across: several(length('Touches the bar at', 'From its middle: -210; 210')),
  along: several(length('Touches lengthwise at', 'From its middle, where its feet are fixed')),
})

export const GEAR_FIELD = group(
  'Gear',
  {
    id: ID,
    kind: choice(
      'Kind',
      choicesOf(GEAR_KINDS, ({ many }) => many),
    ),
    name: text('Name'),
    shape: choice(
      'Looks like',
      choicesOf(GEAR_SHAPES, (_, shape) => shape),
      'For drawing and wind',
    ),
    lengthMm: length('Length, along the vehicle'),
    widthMm: length('Width, across it'),
    heightMm: length('Height'),
    standMm: length('Stands over the bar by', 'Raised by its mounts'),
    hangsMm: length('Parts below its underside reach down', 'A keel, bindings; empty when nothing does'),
    risesMm: length('Parts above its top reach up', 'A stem, bindings'),
    mass: WEIGHTS('Its own weight'),
    wetKg: mass('More when wet', 'Empty when none'),
    centreOfGravity: group('', {
      xMm: length('Centre of gravity behind its middle', 'Empty: in its middle'),
      yMm: length('right of its middle'),
      zMm: length('over its underside'),
    }),
    turns: MAY_LIE,
    onEdge: flag('May stand on edge'),
    when: choice(
      'On board',
      choicesOf(WHENS, ({ word }) => word),
    ),
    carries: group('', {
      rated: RATED('What may be in it or on it'),
      places: list('Its places', 'a place', PLACE, {
        start: (id, kind) => ({ id, name: 'Place', kind: kind || 'inside', xMm: 0, yMm: 0, zMm: 20 }),
      }),
      sleeps: number('Sleeps'),
    }),
    contactsMm: CONTACTS,
    outlineMm: pairs(
      'Outline from above',
      ['xMm', 'yMm'],
      'Back / right of its middle, corner by corner: -900 / -300; …',
    ),
    pieceMm: length('A pair: length of each piece', 'One at either end, nothing between; empty: one body'),
    opens: OPENS,
    fit: group(
      '',
      {
        mount: MOUNT_FIELD,
        spreadMm: range('Spread from', 'to', 'One end may be left open: at least, or at most'),
        otherSpreadsMm: list('Other spreads it can be set to', 'a spread', range('Spread from', 'to')),
        likesMm: length('Best at a spread of', 'Empty when any of them is as good'),
        bars: group('', { from: number('Number of bars, from'), to: number('to') }),
        overhangMm: length('Bar past its foot', 'For side loading'),
        besideMm: length('Clear width beside it', 'Empty: the house’s gap'),
        baseMm: length('Width of each mount on the bar'),
        inCarrier: text('Held in a carrier by', 'Its own straps, a frame clamp'),
      },
      { likely: LIKELY_OF_FIT },
    ),
    gates: GATES,
    fasteners: FASTENERS,
    work: WORK,
    stored: group('', {
      energyWh: number('Energy in it, Wh', 'A battery, a power station'),
      pressureBar: number('Pressure in it, bar', 'A gas bottle, a water tank under pressure'),
    }),
    maxKmH: speed('Its own top speed', 'Empty when none'),
    dragAreaM2: number('Drag area, m²', 'As its maker measured it; empty: from shape and size'),
    price: number('Price of one'),
    note: note('Notes'),
    known: MARKS,
    typed: MARKS,
  } satisfies FieldsOf<Gear>,
  {
    likely: LIKELY_OF_GEAR,
    parts: [
      {
        keys: ['name', 'kind', 'lengthMm', 'widthMm', 'heightMm', 'standMm', 'mass.kg', 'mass.basis', 'when'],
      },
      { title: 'How it is held', open: true, keys: ['fit', 'contactsMm'] },
      { title: 'What it carries', open: true, keys: ['carries'] },
      { title: 'How it opens', keys: ['opens'] },
      {
        title: 'How it may lie, and what it looks like',
        keys: ['turns', 'onEdge', 'shape', 'outlineMm', 'pieceMm', 'centreOfGravity', 'hangsMm', 'risesMm'],
      },
      {
        title: 'Weight, wet, wind and speed',
        keys: ['mass.by', 'mass.others', 'mass.spreadPercent', 'wetKg', 'stored', 'maxKmH', 'dragAreaM2'],
      },
      { title: 'To be measured before ordering', keys: ['gates'] },
      { title: 'Joints and torque', keys: ['fasteners'] },
      ...WORK_PARTS,
      { title: 'Price and notes', keys: ['price', 'note'] },
    ],
  },
)
