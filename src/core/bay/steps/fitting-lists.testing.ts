import type { AttachmentKind } from '../../kinds/attachment'
import type { RackKind } from '../../kinds/rack-kind'
import type { Phase } from '../../plan/schema/work'

/** The steps of one phase of a rack that is new to a vehicle, in order, by title. */
export type ListByHand = readonly (readonly [Phase, readonly string[]])[]

/**
 * What fitting a plain rack takes, from how the trade does it, written down by hand before any record of it was. Parts are
 * those of a starting rack, with a sheet that names nothing; nothing is on, nothing is marked, no bar has a channel. Common
 * practice, no source.
 */
export const LISTS_BY_HAND: readonly {
  readonly on: readonly AttachmentKind[]
  readonly rack: RackKind
  readonly list: ListByHand
}[] = [
  {
    on: ['raisedRail', 'flushRail', 'gutter', 'roofChannel'],
    rack: 'bars',
    list: [
      ['bench', ['Build up the Feet by corner', 'Feet on the bars, loose']],
      ['vehicle', ['Wipe and protect the vehicle']],
      ['start', ['Lift it onto the vehicle', 'Start every fastener by hand']],
      ['place', ['Place the bars', 'Measure and square up']],
      ['torque', ['Tighten: clamp of Feet', 'Measure again, tightened']],
      ['trim', ['Covers on, locks in']],
    ],
  },
  {
    on: ['raisedRail', 'flushRail', 'gutter', 'roofChannel'],
    rack: 'platform',
    list: [
      ['bench', ['Build up the Feet by corner', 'Assemble the platform']],
      ['vehicle', ['Wipe and protect the vehicle']],
      ['start', ['Lift it onto the vehicle', 'Start every fastener by hand']],
      ['place', ['Place the bars', 'Measure and square up']],
      ['torque', ['Tighten: clamp of Feet', 'Measure again, tightened']],
      ['trim', ['Covers on, locks in']],
    ],
  },
  {
    on: ['bareRoof'],
    rack: 'bars',
    list: [
      ['bench', ['Pads on the feet, by corner', 'Feet on the bars, loose', 'Hang the clamps loose']],
      ['vehicle', ['Wipe and protect the vehicle']],
      [
        'start',
        [
          'Open the doors that the clamps reach into',
          'Set it down on its pads',
          'Start every fastener by hand',
          'Both sides snug, in turn',
        ],
      ],
      ['place', ['Place the bars', 'Measure and square up']],
      ['torque', ['Tighten: clamp of Feet', 'Measure again, tightened']],
      ['trim', ['Covers on, locks in', 'Close each door on its clamp']],
    ],
  },
  {
    on: ['fixedPoint'],
    rack: 'bars',
    list: [
      ['bench', ['Build up the Feet by corner', 'Feet on the bars, loose']],
      ['vehicle', ['Wipe and protect the vehicle']],
      ['start', ['Set it down on its points', 'Start the bolt at every point by hand']],
      ['place', ['Measure the ends of the bars']],
      ['torque', ['Tighten: clamp of Feet', 'Measure again, tightened']],
      ['trim', ['Covers on, locks in']],
    ],
  },
  {
    on: ['hookPoint'],
    rack: 'bars',
    list: [
      ['vehicle', ['Wipe and protect the vehicle']],
      [
        'start',
        [
          'Hook and pad on the post at each point',
          'Lower each bar onto its posts',
          'Press down until the threads show',
          'Start every knob by hand',
        ],
      ],
      ['torque', ['Tighten: clamp of Feet']],
      ['trim', ['Covers on, locks in']],
    ],
  },
  {
    on: ['drilledTop'],
    rack: 'platform',
    list: [
      ['bench', ['Build up the Feet by corner', 'Assemble the platform']],
      ['vehicle', ['Wipe and protect the vehicle']],
      ['start', ['Set it down on its mounts', 'Start every fastener by hand']],
      ['torque', ['Tighten: clamp of Feet']],
      ['trim', ['Covers on, locks in']],
    ],
  },
  {
    on: ['framePoint'],
    rack: 'frame',
    list: [
      ['vehicle', ['Wipe and protect the vehicle']],
      [
        'start',
        [
          'Base on its points, loose',
          'Start the uprights',
          'Fit the tubes that interlock, two at a time',
          'Fit the hoop that ties them',
          'Start every fastener by hand',
        ],
      ],
      ['place', ['Measure the legs']],
      ['torque', ['Tighten: clamp of Legs', 'Measure again, tightened']],
    ],
  },
  {
    // With trusses: the clamps square it, and nobody tapes it.
    on: ['bedRail'],
    rack: 'bed',
    list: [
      ['vehicle', ['Wipe and protect the vehicle']],
      [
        'start',
        ['Sides or bases onto the bed', 'Start the bars in both sides', 'Start every fastener by hand'],
      ],
      ['place', ['Place the bars']],
      ['torque', ['Tighten: clamp of Bed clamps']],
    ],
  },
  {
    on: ['bedChannel'],
    rack: 'bed',
    list: [
      [
        'vehicle',
        [
          'Wipe and protect the vehicle',
          'Load the channel: What holds it, left',
          'Load the channel: What holds it, right',
        ],
      ],
      [
        'start',
        ['Sides or bases onto the bed', 'Start the bars in both sides', 'Start every fastener by hand'],
      ],
      ['place', ['Place the bars']],
      ['torque', ['Tighten: clamp of Bed clamps']],
    ],
  },
  {
    on: ['bedSocket'],
    rack: 'bed',
    list: [
      ['vehicle', ['Wipe and protect the vehicle']],
      ['start', ['Drop it into its sockets', 'First click at both sides']],
      ['torque', ['Tighten: clamp of Latches', 'Pull and shake at each end']],
    ],
  },
  {
    on: ['canopyTrack'],
    rack: 'bars',
    list: [
      ['bench', ['Build up the Feet by corner']],
      ['vehicle', ['Wipe and protect the vehicle']],
      [
        'start',
        [
          'Feet into the tracks from the open end',
          'End stops in',
          'Bars on the feet, loose',
          'Start every fastener by hand',
        ],
      ],
      ['place', ['Place the bars', 'Measure and square up']],
      ['torque', ['Tighten: clamp of Feet', 'Measure again, tightened']],
      ['trim', ['Covers on, locks in']],
    ],
  },
  {
    on: ['hatchSeam'],
    rack: 'ladder',
    list: [
      ['vehicle', ['Wipe and protect the vehicle']],
      [
        'start',
        [
          'Open the panel and hold it open',
          'Guide bolt in',
          'Brackets on the seam, adhesive side to the vehicle',
          'Start every fastener by hand',
        ],
      ],
      ['place', ['Measure the gates again']],
      ['torque', []],
      ['trim', ['Guide bolt out']],
    ],
  },
]
