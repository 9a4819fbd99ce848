import type { Finding, Severity } from '../review/finding'
import { deg, mm, type Phrase } from '../review/phrase'
import { readingsSummary } from '../plan/measurement'
import { squareness as skewOf } from '../survey/fit/squareness'
import { TAPED, TAPED_NAME, type PlannedPair, type Readings, type Taped } from './taped'

/**
 * How far the rear bar stands to the right of the front one, by both diagonals and both spreads, mm. From
 * d₁² = aᵣ² + (w + s)² and d₂² = aₗ² + (w − s)², s = (d₁² − aᵣ² − d₂² + aₗ²) / 4w. Handbook: Pythagoras.
 */
export function sidewaysMm(d1: number, d2: number, left: number, right: number, acrossMm: number): number {
  return (d1 * d1 - right * right - (d2 * d2 - left * left)) / (4 * acrossMm)
}

/** From foot to foot across as the diagonals imply it, mm: (w + s)² + (w − s)² = 2w² + 2s². */
export function acrossImplied(d1: number, d2: number, left: number, right: number, sideways: number): number {
  return Math.sqrt(Math.max(0, (d1 * d1 - right * right + (d2 * d2 - left * left)) / 2 - sideways * sideways))
}

/** One judgement about how the bars stand, and what to do about it. */
interface Judged {
  readonly what: string
  readonly severity: Severity
  readonly measuredMm?: number
  readonly limitMm?: number
  readonly say: Phrase
}

const finding = (pair: PlannedPair, { what, severity, measuredMm, limitMm, say }: Judged): Finding => ({
  id: `square ${pair.front.id} ${pair.rear.id} ${what}`,
  rule: 'squareness',
  severity,
  state: 'all',
  subject: { barId: pair.rear.id, placementIds: [] },
  ...(measuredMm === undefined ? {} : { measured: mm(measuredMm) }),
  ...(limitMm === undefined ? {} : { limit: mm(limitMm), margin: mm(limitMm - Math.abs(measuredMm ?? 0)) }),
  sentence: say,
})

type Middles = Partial<Record<Taped, number>>

/** Which end of the rear bar goes which way to bring both sides to the planned spread. */
function parallel(pair: PlannedPair, { spreadLeft: left, spreadRight: right }: Middles): Judged[] {
  if (left === undefined || right === undefined) return []
  const tolerance = pair.toleranceMm
  const off = right - left
  if (Math.abs(off) > tolerance) {
    const move = ([side, value]: readonly [string, number]): Phrase => {
      const by = pair.spreadMm - value
      return Math.abs(by) < 0.5 ? [] : [`${side} end `, mm(Math.abs(by)), by > 0 ? ' rearward' : ' forward']
    }
    const moves = (
      [
        ['left', left],
        ['right', right],
      ] as const
    )
      .map(move)
      .filter((each) => each.length > 0)
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
          deg(Math.abs(skewOf(left, right, (pair.acrossFrontMm + pair.acrossRearMm) / 2).skewDeg)),
          '); ',
          mm(tolerance),
          ' is allowed. ',
          ...(pair.spreadLocked
            ? ['They stand on fixed points: look for a foot on the wrong mark.']
            : [
                `Loosen the ${pair.rear.name.toLowerCase()} and bring its `,
                ...moves.flatMap((each, i) => (i === 0 ? each : [', its ', ...each])),
                ', then measure again.',
              ]),
        ],
      },
    ]
  }
  const mean = (left + right) / 2 - pair.spreadMm
  const shifted = Math.abs(mean) > tolerance
  return [
    {
      what: 'parallel',
      severity: 'clear',
      measuredMm: Math.abs(off),
      limitMm: tolerance,
      say: ['The bars are parallel within ', mm(Math.abs(off)), '.'],
    },
    {
      what: 'spread',
      severity: shifted ? 'mind' : 'clear',
      measuredMm: (left + right) / 2,
      limitMm: pair.spreadMm,
      say: shifted
        ? [
            'The spread is ',
            mm((left + right) / 2),
            ', planned ',
            mm(pair.spreadMm),
            ': bring the ',
            pair.rear.name.toLowerCase(),
            ' ',
            mm(Math.abs(mean)),
            mean > 0 ? ' forward.' : ' rearward.',
          ]
        : ['The spread is ', mm((left + right) / 2), ' as planned.'],
    },
  ]
}

function square(pair: PlannedPair, middles: Middles): Judged[] {
  const { spreadLeft: left, spreadRight: right, diagonalLeft: d1, diagonalRight: d2 } = middles
  if (left === undefined || right === undefined || d1 === undefined || d2 === undefined) return []
  const across = (pair.acrossFrontMm + pair.acrossRearMm) / 2
  const sideways = sidewaysMm(d1, d2, left, right, across)
  const implied = acrossImplied(d1, d2, left, right, sideways)
  const wrong = implied - across
  if (Math.abs(wrong) > WRONG_DATUM_MM)
    return [
      {
        what: 'datum',
        severity: 'findOut',
        measuredMm: implied,
        limitMm: across,
        say: [
          'Spreads and diagonals do not belong together: they imply ',
          mm(implied),
          ' from foot to foot, planned ',
          mm(across),
          `. ${wrongDatum(pair, middles)}`,
        ],
      },
    ]
  const off = Math.abs(sideways) > pair.toleranceMm
  return [
    {
      what: 'square',
      severity: off ? 'stop' : 'clear',
      measuredMm: Math.abs(sideways),
      limitMm: pair.toleranceMm,
      say: off
        ? [
            `The ${pair.rear.name.toLowerCase()} stands `,
            mm(Math.abs(sideways)),
            ` too far to the ${sideways > 0 ? 'right' : 'left'} of the ${pair.front.name.toLowerCase()}: slide it to the ${sideways > 0 ? 'left' : 'right'}, then measure again.`,
          ]
        : ['The diagonals agree: square within ', mm(Math.abs(sideways)), '.'],
    },
  ]
}

/** Readings that cannot all be right by more than this were not taken from the datum they name. Common practice, no source. */
const WRONG_DATUM_MM = 15

/** A guess at which datum slipped: what would read so if edges had been taped and not centres. */
function wrongDatum(pair: PlannedPair, { spreadLeft = 0, spreadRight = 0 }: Middles): string {
  const off = (spreadLeft + spreadRight) / 2 - pair.spreadMm
  const profile = (pair.front.profileMm + pair.rear.profileMm) / 2
  if (Math.abs(Math.abs(off) - profile) < 8)
    return `The spreads are about one bar’s width ${off > 0 ? 'too long: outer edge to outer edge' : 'too short: inner edge to inner edge'}? Tape from centre to centre.`
  return 'One of them was taped from another mark: tape all four anew, each from the mark it names.'
}

function centred(pair: PlannedPair, middles: Middles, which: 'front' | 'rear'): Judged[] {
  const left = middles[`${which}OverLeft`]
  const right = middles[`${which}OverRight`]
  if (left === undefined || right === undefined) return []
  const bar = pair[which]
  const across = which === 'front' ? pair.acrossFrontMm : pair.acrossRearMm
  const total = left + right + across + pair.footWidthMm + 2 * pair.capMm[which]
  if (Math.abs(total - bar.lengthMm) > WRONG_DATUM_MM)
    return [
      {
        what: `${which} datum`,
        severity: 'findOut',
        measuredMm: total,
        limitMm: bar.lengthMm,
        say: [
          `${bar.name}: both overhangs and the feet add up to `,
          mm(total),
          ', the bar is ',
          mm(bar.lengthMm),
          Math.abs(Math.abs(total - bar.lengthMm) - pair.footWidthMm) < 8
            ? '. That is a foot’s width off: taped from the foot’s middle?'
            : '. Tape them anew from the foot’s outer edge to inside the cap.',
        ],
      },
    ]
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
            `${bar.name}: slide the bar `,
            mm(Math.abs(off)),
            ` to the ${off > 0 ? 'right' : 'left'}; it hangs over more on the ${off > 0 ? 'left' : 'right'}.`,
          ]
        : [`${bar.name}: centred within `, mm(Math.abs(off)), '.'],
    },
  ]
}

const LEGS = [
  ['legLF', 'LHF'],
  ['legRF', 'RHF'],
  ['legLR', 'LHR'],
  ['legRR', 'RHR'],
] as const

function level(pair: PlannedPair, middles: Middles): Judged[] {
  const legs = LEGS.flatMap(([key, corner]) => {
    const value = middles[key]
    return value === undefined ? [] : [{ corner, value }]
  })
  if (legs.length < 4) return []
  const { middleMm, scatterMm } = readingsSummary(legs.map(({ value }) => value))
  const worst = legs.reduce((so, each) =>
    Math.abs(each.value - middleMm) > Math.abs(so.value - middleMm) ? each : so,
  )
  const bad = scatterMm > pair.legsToleranceMm
  const by = worst.value - middleMm
  return [
    {
      what: 'level',
      severity: bad ? 'stop' : 'clear',
      measuredMm: scatterMm,
      limitMm: pair.legsToleranceMm,
      say: bad
        ? [
            `The legs differ by `,
            mm(scatterMm),
            `: ${by > 0 ? 'lower' : 'raise'} ${worst.corner} by `,
            mm(Math.abs(by)),
            '; raising moves a bar inward, so free what holds it first.',
          ]
        : ['All four legs are alike within ', mm(scatterMm), '.'],
    },
  ]
}

/** What was taped several times and does not agree with itself. */
function scattered(pair: PlannedPair, readings: Readings): Judged[] {
  return TAPED.flatMap((key): Judged[] => {
    const list = readings[key]
    if (!list || list.length < 2) return []
    const { scatterMm } = readingsSummary(list)
    return scatterMm > pair.toleranceMm
      ? [
          {
            what: `scatter ${key}`,
            severity: 'findOut',
            measuredMm: scatterMm,
            limitMm: pair.toleranceMm,
            say: [
              `${TAPED_NAME[key]}: ${list.length} readings lie `,
              mm(scatterMm),
              ' apart. Tape it again, both of you from the same mark.',
            ],
          },
        ]
      : []
  })
}

/** How two bars stand against how they should: parallel, square, centred, level, and what to move which way by how much. */
export function squareness(pair: PlannedPair, readings: Readings): Finding[] {
  const middles: Middles = {}
  for (const key of TAPED) {
    const list = readings[key]
    if (list && list.length > 0) middles[key] = readingsSummary(list).middleMm
  }
  return [
    ...scattered(pair, readings),
    ...parallel(pair, middles),
    ...square(pair, middles),
    ...centred(pair, middles, 'front'),
    ...centred(pair, middles, 'rear'),
    ...level(pair, middles),
  ].map((each) => finding(pair, each))
}
