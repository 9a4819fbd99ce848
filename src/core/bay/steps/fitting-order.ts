import type { OrderName } from '../../kinds/attachment'
import type { FittingSchools } from '../../plan/schema/fitting'
import type { Minutes } from '../../plan/schema/minutes'
import type { Phase } from '../../plan/schema/work'
import { about } from './minutes'
import type { FactName } from './step'

/** Steps that are made from the plan, their places, joints, bars and holes being its own; and what each is usually called. */
export const MADE_TITLE = {
  marks: 'Put each marked piece to its place',
  'sub-assembly': 'Build up the feet by corner',
  'feet-on-bars': 'Feet on the bars, loose',
  'assemble-deck': 'Assemble the deck',
  prepare: 'Wipe and protect the vehicle',
  drill: 'Drill the holes',
  'lift-on': 'Lift it onto the vehicle',
  'start-by-hand': 'Start every fastener by hand',
  place: 'Place the bars',
  square: 'Measure and square up',
  torque: 'Tighten a joint',
  'square-again': 'Measure again, tightened',
  'strips-under': 'Cut and press in the strips that place the feet',
  strips: 'Cut and press in the strips',
  caps: 'End caps on',
  covers: 'Covers on, locks in',
} as const
export type MadeKey = keyof typeof MADE_TITLE

interface Common {
  readonly stage: Phase
  /** Of two ways, in which of them it is a step. */
  readonly only?: FittingSchools
  /** It waits for nothing of its own phase. */
  readonly beside?: true
}

/** A step that is made from the plan, in the words of this way to attach where the usual ones do not do. */
export interface MadeEntry extends Common {
  readonly made: MadeKey
  readonly title?: string
  readonly detail?: string
  /** What is said before its own words. */
  readonly lead?: string
}

/** A step that is the same for every rack on this attachment. Minutes. */
export interface PlainEntry extends Common {
  readonly key: string
  readonly title: string
  readonly detail: string
  readonly minutes: Minutes
  readonly hands?: 2
  readonly tools?: readonly string[]
  readonly on: readonly FactName[]
}

/** How a rack goes on one way to attach. */
export interface FittingOrder {
  /** Its steps, phase by phase; within a phase each waits for the one before. */
  readonly steps: readonly (MadeEntry | PlainEntry)[]
  /** Whether its bars stand square by themselves: at each place of the vehicle, or by the trusses between them. */
  readonly squaresItself: 'always' | 'withTrusses' | 'never'
}

const made = (key: MadeKey, stage: Phase, rest: Omit<MadeEntry, 'made' | 'stage'> = {}): MadeEntry => ({
  made: key,
  stage,
  ...rest,
})

const MARKS = made('marks', 'bench')
const DECK = made('assemble-deck', 'bench', { beside: true })
const VEHICLE = [made('prepare', 'vehicle'), made('drill', 'vehicle')]
const START = made('start-by-hand', 'start')
const PLACE = [made('place', 'place'), made('square', 'place')]
const TIGHTEN = [made('torque', 'torque'), made('square-again', 'torque')]
const CLOSE = [made('strips', 'trim'), made('caps', 'trim')]
const COVERS = made('covers', 'trim')

/** Feet on bars at table height, before anything is lifted. */
const BUILT_UP = [
  made('sub-assembly', 'bench', { only: { build: 'bench' } }),
  made('strips-under', 'bench', { only: { build: 'bench', strips: 'first' } }),
  made('feet-on-bars', 'bench', { only: { build: 'bench' } }),
]

/** Feet on the vehicle first, then the bars on them. */
const HUNG: readonly (MadeEntry | PlainEntry)[] = [
  {
    key: 'hang-feet',
    stage: 'start',
    only: { build: 'vehicle' },
    title: 'Hang the feet on the vehicle, loose',
    detail: 'Marked feet to their corners, arrows forward, each near its place; nothing is tightened.',
    minutes: about(8),
    on: ['parts', 'feet'],
  },
  made('strips-under', 'start', { only: { build: 'vehicle', strips: 'first' } }),
  made('feet-on-bars', 'start', {
    only: { build: 'vehicle' },
    title: 'Bars on the feet, loose',
  }),
]

const ALONG: FittingOrder = {
  steps: [
    MARKS,
    ...BUILT_UP,
    DECK,
    ...VEHICLE,
    made('lift-on', 'start', {
      only: { build: 'bench' },
      detail:
        'Two people, one a side; alone, a card under the far foot. Set it down on its feet, never drag it.',
    }),
    ...HUNG,
    START,
    ...PLACE,
    ...TIGHTEN,
    ...CLOSE,
    COVERS,
  ],
  squaresItself: 'never',
}

const DOOR_FRAMES: FittingOrder = {
  steps: [
    MARKS,
    made('sub-assembly', 'bench', {
      title: 'Pads on the feet, by corner',
      detail:
        'Each pad pressed home on its own foot, marks to marks, arrows as stamped. Nothing is tightened yet.',
    }),
    made('strips-under', 'bench', { only: { strips: 'first' } }),
    made('feet-on-bars', 'bench'),
    {
      key: 'hang-clamps',
      stage: 'bench',
      title: 'Hang the clamps loose',
      detail: 'Each clamp on its own foot, turned back as far as its thread lets it.',
      minutes: about(4),
      on: ['parts'],
    },
    DECK,
    ...VEHICLE,
    {
      key: 'open-doors',
      stage: 'start',
      title: 'Open the doors that the clamps reach into',
      detail: 'Those of each bar, on both sides, before anything is set down.',
      minutes: about(1),
      on: ['bars'],
    },
    made('lift-on', 'start', {
      title: 'Set it down on its pads',
      detail: 'Two people, one a side, pads straight down on the film, never dragged over paint or seal.',
    }),
    START,
    {
      key: 'snug',
      stage: 'start',
      title: 'Both sides snug, in turn',
      detail: 'Left and right by turns, until every clamp touches and nothing is drawn to one side.',
      minutes: about(4),
      on: ['parts', 'bars'],
    },
    ...PLACE,
    made('torque', 'torque', { lead: 'Left and right in even turns. ' }),
    made('square-again', 'torque'),
    ...CLOSE,
    COVERS,
    {
      key: 'close-doors',
      stage: 'trim',
      title: 'Close each door on its clamp',
      detail: 'Slowly the first time: the door closes without force, and its seal lies over the clamp.',
      minutes: about(2),
      on: ['bars', 'feet', 'parts'],
    },
  ],
  squaresItself: 'never',
}

const FIXED_POINTS: FittingOrder = {
  steps: [
    MARKS,
    ...BUILT_UP,
    DECK,
    ...VEHICLE,
    made('lift-on', 'start', {
      only: { build: 'bench' },
      title: 'Set it down on its points',
      detail: 'Two people, one a side; every foot over its point before any bolt goes in.',
    }),
    ...HUNG,
    made('start-by-hand', 'start', { title: 'Start the bolt at every point by hand' }),
    ...PLACE,
    ...TIGHTEN,
    ...CLOSE,
    COVERS,
  ],
  squaresItself: 'never',
}

const HOOK_POINTS: FittingOrder = {
  steps: [
    MARKS,
    DECK,
    ...VEHICLE,
    {
      key: 'hook-posts',
      stage: 'start',
      title: 'Hook and pad on the post at each point',
      detail:
        'Film under each pad; the hook in full under its point. Nothing pried on or pulled against the glass.',
      minutes: about(8),
      on: ['parts', 'feet'],
    },
    made('lift-on', 'start', {
      title: 'Lower each bar onto its posts',
      detail: 'Two people, one a side, straight down: no part of it rests on the glass.',
    }),
    {
      key: 'press-down',
      stage: 'start',
      title: 'Press down until the threads show',
      detail: 'At each post by hand, beside the bar, never on the glass.',
      minutes: about(3),
      on: ['parts', 'bars', 'feet'],
    },
    made('start-by-hand', 'start', { title: 'Start every knob by hand' }),
    ...PLACE,
    made('torque', 'torque', {
      lead: 'In turns, from post to post, a little each; nothing levers on the glass. ',
    }),
    made('square-again', 'torque'),
    ...CLOSE,
    COVERS,
  ],
  squaresItself: 'always',
}

const DRILLED_MOUNTS: FittingOrder = {
  steps: [
    MARKS,
    ...BUILT_UP,
    DECK,
    ...VEHICLE,
    made('lift-on', 'start', {
      only: { build: 'bench' },
      title: 'Set it down on its mounts',
      detail: 'Two people, one a side; only when the sealant under the mounts has set.',
    }),
    ...HUNG,
    START,
    ...PLACE,
    ...TIGHTEN,
    ...CLOSE,
    COVERS,
  ],
  squaresItself: 'never',
}

const FRAME_POINTS: FittingOrder = {
  steps: [
    MARKS,
    DECK,
    ...VEHICLE,
    made('lift-on', 'start', {
      title: 'Base on its points, loose',
      detail: 'At the bumper, the sills or the frame; two people, nothing hung on one bolt.',
    }),
    {
      key: 'uprights',
      stage: 'start',
      title: 'Start the uprights',
      detail: 'Each by hand in its base, from the rear forward, held until its bolt is started.',
      minutes: about(10),
      hands: 2,
      on: ['parts'],
    },
    {
      key: 'tubes',
      stage: 'start',
      title: 'Fit the tubes that interlock, two at a time',
      detail: 'Both of a pair together: the second does not go in after the first is seated.',
      minutes: about(10),
      hands: 2,
      on: ['parts', 'bars'],
    },
    {
      key: 'hoop',
      stage: 'start',
      title: 'Fit the hoop that ties them',
      detail: 'Over both sides, before anything is tightened.',
      minutes: about(8),
      hands: 2,
      on: ['parts', 'bars'],
    },
    START,
    ...PLACE,
    made('torque', 'torque', { lead: 'From the base up. ' }),
    made('square-again', 'torque'),
    ...CLOSE,
    made('covers', 'trim'),
  ],
  squaresItself: 'never',
}

const BED_SIDES: FittingOrder = {
  steps: [
    MARKS,
    made('strips-under', 'bench', { only: { strips: 'first' } }),
    DECK,
    ...VEHICLE,
    made('lift-on', 'start', {
      title: 'Sides or bases onto the bed',
      detail: 'Two people; each side on its own slides or clamps, one bolt started at either end.',
    }),
    {
      key: 'bars-in',
      stage: 'start',
      title: 'Start the bars in both sides',
      detail: 'One end, then the other, by hand: no bar is tightened at one side before it is in at both.',
      minutes: about(8),
      hands: 2,
      on: ['parts', 'bars'],
    },
    START,
    ...PLACE,
    ...TIGHTEN,
    ...CLOSE,
    COVERS,
  ],
  squaresItself: 'withTrusses',
}

const BED_SOCKETS: FittingOrder = {
  steps: [
    MARKS,
    DECK,
    ...VEHICLE,
    made('lift-on', 'start', {
      title: 'Drop it into its sockets',
      detail: 'Straight down, both ends together. Nothing is set on it before every latch is closed.',
    }),
    made('start-by-hand', 'start', {
      title: 'First click at both sides',
      detail: 'Left and right of each bar. The first click is no lock: the second comes at both sides.',
    }),
    ...PLACE,
    ...TIGHTEN,
    {
      key: 'try-latches',
      stage: 'torque',
      title: 'Pull and shake at each end',
      detail: 'Up and along, with both hands: no latch gives. Only then is anything set on it.',
      minutes: about(2),
      on: ['parts', 'bars'],
    },
    ...CLOSE,
    COVERS,
  ],
  squaresItself: 'always',
}

const CANOPY_TRACKS: FittingOrder = {
  steps: [
    MARKS,
    made('sub-assembly', 'bench'),
    DECK,
    ...VEHICLE,
    {
      key: 'feet-in',
      stage: 'start',
      title: 'Feet into the tracks from the open end',
      detail: 'The nuts or feet of the front bar first, in the order in which they stand.',
      minutes: about(6),
      on: ['parts', 'feet'],
    },
    {
      key: 'end-stops',
      stage: 'start',
      title: 'End stops in',
      detail: 'In every open end, before anything bears on the tracks.',
      minutes: about(3),
      on: ['parts'],
    },
    made('strips-under', 'start', { only: { strips: 'first' } }),
    made('feet-on-bars', 'start', { title: 'Bars on the feet, loose' }),
    START,
    ...PLACE,
    made('torque', 'torque', { lead: 'Evenly: the canopy is thin. ' }),
    made('square-again', 'torque'),
    ...CLOSE,
    COVERS,
  ],
  squaresItself: 'never',
}

const HATCH_SEAM: FittingOrder = {
  steps: [
    MARKS,
    ...VEHICLE,
    {
      key: 'hold-panel',
      stage: 'start',
      title: 'Open the panel and hold it open',
      detail: 'A second person or a prop holds it: its struts are not made for what is hung on it.',
      minutes: about(2),
      hands: 2,
      on: ['parts'],
    },
    {
      key: 'guide-bolt',
      stage: 'start',
      title: 'Guide bolt in',
      detail: 'By hand, in the hole that the brackets are lined up by.',
      minutes: about(2),
      on: ['parts'],
    },
    made('lift-on', 'start', {
      title: 'Brackets on the seam, adhesive side to the vehicle',
      detail: 'Hooks over the edge, feet on their pads, nothing tightened.',
    }),
    START,
    {
      key: 'measure-gates',
      stage: 'place',
      title: 'Measure the gates again',
      detail: 'Gap of the seam and width of the panel, with the brackets in place: the same as on the sheet.',
      minutes: about(3),
      tools: ['tape'],
      on: ['parts'],
    },
    ...TIGHTEN,
    {
      key: 'guide-bolt-out',
      stage: 'trim',
      title: 'Guide bolt out',
      detail: 'And its own bolt in.',
      minutes: about(2),
      on: ['parts'],
    },
    COVERS,
  ],
  squaresItself: 'always',
}

/** The orders of fitting by their names, which each way to attach has one of: what is not said here is said by a part's own sheet. Common practice, no source. */
export const FITTING_ORDERS: Readonly<Record<OrderName, FittingOrder>> = {
  along: ALONG,
  points: FIXED_POINTS,
  hooks: HOOK_POINTS,
  doorFrames: DOOR_FRAMES,
  mounts: DRILLED_MOUNTS,
  frame: FRAME_POINTS,
  bedSides: BED_SIDES,
  sockets: BED_SOCKETS,
  canopy: CANOPY_TRACKS,
  seam: HATCH_SEAM,
}

/** Steps of every job, and of setting a thing on, by their keys. */
const OF_EVERY_JOB: readonly (readonly [string, string])[] = [
  ['count', 'Lay out and count the parts'],
  ['set', 'Set a thing on'],
  ['prove/drive', 'Drive it'],
  ['tell', 'Tell the customer, hand over tools and keys'],
]

/** The app's own steps by their keys, with what each is usually called: what a house may word or time anew. */
export function ownStepChoices(): readonly (readonly [string, string])[] {
  const plain = Object.values(FITTING_ORDERS).flatMap(({ steps }) =>
    steps.flatMap((entry) => ('made' in entry ? [] : [[entry.key, entry.title] as const])),
  )
  return [...new Map([...OF_EVERY_JOB, ...Object.entries(MADE_TITLE), ...plain])]
}
