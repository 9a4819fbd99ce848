import { TAPED_NAME, type Taped } from '../../log/taped'
import { deg, mm } from '../../units/phrase'
import { whose } from '../../units/words'
import { squareness as skewOf } from '../../survey/bars/bar-squareness'
import { plannedReading, type PlannedPair } from './taped'
import { PUT_RIGHT } from './put-right'
import { endsToMove, LEAST_MOVE_MM, type JudgedReading, type Middles } from './bar-readings'
import { sidewaysMm } from './possible'

/** Whether both sides are alike, how far the bars stand askew, and which end goes which way to bring both sides to the planned spread. */
export function parallel(pair: PlannedPair, middles: Middles): JudgedReading[] {
  const [left, right] = [middles.spreadLeft?.mm, middles.spreadRight?.mm]
  if (left === undefined || right === undefined) return []
  const tolerance = pair.toleranceMm
  const off = right - left
  const otherwise = PUT_RIGHT[pair.heldBy]
  const skew = deg(Math.abs(skewOf(left, right, (pair.front.acrossMm + pair.rear.acrossMm) / 2).skewDeg))
  const moves = endsToMove(pair.spreadMm - left, pair.spreadMm - right)
  if (Math.abs(off) > tolerance)
    return [
      {
        what: 'parallel',
        severity: 'stop',
        measuredMm: Math.abs(off),
        limitMm: tolerance,
        say: [
          'The bars are ',
          mm(Math.abs(off)),
          ' out of parallel (',
          skew,
          '); ',
          mm(tolerance),
          ' is allowed. ',
          ...(otherwise === undefined
            ? [`Loosen the ${pair.rear.name} and bring its `, ...moves, ', then measure again.']
            : [otherwise]),
        ],
      },
    ]
  const mean = (left + right) / 2 - pair.spreadMm
  const shifted = Math.abs(mean) > tolerance
  const exact = Math.abs(mean) < 0.5
  return [
    {
      what: 'parallel',
      severity: 'clear',
      measuredMm: Math.abs(off),
      limitMm: tolerance,
      say: [
        'The bars are parallel within ',
        mm(Math.abs(off)),
        ' (',
        skew,
        ')',
        ...(Math.abs(off) >= LEAST_MOVE_MM && moves.length > 0 && otherwise === undefined
          ? [`; to make both sides alike, bring the ${whose(pair.rear.name)} `, ...moves]
          : []),
        '.',
      ],
    },
    {
      what: 'spread',
      severity: shifted ? 'mind' : 'clear',
      measuredMm: (left + right) / 2,
      limitMm: pair.spreadMm,
      say: [
        'The spread is ',
        mm((left + right) / 2),
        ...(exact ? [' as planned.'] : [', planned ', mm(pair.spreadMm)]),
        ...(shifted
          ? otherwise === undefined
            ? [`: bring the ${pair.rear.name} `, mm(Math.abs(mean)), mean > 0 ? ' forward.' : ' rearward.']
            : [`. ${otherwise}`]
          : exact
            ? []
            : ['; ', mm(tolerance), ' is allowed.']),
      ],
    },
  ]
}

/** Whether one bar stands further to a side than the other. */
export function square(pair: PlannedPair, middles: Middles): JudgedReading[] {
  const { spreadLeft: left, spreadRight: right, diagonalLeft: d1, diagonalRight: d2 } = middles
  if (!left || !right || !d1 || !d2) return []
  const across =
    ((middles.frontAcross?.mm ?? pair.front.acrossMm) + (middles.rearAcross?.mm ?? pair.rear.acrossMm)) / 2
  const sideways = sidewaysMm(d1.mm, d2.mm, left.mm, right.mm, across)
  const off = Math.abs(sideways) > pair.toleranceMm
  return [
    {
      what: 'square',
      severity: off ? 'stop' : 'clear',
      measuredMm: Math.abs(sideways),
      limitMm: pair.toleranceMm,
      say: off
        ? [
            `The ${pair.rear.name} stands `,
            mm(Math.abs(sideways)),
            ` too far to the ${sideways > 0 ? 'right' : 'left'} of the ${pair.front.name}: slide it to the ${sideways > 0 ? 'left' : 'right'}, then measure again.`,
          ]
        : ['The diagonals agree: square within ', mm(Math.abs(sideways)), '.'],
    },
  ]
}

/** Whether a bar hangs over alike on both sides. */
export function centred(pair: PlannedPair, middles: Middles, which: 'front' | 'rear'): JudgedReading[] {
  const [left, right] = [middles[`${which}OverLeft`]?.mm, middles[`${which}OverRight`]?.mm]
  if (left === undefined || right === undefined) return []
  const { name } = pair[which]
  const off = (left - right) / 2
  const bad = Math.abs(off) > pair.toleranceMm
  return [
    {
      what: `${which} centred`,
      severity: bad ? 'stop' : 'clear',
      measuredMm: Math.abs(off),
      limitMm: pair.toleranceMm,
      say: bad
        ? [
            `${name}: slide the bar `,
            mm(Math.abs(off)),
            ` to the ${off > 0 ? 'right' : 'left'}; it hangs over more on the ${off > 0 ? 'left' : 'right'}.`,
          ]
        : [
            `${name}: centred within `,
            mm(Math.abs(off)),
            ...(Math.abs(off) < LEAST_MOVE_MM
              ? ['.']
              : [
                  `; it hangs over more on the ${off > 0 ? 'left' : 'right'}, so the ${off > 0 ? 'right' : 'left'} is the way back.`,
                ]),
          ],
    },
  ]
}

const TWINS: readonly (readonly [Taped, Taped])[] = [
  ['spreadLeft', 'spreadRight'],
  ['diagonalLeft', 'diagonalRight'],
  ['frontOverLeft', 'frontOverRight'],
  ['rearOverLeft', 'rearOverRight'],
]

/** What one side alone says: off what is planned, or not; what it means depends on the other side. */
export function alone(pair: PlannedPair, middles: Middles): JudgedReading[] {
  return TWINS.flatMap(([one, other]) =>
    (
      [
        [one, other],
        [other, one],
      ] as const
    ).flatMap(([read, lacks]): JudgedReading[] => {
      const value = middles[read]?.mm
      const planned = plannedReading(pair, read)
      if (value === undefined || planned === undefined || middles[lacks] !== undefined) return []
      const off = value - planned
      const out = Math.abs(off) > pair.toleranceMm
      return [
        {
          what: `alone ${read}`,
          of: read,
          severity: out ? 'findOut' : 'clear',
          measuredMm: value,
          limitMm: planned,
          say: out
            ? [
                `${TAPED_NAME[read]}: `,
                mm(value),
                `, `,
                mm(Math.abs(off)),
                ` ${off > 0 ? 'more' : 'less'} than planned. To see why, measure ${lower(TAPED_NAME[lacks])}: tape that too.`,
              ]
            : [`${TAPED_NAME[read]}: `, mm(value), ', near what is planned; the other side is not measured.'],
        },
      ]
    }),
  )
}

const lower = (text: string) => `${text.charAt(0).toLowerCase()}${text.slice(1)}`
