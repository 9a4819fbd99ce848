import { about } from './minutes'
import { made, orderOn, tightenWith } from './fitting-order'

export const FRAME_POINTS = orderOn({
  start: [
    made('lift-on', {
      title: 'Base on its points, loose',
      detail: 'At the bumper, the sills or the frame; two people, nothing hung on one bolt.',
    }),
    {
      key: 'uprights',
      title: 'Start the uprights',
      detail: 'Each by hand in its base, from the rear forward, held until its bolt is started.',
      minutes: about(10),
      hands: 2,
      on: ['parts'],
    },
    {
      key: 'tubes',
      title: 'Fit the tubes that interlock, two at a time',
      detail: 'Both of a pair together: the second does not go in after the first is seated.',
      minutes: about(10),
      hands: 2,
      on: ['parts', 'bars'],
    },
    {
      key: 'hoop',
      title: 'Fit the hoop that ties them',
      detail: 'Over both sides, before anything is tightened.',
      minutes: about(8),
      hands: 2,
      on: ['parts', 'bars'],
    },
    made('start-by-hand'),
  ],
  torque: tightenWith('From the base up. '),
})

export const BED_SIDES = orderOn({
  bench: [made('strips-under', { only: { strips: 'first' } })],
  start: [
    made('lift-on', {
      title: 'Sides or bases onto the bed',
      detail: 'Two people; each side on its own slides or clamps, one bolt started at either end.',
    }),
    {
      key: 'bars-in',
      title: 'Start the bars in both sides',
      detail: 'One end, then the other, by hand: no bar is tightened at one side before it is in at both.',
      minutes: about(8),
      hands: 2,
      on: ['parts', 'bars'],
    },
    made('start-by-hand'),
  ],
  squaresItself: 'withTrusses',
})

export const BED_SOCKETS = orderOn({
  start: [
    made('lift-on', {
      title: 'Drop it into its sockets',
      detail: 'Straight down, both ends together. Nothing is set on it before every latch is closed.',
    }),
    made('start-by-hand', {
      title: 'First click at both sides',
      detail: 'Left and right of each bar; the second comes at both sides.',
    }),
  ],
  torque: [
    made('torque'),
    made('square-again'),
    {
      key: 'try-latches',
      title: 'Pull and shake at each end',
      detail: 'Up and along, with both hands: no latch gives. Only then is anything set on it.',
      minutes: about(2),
      on: ['parts', 'bars'],
      kept: true,
    },
  ],
  squaresItself: 'always',
})

export const HATCH_SEAM = orderOn({
  start: [
    {
      key: 'hold-panel',
      title: 'Open the panel and hold it open',
      detail: 'A second person or a prop holds it: its struts are not made for what is hung on it.',
      minutes: about(2),
      hands: 2,
      on: ['parts'],
    },
    {
      key: 'guide-bolt',
      title: 'Guide bolt in',
      detail: 'By hand, in the hole that the brackets are lined up by.',
      minutes: about(2),
      on: ['parts'],
    },
    made('lift-on', {
      title: 'Brackets on the seam, adhesive side to the vehicle',
      detail: 'Hooks over the edge, feet on their pads, nothing tightened.',
    }),
    made('start-by-hand'),
  ],
  place: [
    {
      key: 'measure-gates',
      title: 'Measure the gates again',
      detail: 'Gap of the seam and width of the panel, with the brackets in place: the same as on the sheet.',
      minutes: about(3),
      tools: ['tape'],
      on: ['parts'],
    },
  ],
  last: [
    {
      key: 'guide-bolt-out',
      title: 'Guide bolt out',
      detail: 'And its own bolt in.',
      minutes: about(2),
      on: ['parts'],
    },
  ],
  squaresItself: 'always',
})
