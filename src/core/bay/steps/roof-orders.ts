import { about } from './minutes'
import { made, orderOn, tightenWith, type FittingOrder, type OrderEntry } from './fitting-order'

/** Feet on bars at table height, before anything is lifted. */
const BUILT_UP = [
  made('sub-assembly', { only: { build: 'bench' } }),
  made('strips-under', { only: { build: 'bench', strips: 'first' } }),
  made('feet-on-bars', { only: { build: 'bench' } }),
]

/** Feet on the vehicle first, then the bars on them. */
const HUNG: readonly OrderEntry[] = [
  {
    key: 'hang-feet',
    only: { build: 'vehicle' },
    title: 'Hang the feet on the vehicle, loose',
    detail: 'Marked feet to their corners, arrows forward, each near its place; nothing is tightened.',
    minutes: about(8),
    on: ['parts', 'feet'],
  },
  made('strips-under', { only: { build: 'vehicle', strips: 'first' } }),
  made('feet-on-bars', { only: { build: 'vehicle' }, title: 'Bars on the feet, loose' }),
]

/** Built up on the bench and set on, or hung on the vehicle; then started by hand. */
const builtOrHung = (
  liftOn: { readonly title?: string; readonly detail: string },
  start: OrderEntry = made('start-by-hand'),
): FittingOrder =>
  orderOn({
    bench: BUILT_UP,
    start: [made('lift-on', { only: { build: 'bench' }, ...liftOn }), ...HUNG, start],
  })

/** Raised and flush rails, roof channels and gutters. */
export const ALONG = builtOrHung({
  detail: 'Two people, one a side; alone, a card under the far foot. Set it down on its feet, never drag it.',
})

export const FIXED_POINTS = builtOrHung(
  {
    title: 'Set it down on its points',
    detail: 'Two people, one a side; every foot over its point before any bolt goes in.',
  },
  made('start-by-hand', { title: 'Start the bolt at every point by hand' }),
)

export const DRILLED_MOUNTS = builtOrHung({
  title: 'Set it down on its mounts',
  detail: 'Two people, one a side; only when the sealant under the mounts has set.',
})

export const DOOR_FRAMES = orderOn({
  bench: [
    made('sub-assembly', {
      title: 'Pads on the feet, by corner',
      detail:
        'Each pad pressed home on its own foot, marks to marks, arrows as stamped. Nothing is tightened yet.',
    }),
    made('strips-under', { only: { strips: 'first' } }),
    made('feet-on-bars'),
    {
      key: 'hang-clamps',
      title: 'Hang the clamps loose',
      detail: 'Each clamp on its own foot, turned back as far as its thread lets it.',
      minutes: about(4),
      on: ['parts'],
    },
  ],
  start: [
    {
      key: 'open-doors',
      title: 'Open the doors that the clamps reach into',
      detail: 'Those of each bar, on both sides, before anything is set down.',
      minutes: about(1),
      on: ['bars'],
    },
    made('lift-on', {
      title: 'Set it down on its pads',
      detail: 'Two people, one a side, pads straight down on the film, never dragged over paint or seal.',
    }),
    made('start-by-hand'),
    {
      key: 'snug',
      title: 'Both sides snug, in turn',
      detail: 'Left and right by turns, until every clamp touches and nothing is drawn to one side.',
      minutes: about(4),
      on: ['parts', 'bars'],
      kept: true,
    },
  ],
  torque: tightenWith('Left and right in even turns. '),
  last: [
    {
      key: 'close-doors',
      title: 'Close each door on its clamp',
      detail: 'Slowly the first time: the door closes without force, and its seal lies over the clamp.',
      minutes: about(2),
      on: ['bars', 'feet', 'parts'],
      kept: true,
    },
  ],
})

export const HOOK_POINTS = orderOn({
  start: [
    {
      key: 'hook-posts',
      title: 'Hook and pad on the post at each point',
      detail: 'Film under each pad; the hook in full under its point.',
      minutes: about(8),
      on: ['parts', 'feet'],
      kept: true,
    },
    made('lift-on', {
      title: 'Lower each bar onto its posts',
      detail: 'Two people, one a side, straight down.',
    }),
    {
      key: 'press-down',
      title: 'Press down until the threads show',
      detail: 'At each post by hand, beside the bar.',
      minutes: about(3),
      on: ['parts', 'bars', 'feet'],
      kept: true,
    },
    made('start-by-hand', { title: 'Start every knob by hand' }),
  ],
  torque: tightenWith('In turns, from post to post, a little each. '),
  squaresItself: 'always',
})

export const CANOPY_TRACKS = orderOn({
  bench: [made('sub-assembly')],
  start: [
    {
      key: 'feet-in',
      title: 'Feet into the tracks from the open end',
      detail: 'The nuts or feet of the front bar first, in the order in which they stand.',
      minutes: about(6),
      on: ['parts', 'feet'],
    },
    {
      key: 'end-stops',
      title: 'End stops in',
      detail: 'In every open end, before anything bears on the tracks.',
      minutes: about(3),
      on: ['parts'],
    },
    made('strips-under', { only: { strips: 'first' } }),
    made('feet-on-bars', { title: 'Bars on the feet, loose' }),
    made('start-by-hand'),
  ],
  torque: tightenWith('Evenly: the canopy is thin. '),
})
