import { PHASES, type MarkedPlace, type Work, type WorkStep } from '../plan/schema/work'
import {
  ID,
  choice,
  flag,
  group,
  list,
  number,
  several,
  text,
  wordFor,
  type FieldsOf,
  type FieldsPart,
} from './field'
import { MINUTES_FIELDS } from './fitting-fields'

const counted = (label: string, one: string) =>
  list(
    label,
    one,
    group('', { what: text('What'), count: number('How many'), price: number('Price of one') }),
    { start: () => ({ count: 1 }) },
  )

const PHASE_WORDS: Readonly<Record<(typeof PHASES)[number], string>> = {
  bench: 'On the bench',
  vehicle: 'Prepare the vehicle',
  start: 'Start by hand',
  place: 'Place and square',
  torque: 'Tightened',
  trim: 'Trimmed',
  prove: 'Proved',
}

const STEP_FIELD = group(
  '',
  {
    id: ID,
    stage: choice(
      'When',
      PHASES.map((each) => [each, PHASE_WORDS[each]] as const),
    ),
    title: text('What is done'),
    detail: text('How'),
    after: { ...several(choice('After which steps', 'steps')), ordered: true },
    times: choice('How often', [
      ['once', 'once'],
      ['side', 'on each side'],
      ['bar', 'on each bar'],
    ]),
    minutes: group('', MINUTES_FIELDS),
    waitMinutes: number('Then wait, minutes'),
    hands: choice('Hands', [
      [1, 'one person'],
      [2, 'two'],
    ]),
    tools: several(wordFor('tool', 'Tools')),
    decidesSpread: flag('The bars cannot be placed before it'),
    temporary: group('', { what: text('Put in for a while', 'And taken out again') }),
    replaces: choice(
      'In the place of',
      'ownSteps',
      'A usual step that this part’s sheet has done in this way',
    ),
  } satisfies FieldsOf<WorkStep>,
  {
    parts: [
      { keys: ['title', 'stage'] },
      {
        title: 'More of this step',
        keys: [
          'detail',
          'after',
          'times',
          'minutes',
          'waitMinutes',
          'hands',
          'tools',
          'decidesSpread',
          'temporary',
          'replaces',
        ],
      },
    ],
  },
)

const ARROW_CHOICES = [
  ['front', 'to the front'],
  ['rear', 'to the rear'],
  ['outward', 'outward'],
  ['inward', 'inward'],
  ['up', 'up'],
  ['mark', 'to a mark'],
] as const

const CORNERS = ['LHF', 'RHF', 'LHR', 'RHR'] as const

/** The next corner after a place, with its mark where the mark is the corner's own name; else a name still to be typed over. */
function afterPlace({ at, mark }: Readonly<Record<string, unknown>>): Readonly<Record<string, string>> {
  const next = CORNERS[CORNERS.findIndex((each) => each === at) + 1] ?? 'Place'
  return { at: next, ...(mark === at && mark !== '' ? { mark: next } : { mark: '' }) }
}

/** What belongs at a place, and how it is told there. */
const MARKED_PLACE = group('', {
  at: wordFor('place', 'Place', 'LHF, RHR, or as the sheet calls it'),
  piece: text('What belongs there', 'Pad, core; empty: the part itself'),
  mark: text('Its mark', 'Stamped or printed: LHF; three dots'),
  arrow: choice('Its arrow', ARROW_CHOICES),
  code: text('Its code'),
  icon: text('Its icon'),
  colour: text('Its colour'),
  core: text('Number of its lock core'),
  key: text('Its key'),
  note: text('Note for this place'),
} satisfies FieldsOf<MarkedPlace>)

export const WORK = group('', {
  have: flag('It is here', 'Or still to buy'),
  box: group('', {
    holds: counted('The box holds', 'something in the box'),
    lacks: counted('The box lacks', 'something it lacks'),
    unused: counted('In the box and not used here', 'something not used'),
  }),
  consumables: counted('Used up', 'something used up'),
  sides: choice('Left and right', [
    ['marked', 'marked: each to its corner'],
    ['either', 'alike'],
  ]),
  arrows: list(
    'Arrows on it',
    'an arrow',
    group('', {
      on: text('On what'),
      toward: choice('Points', ARROW_CHOICES),
    }),
  ),
  places: list('Marks by place', 'a marked place', MARKED_PLACE, {
    start: () => ({ at: CORNERS[0] }),
    nextAfter: afterPlace,
  }),
  keys: group('', {
    cores: number('Lock cores'),
    codes: several(text('Key codes')),
    keys: number('Keys', 'How many come with it'),
  }),
  season: group('', { fromMonth: number('Used from month'), toMonth: number('to month') }),
  steps: list('Steps of its own', 'a step', STEP_FIELD, { start: (id) => ({ id, stage: 'vehicle' }) }),
} satisfies FieldsOf<Work>)

/** What fitting a thing takes, as parts of its sheet. */
export const WORK_PARTS: readonly FieldsPart[] = [
  { title: 'Steps of its own', keys: ['work.steps'] },
  {
    title: 'Box, keys and marks',
    keys: [
      'work.have',
      'work.box',
      'work.consumables',
      'work.sides',
      'work.places',
      'work.arrows',
      'work.keys',
      'work.season',
    ],
  },
]
