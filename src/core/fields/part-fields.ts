import { ATTACHMENTS } from '../kinds/attachment'
import { BODIES } from '../kinds/body'
import { choicesOf } from '../kinds/kind'
import { MOUNTS, type Mount, type MountKind } from '../kinds/mount'
import { PART_ROLES } from '../kinds/part-role'
import { CONDITIONS, GRADES, type Fastener, type Sign } from '../plan/fastening'
import type { Gate } from '../plan/gate'
import type { Kit, Part } from '../plan/rack'
import { STAGES, type Work, type WorkStep } from '../plan/work'
import { rawOf } from './draft'
import {
  choice,
  figures,
  flag,
  group,
  ID,
  mass,
  list,
  MARKS,
  length,
  torque,
  number,
  pick,
  range,
  several,
  text,
  type AllOf,
  type Field,
  type FieldsOf,
  type FieldsPart,
  type Variants,
} from './field'
import { SOURCE_CHOICES, SOURCE_FIELD } from './figures-fields'

export const CHANNEL = group('Its channel', {
  slotMm: length('Slot of its channel', 'Its mouth; empty when it has none'),
  headRoomMm: length('Head room in the channel', 'For a bolt’s head or a nut'),
  depthMm: length('Whole depth of the channel'),
})

/** Figures of its own, or the statement that its sheet rates it with another part. */
export const RATED = (label: string): Variants => ({
  is: 'variants',
  label: 'Its figure',
  by: 'by',
  choices: [
    ['own', 'It has figures of its own'],
    ['with', 'It is rated with something else'],
  ],
  groupOf: (by) =>
    by === 'own'
      ? group('', { by: ID, ratings: figures(label) })
      : group('', {
          by: ID,
          what: text('Rated with', 'By its name: the feet, the roof. It must end at figures.'),
          source: SOURCE_FIELD,
        }),
})

const MOUNT_FIELDS = {
  kind: ID,
  sectionWidthMm: range('Bars from this width', 'to this width'),
  sectionHeightMm: range('Bars from this height', 'to this height'),
  underBarMm: length('Room it needs under the bar'),
  slotMm: length('Slot it is made for', 'The channel’s mouth'),
  otherSlotsMm: several(length('Its other nuts are made for slots of')),
  headMm: length('Height of its head', 'Inside the channel'),
  thread: text('Thread'),
  boltMm: length('Bolt in the box', 'Empty when not known'),
  stackMm: length('Stack over the bar', 'What the bolt passes through'),
  pitchMm: length('Pitch of the holes'),
  columns: number('Holes along'),
  rows: number('Holes up'),
  spacingMm: range('Brackets from', 'to'),
  direction: choice('Brackets lie', [
    ['along', 'along the vehicle'],
    ['across', 'across it'],
  ]),
  diameterMm: length('Handle’s diameter'),
} satisfies FieldsOf<{ [K in AllOf<Mount>]: unknown }>

/** Rough sizes of a usual mount of each kind, mm, for the drawing's sake. Common practice, no source. */
const USUAL_MOUNT: Readonly<Record<string, unknown>> = {
  sectionWidthMm: { fromMm: 25, toMm: 85 },
  sectionHeightMm: { fromMm: 15, toMm: 35 },
  underBarMm: 20,
  slotMm: 20,
  headMm: 7,
  stackMm: 14,
  pitchMm: 50,
  columns: 2,
  rows: 2,
  spacingMm: { fromMm: 700, toMm: 1000 },
  direction: 'along',
  diameterMm: 32,
}

export const MOUNT_FIELD: Variants = {
  is: 'variants',
  label: 'Held by',
  by: 'kind',
  choices: choicesOf(MOUNTS, ({ choice: words }) => words),
  groupOf: (kind) => group('', pick(MOUNT_FIELDS, Object.keys(MOUNTS[kind as MountKind].shape))),
  start: (kind) => ({
    ...Object.fromEntries(
      Object.keys(MOUNTS[kind as MountKind].shape).flatMap((key) =>
        key in USUAL_MOUNT ? [[key, USUAL_MOUNT[key]] as const] : [],
      ),
    ),
    kind,
  }),
}

const SIGN_FIELDS: Readonly<Record<Sign['kind'], Record<string, Field>>> = {
  reading: {},
  clicks: { count: number('Clicks') },
  handle: {},
  notch: {},
  washerClosed: { moreTurns: number('Turns more after it closes') },
  threads: { showing: number('Threads that show') },
}

const SIGN: Variants = {
  is: 'variants',
  label: 'Seen by',
  by: 'kind',
  choices: [
    ['reading', 'a reading of the wrench'],
    ['clicks', 'its own clicks'],
    ['handle', 'its handle, shut'],
    ['notch', 'a notch that meets'],
    ['washerClosed', 'a washer that closes'],
    ['threads', 'threads that show'],
  ],
  groupOf: (kind) => group('', SIGN_FIELDS[kind as Sign['kind']]),
}

/** Where a torque was read; one that was carried over from another rack is never entered here. */
const TORQUE_SOURCE: Field = {
  is: 'split',
  parts: { kind: choice('Torque read', SOURCE_CHOICES), page: text('On page') },
  apart: (value) => {
    const { kind, page } = rawOf(value)
    return kind === 'otherRack' ? {} : { kind, page }
  },
  join: ({ kind, page }, was) => {
    if (kind === undefined && page === undefined) return { value: undefined }
    const { page: _, rack: _rack, ...before } = rawOf(was)
    const said = kind ?? (before['kind'] === 'otherRack' ? 'sheet' : (before['kind'] ?? 'sheet'))
    return { value: { ...before, kind: said, ...(page === undefined ? {} : { page }) } }
  },
}

/** Torque as a range, of which one end alone is a single figure. */
const TORQUE: Field = {
  is: 'split',
  parts: { from: torque('Torque from'), to: torque('to', 'Empty when it is one figure') },
  apart: (value) => {
    const { from, to } = rawOf(value)
    return from === to ? { from } : { from, to }
  },
  join: ({ from, to }) => {
    const one = from ?? to
    if (one === undefined) return { value: undefined }
    return Number(from ?? one) > Number(to ?? one)
      ? 'The range ends before it begins.'
      : { value: { from: from ?? one, to: to ?? one } }
  },
}

export const FASTENER_FIELD = group(
  'Joint',
  {
    name: text('Joint', 'Left hand, inner: what it is called'),
    thread: text('Thread', 'M8; "unsaid" when not known'),
    count: number('How many in all'),
    torqueNm: TORQUE,
    torqueFrom: TORQUE_SOURCE,
    atMostNm: torque('What it closes on bears at most'),
    lengthMm: length('Bolt’s length'),
    grade: choice(
      'Grade on the head',
      GRADES.map((each) => [each, each] as const),
    ),
    condition: choice(
      'Thread is',
      CONDITIONS.map(
        (each) => [each, { dry: 'Dry', oiled: 'Oiled', antiSeize: 'Anti-seize' }[each]] as const,
      ),
    ),
    signs: list('How it is seen to be done', 'a sign', SIGN, { start: (_, kind) => ({ kind }) }),
    startTurns: number('Turns to start it by hand'),
    washers: several(
      choice('Washers, from the head down', [
        ['flat', 'flat'],
        ['lock', 'lock'],
        ['spring', 'spring'],
        ['rubber', 'rubber'],
        ['cup', 'cup'],
      ]),
    ),
    nut: choice('Nut', [
      ['none', 'none'],
      ['plain', 'plain'],
      ['lock', 'self-locking'],
      ['channel', 'in the channel'],
    ]),
    security: choice('Secured by', [
      ['threadlocker', 'threadlocker'],
      ['lockWasher', 'a lock washer'],
      ['none', 'nothing'],
    ]),
    tool: text('Tool', 'Hex 5, its own key'),
    handOnly: flag('By hand only'),
    singleUse: flag('Used once, then renewed'),
    passesPercent: several(number('Passes its sheet asks for', 'Percent: 50; 100')),
    note: text('Note'),
  } satisfies FieldsOf<Fastener>,
  {
    parts: [
      { keys: ['thread', 'count', 'torqueNm', 'torqueFrom', 'grade', 'condition'] },
      {
        title: 'More of this joint',
        keys: [
          'name',
          'lengthMm',
          'atMostNm',
          'signs',
          'startTurns',
          'washers',
          'nut',
          'security',
          'tool',
          'handOnly',
          'singleUse',
          'passesPercent',
          'note',
        ],
      },
    ],
  },
)

export const FASTENERS = list('Joints', 'a joint', FASTENER_FIELD, {
  hint: 'Only from its own sheet: torque never carries over from another rack. Without a figure the tables advise by size and grade.',
  start: () => ({ thread: 'unsaid', count: 4 }),
})

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
              gauge: text('Gauge', 'a 6 mm hex key, say'),
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
                datum: text('From where to where'),
              }),
    },
    implies: group('What follows from it for another', {
      gateId: choice('What it says of another question', 'gates'),
      plusFromMm: length('The other reads more by, from'),
      plusToMm: length('to'),
      why: text('Because'),
    }),
  } satisfies FieldsOf<Gate>),
  { start: (id) => ({ id, ask: { kind: 'length', datum: '' } }) },
)

const counted = (label: string, one: string) =>
  list(
    label,
    one,
    group('', { what: text('What'), count: number('How many'), price: number('Price of all') }),
    { start: () => ({ count: 1 }) },
  )

const STAGE_WORDS: Readonly<Record<(typeof STAGES)[number], string>> = {
  bench: 'On the bench',
  vehicle: 'The vehicle made ready',
  start: 'Begun loosely',
  place: 'Placed and squared',
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
      STAGES.map((each) => [each, STAGE_WORDS[each]] as const),
    ),
    title: text('What is done'),
    detail: text('How'),
    after: several(text('After which steps', 'By their ids, of another part as part/step')),
    times: choice('How often', [
      ['once', 'once'],
      ['side', 'on each side'],
      ['bar', 'on each bar'],
    ]),
    minutes: group('', { from: number('Minutes from'), to: number('to') }),
    waitMinutes: number('Then wait, minutes'),
    hands: choice('Hands', [
      [1, 'one person'],
      [2, 'two'],
    ]),
    tools: several(text('Tools')),
    decidesSpread: flag('The bars cannot be placed before it'),
    temporary: group('', { what: text('Put in for a while', 'And taken out again') }),
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
        ],
      },
    ],
  },
)

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
      toward: choice('Points', [
        ['front', 'to the front'],
        ['outward', 'outward'],
        ['mark', 'to a mark'],
      ]),
    }),
  ),
  keys: group('', { cores: number('Lock cores'), codes: several(text('Key codes')) }),
  season: group('', { fromMonth: number('Used from month'), toMonth: number('to month') }),
  steps: list('Steps of its own', 'a step', STEP_FIELD, { start: (id) => ({ id, stage: 'vehicle' }) }),
} satisfies FieldsOf<Work>)

/** What fitting a thing takes, as parts of its sheet. */
export const WORK_PARTS: readonly FieldsPart[] = [
  {
    title: 'Box, keys and marks',
    keys: [
      'work.have',
      'work.box',
      'work.consumables',
      'work.sides',
      'work.arrows',
      'work.keys',
      'work.season',
    ],
  },
  { title: 'Steps of its own', keys: ['work.steps'] },
]

const DOORS = [2, 3, 4, 5].map((each) => [each, String(each)] as const)

const KIT = group('What the kit is for', {
  bodies: several(
    choice(
      'Bodies',
      choicesOf(BODIES, ({ label }) => label),
    ),
  ),
  years: group('', { from: number('Years from'), to: number('to') }),
  doors: several(choice('Doors', DOORS)),
  trims: several(text('Trims')),
  railShapes: list(
    'Rail shapes',
    'a rail shape',
    group('', { shape: text('Rail shape'), adapter: text('With which adapter') }),
  ),
  needs: several(text('The vehicle must have')),
  drills: group(
    'Drilling',
    {
      holes: number('Holes to drill'),
      reversible: flag('It can be undone'),
      pilotMm: length('Pilot'),
      finalMm: length('Final size'),
      layers: several(text('Through', 'From outside in')),
      template: text('By template'),
      seal: text('Sealed with'),
      paint: text('Edges painted with'),
    },
    {
      check: ({ pilotMm, finalMm }) =>
        typeof pilotMm === 'number' && typeof finalMm === 'number' && pilotMm > finalMm
          ? { pilotMm: 'A pilot is smaller than the final hole.' }
          : {},
    },
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
    name: text('Name'),
    count: number('How many'),
    eachKg: mass('Weight of each'),
    rated: RATED('What it may carry'),
    price: number('Price of all'),
    suits: several(
      choice(
        'Used over',
        choicesOf(ATTACHMENTS, ({ choice: words }) => words),
        'None ticked: its sheet does not say',
      ),
    ),
    mount: MOUNT_FIELD,
    kit: KIT,
    tension: group('', { eachKg: mass('Each holds upward'), source: SOURCE_FIELD }),
    fasteners: FASTENERS,
    work: WORK,
    known: MARKS,
    typed: MARKS,
  } satisfies FieldsOf<Part>,
  {
    parts: [
      { keys: ['role', 'name', 'count', 'eachKg', 'rated'] },
      { title: 'Joints and torque', keys: ['fasteners'] },
      { title: 'What it suits', keys: ['suits', 'kit', 'mount', 'tension', 'price'] },
      ...WORK_PARTS,
    ],
  },
)
