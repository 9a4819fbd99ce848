import { CONDITIONS, GRADES, type Fastener, type JointPlace, type Sign } from '../plan/schema/fastening'
import { STATUS_FIELD } from './status-field'
import { listOf, rawOf } from './unknown-record'
import {
  choice,
  flag,
  group,
  length,
  list,
  number,
  several,
  text,
  torque,
  wordFor,
  type Field,
  type FieldsOf,
  type Variants,
} from './field'
import { SOURCE_CHOICES } from './figures-fields'
import { WASHERS_FIELD } from './held-fields'

const SIGN_FIELDS: Readonly<Record<Sign['kind'], Record<string, Field>>> = {
  reading: {},
  clicks: { count: number('Clicks') },
  handle: {},
  notch: {},
  washerClosed: { moreTurns: number('Turns more after it closes') },
  threads: { showing: number('Threads that show') },
  words: { words: text('What is seen', 'As its sheet or a fitter says it') },
}

const SIGN: Variants = {
  is: 'variants',
  label: 'Seen by',
  by: 'kind',
  choices: [
    ['reading', 'a reading of the wrench'],
    ['clicks', 'its own clicks'],
    ['handle', 'a handle that straightens'],
    ['notch', 'a notch that meets'],
    ['washerClosed', 'a washer that closes'],
    ['threads', 'threads that show'],
    ['words', 'a sign in your own words'],
  ],
  groupOf: (kind) => group('', SIGN_FIELDS[kind as Sign['kind']]),
}

/** Where a torque was read: what was carried over from another rack is kept as that, and refused wherever it would count. */
const TORQUE_SOURCE: Field = {
  is: 'split',
  parts: {
    kind: choice('Torque read', [
      ...SOURCE_CHOICES,
      ['otherRack', 'On the sheet of another rack: it does not count here'],
    ]),
    page: text('On page, or of which other rack'),
  },
  format: (value) => {
    const { kind, page, rack } = rawOf(value)
    return { kind, page: kind === 'otherRack' ? rack : page }
  },
  parse: ({ kind, page }, was) => {
    if (kind === undefined && page === undefined) return { value: undefined }
    if (kind === 'otherRack') return { value: { kind, rack: page ?? 'another rack' } }
    const { page: _, rack: otherRack, ...before } = rawOf(was)
    // The name of the other rack is no page of this one's papers.
    const own = before['kind'] === 'otherRack' && page === otherRack ? undefined : page
    const said = kind ?? (before['kind'] === 'otherRack' ? 'sheet' : (before['kind'] ?? 'sheet'))
    return { value: { ...before, kind: said, ...(own === undefined ? {} : { page: own }) } }
  },
}

/** Torque as a range, of which one end alone is a single figure. */
const TORQUE: Field = {
  is: 'split',
  parts: { from: torque('Torque from'), to: torque('to', 'Empty when it is one figure') },
  format: (value) => {
    const { from, to } = rawOf(value)
    return from === to ? { from } : { from, to }
  },
  parse: ({ from, to }) => {
    const one = from ?? to
    if (one === undefined) return { value: undefined }
    return Number(from ?? one) > Number(to ?? one)
      ? 'The range ends before it begins.'
      : { value: { from: from ?? one, to: to ?? one } }
  },
}

/** So many in all as its places say, where each of them says how many. */
function placesCounted({
  count,
  places,
}: Readonly<Record<string, unknown>>): Readonly<Record<string, string>> {
  const counts = listOf(places).map((place) => rawOf(place)['count'])
  if (counts.length === 0) return {}
  const sum = counts.reduce<number>((so, each) => so + (typeof each === 'number' ? each : 0), 0)
  const isWhole = counts.every((each) => typeof each === 'number')
  return (isWhole && sum !== count) || sum > Number(count)
    ? { count: `Its places have ${sum} bolts. Make this the same, or change a place.` }
    : {}
}

const FASTENER_FIELD = group(
  'Joint',
  {
    name: text('Joint', 'Name of the joint: left hand, inner'),
    thread: text('Thread', 'M8; "unsaid" when not known'),
    count: number('How many in all'),
    torqueNm: TORQUE,
    torqueFrom: TORQUE_SOURCE,
    atMostNm: torque('Limit of the clamped part'),
    lengthMm: length('Bolt’s length'),
    stackMm: length('Stack that it passes through', 'Without washer and nut'),
    nutMm: length('Height of its nut', 'Empty for a full nut of its thread'),
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
    signs: list('Sign that it is done', 'a sign', SIGN, { start: (_, kind) => ({ kind }) }),
    startTurns: number('Turns to start it by hand'),
    washers: WASHERS_FIELD('Washers, from the head down'),
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
    threadlocker: choice('Threadlocker is', [
      ['weak', 'weak'],
      ['medium', 'medium'],
      ['permanent', 'permanent'],
    ]),
    tool: wordFor('tool', 'Tool', 'Hex 5, its own key'),
    handOnly: flag('By hand only'),
    singleUse: flag('Used once, then renewed'),
    passesPercent: several(number('Passes its sheet asks for', 'Percent: 50; 100')),
    places: list(
      'Its places',
      'a place',
      group('', {
        name: wordFor('place', 'Place', 'LHF, or as the sheet calls it'),
        count: number('Bolts there'),
        xMm: length('Behind the windscreen’s edge, or behind its own middle'),
        yMm: length('Right of the middle', 'Left is negative'),
        status: STATUS_FIELD,
      } satisfies FieldsOf<JointPlace>),
      { hint: 'Empty: at every foot, or at every bar on both sides.', start: () => ({ name: 'Place' }) },
    ),
    note: text('Note'),
  } satisfies FieldsOf<Fastener>,
  {
    check: placesCounted,
    parts: [
      { keys: ['thread', 'count', 'torqueNm', 'torqueFrom', 'grade', 'condition'] },
      {
        title: 'More of this joint',
        keys: [
          'name',
          'lengthMm',
          'stackMm',
          'nutMm',
          'atMostNm',
          'signs',
          'startTurns',
          'washers',
          'nut',
          'security',
          'threadlocker',
          'tool',
          'handOnly',
          'singleUse',
          'passesPercent',
          'places',
          'note',
        ],
      },
    ],
  },
)

export const FASTENERS = list('Joints', 'a joint', FASTENER_FIELD, {
  hint: 'Use only its own sheet: torque never carries over from another rack. Without a figure, tables advise by size and grade.',
  start: () => ({ thread: 'unsaid', count: 4 }),
})
