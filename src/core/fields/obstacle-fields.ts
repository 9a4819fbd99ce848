import { choicesOf } from '../kinds/kind'
import { ANTENNA_FORMS, PANE_MOVES, OBSTACLES, type ObstacleKind } from '../kinds/obstacle'
import type { Obstacle } from '../plan/schema/vehicle'
import { listOf, type UnknownRecord } from './unknown-record'
import {
  ID,
  MARKS,
  angle,
  choice,
  group,
  halved,
  length,
  pairs,
  pick,
  range,
  text,
  type AllOf,
  type Fields,
  type FieldsOf,
  type Variants,
} from './field'

const BACK = 'Behind the windscreen’s upper edge'

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

const WIDTHS: Partial<Record<ObstacleKind, Fields>> = {
  doorEdge: { halfWidthMm: halved('From door edge to door edge') },
  inBed: {
    fromXMm: length('It begins at', BACK),
    toXMm: length('It ends at'),
    halfWidthMm: halved('Its width'),
  },
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
    choicesOf(PANE_MOVES, ({ choice: words }) => words),
    'A pane that stays shut touches nothing',
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
function fromHinge(now: UnknownRecord, was: UnknownRecord, isBegun: (key: string) => boolean): UnknownRecord {
  if (same(now['hinge'], was['hinge']) && same(now['panel'], was['panel'])) return now
  const corners = listOf(now['panel'])
  const [first, ...rest] = corners
  const begins =
    same(first, now['hinge']) || (was['hinge'] !== undefined && same(first, was['hinge'])) || isBegun('panel')
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
