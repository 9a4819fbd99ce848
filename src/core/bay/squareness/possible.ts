import type { ReadingsFrom } from '../../log/record'
import { PLACES, TAPED_NAME, TAPED, type Readings, type Taped } from '../../log/taped'
import { readingsSummary } from '../../plan/schema/measurement'
import { mm, type Phrase } from '../../units/phrase'
import { placesOf } from './bar-places'
import { plannedReading, toldFrom, type PlannedPair } from './taped'
import type { JudgedReading, Middle, Middles } from './bar-readings'

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

/** What cannot be true together, and the readings that nothing may be made of until they are taken again. */
interface Impossible {
  readonly assessment: JudgedReading
  readonly readings: readonly Taped[]
}

/** How near to a bar's or a foot's width a slip has to be to be called by its name, mm. Common practice, no source. */
const SLIP_MM = 8
/** What a cap that nobody described may take of an end, mm. Common practice, no source. */
const ANY_CAP_MM = 40

/** From foot to foot: as taped, or as planned within what the house lets bars be out. */
const acrossOf = (pair: PlannedPair, middles: Middles, which: 'front' | 'rear'): Middle =>
  middles[`${which}Across`] ?? { mm: pair[which].acrossMm, offMm: pair.toleranceMm }

/** What was taped several times and does not agree with itself. */
function scattered(pair: PlannedPair, readings: Readings): Impossible[] {
  return TAPED.flatMap((key): Impossible[] => {
    const list = readings[key]
    if (!list || list.length < 2) return []
    const { scatterMm } = readingsSummary(list)
    if (scatterMm <= pair.toleranceMm) return []
    return [
      {
        readings: [key],
        assessment: {
          what: `scatter ${key}`,
          severity: 'findOut',
          measuredMm: scatterMm,
          limitMm: pair.toleranceMm,
          say: [
            `${TAPED_NAME[key]}: ${list.length} readings lie `,
            mm(scatterMm),
            ' apart. Measure it again, both from the same mark.',
          ],
        },
      },
    ]
  })
}

/** A guess at which datum slipped: what would read so if edges had been taped and not centres. */
function wrongDatum(pair: PlannedPair, left: number, right: number): string {
  const off = (left + right) / 2 - pair.spreadMm
  const profile = (pair.front.profileMm + pair.rear.profileMm) / 2
  if (Math.abs(Math.abs(off) - profile) < SLIP_MM)
    return `The spreads are about one bar’s width ${off > 0 ? 'too long: outer edge to outer edge' : 'too short: inner edge to inner edge'}? Measure from centre to centre.`
  return 'One of them was measured from another mark. Measure all four again, each from its own mark.'
}

/** Four sides and two diagonals: they close, or one of the six is wrong. */
function diagonals(pair: PlannedPair, middles: Middles): Impossible[] {
  const { spreadLeft: left, spreadRight: right, diagonalLeft: d1, diagonalRight: d2 } = middles
  if (!left || !right || !d1 || !d2) return []
  const ends = [acrossOf(pair, middles, 'front'), acrossOf(pair, middles, 'rear')]
  const across = ends.reduce((sum, each) => sum + each.mm, 0) / 2
  const sideways = sidewaysMm(d1.mm, d2.mm, left.mm, right.mm, across)
  const implied = acrossImplied(d1.mm, d2.mm, left.mm, right.mm, sideways)
  // dw = Σ side × its own error / 2w, by differentiating the above; the width as known comes on top.
  const own =
    [left, right, d1, d2].reduce((sum, each) => sum + each.mm * each.offMm, 0) / (2 * Math.max(1, across))
  const allowed = own + ends.reduce((sum, each) => sum + each.offMm, 0) / 2
  if (Math.abs(implied - across) <= allowed) return []
  const taped = middles.frontAcross !== undefined && middles.rearAcross !== undefined
  return [
    {
      readings: ['spreadLeft', 'spreadRight', 'diagonalLeft', 'diagonalRight'],
      assessment: {
        what: 'datum',
        severity: 'findOut',
        measuredMm: implied,
        limitMm: across,
        say: [
          'Spreads and diagonals contradict each other: they imply ',
          mm(implied),
          ` from foot to foot, ${taped ? 'taped' : 'planned'} `,
          mm(across),
          `. ${wrongDatum(pair, left.mm, right.mm)}`,
          ...(taped
            ? []
            : [' Then measure foot to foot across too, because the feet may not be where planned.']),
        ],
      },
    },
  ]
}

/** Both overhangs, both halves of the feet, what lies between them and the caps are the bar. */
function overhangs(pair: PlannedPair, middles: Middles, which: 'front' | 'rear'): Impossible[] {
  const { name, lengthMm, capMm } = pair[which]
  const [left, right] = [middles[`${which}OverLeft`], middles[`${which}OverRight`]]
  const sides = [left, right].filter((each) => each !== undefined)
  if (sides.length === 0) return []
  const across = acrossOf(pair, middles, which)
  const caps = 2 * (capMm ?? 0)
  const sum = sides.reduce((so, each) => so + each.mm, 0) + across.mm + pair.footWidthMm + caps
  const allowed = sides.reduce((so, each) => so + each.offMm, 0) + across.offMm
  const over = sum - lengthMm
  const both = left !== undefined && right !== undefined
  const short = both && -over > allowed + (capMm === undefined ? 2 * ANY_CAP_MM : 0)
  if (over <= allowed && !short) return []
  const say: Phrase = [
    `${name}: ${both ? 'both overhangs' : 'this overhang'}, the feet${capMm === undefined ? '' : ', the caps'} and the parts between add up to `,
    mm(sum),
    ', the bar is ',
    mm(lengthMm),
    Math.abs(Math.abs(over) - pair.footWidthMm) < SLIP_MM && pair.footWidthMm > 0
      ? '. That is a foot’s width off: taped from the foot’s middle?'
      : pair.footWidthMm > 0
        ? '. Tape them anew from the foot’s outer edge to inside the cap, and from foot to foot.'
        : '. Tape them anew from the foot’s centre to inside the cap, and from foot to foot.',
  ]
  return [
    {
      readings: [`${which}OverLeft`, `${which}OverRight`],
      assessment: { what: `${which} datum`, severity: 'findOut', measuredMm: sum, limitMm: lengthMm, say },
    },
  ]
}

/** How near to the rack's own tape's zero a slip has to be to be called by its name, mm. Common practice, no source. */
const ZERO_SLIP_MM = 2

/** What is off by just as much as the line on the rack's own tape is from the tape's end: read from the one for the other. */
function tapeZeros(pair: PlannedPair, middles: Middles, from: ReadingsFrom): Impossible[] {
  const zero = pair.tapeZeroMm
  if (zero === undefined || zero <= pair.toleranceMm) return []
  return TAPED.flatMap((key): Impossible[] => {
    const planned = plannedReading(pair, key, from[key])
    const shown = middles[key]?.mm
    // Whoever has said from what it was read is not asked again.
    if (planned === undefined || shown === undefined || from[key]?.zeroMm !== undefined) return []
    const off = shown - planned
    if (Math.abs(Math.abs(off) - zero) > ZERO_SLIP_MM) return []
    return [
      {
        readings: [key],
        assessment: {
          what: `zero ${key}`,
          severity: 'findOut',
          measuredMm: shown,
          limitMm: planned,
          say: [
            `${TAPED_NAME[key]}: `,
            mm(shown),
            ', ',
            mm(Math.abs(off)),
            ` ${off > 0 ? 'more' : 'less'} than planned. The line on this rack’s tape is `,
            mm(zero),
            ' from the tape’s end: was it read from the end or from the line? Say which.',
          ],
        },
      },
    ]
  })
}

/** Both bars at one place, or further from or nearer to each other than their spread was read. */
function placesApart(pair: PlannedPair, middles: Middles, from: ReadingsFrom): Impossible[] {
  const sides = [
    { side: 'left', i: 0, spread: middles.spreadLeft },
    { side: 'right', i: 1, spread: middles.spreadRight },
  ] as const
  const [front, rear] = [placesOf(pair, middles, from, 'front'), placesOf(pair, middles, from, 'rear')]
  return sides.flatMap(({ side, i, spread }): Impossible[] => {
    const [a, b] = [front[i], rear[i]]
    if (a === undefined || b === undefined) return []
    // Where the sheet's mark is, nobody has measured: a place read from it is held against no place read from another.
    const [ofFront, ofRear] = [from[PLACES.front[i]], from[PLACES.rear[i]]]
    if (toldFrom(pair, ofFront).xMm !== toldFrom(pair, ofRear).xMm) return []
    const apart = b - a
    const readings = [PLACES.front[i], PLACES.rear[i]]
    const least = (pair.front.profileMm + pair.rear.profileMm) / 2
    if (apart < least)
      return [
        {
          readings,
          assessment: {
            what: `places ${side}`,
            severity: 'findOut',
            measuredMm: apart,
            limitMm: pair.spreadMm,
            say: [
              `On the ${side} both bars would stand at one place, `,
              mm(Math.max(0, apart)),
              ' apart, which cannot be. From which edge was each read: the windscreen’s upper edge, or the roof’s rear edge? Say which.',
            ],
          },
        },
      ]
    if (spread === undefined) return []
    const allowed =
      spread.offMm + (middles[PLACES.front[i]]?.offMm ?? 0) + (middles[PLACES.rear[i]]?.offMm ?? 0)
    if (Math.abs(apart - spread.mm) <= allowed) return []
    return [
      {
        readings: [...readings, side === 'left' ? 'spreadLeft' : 'spreadRight'],
        assessment: {
          what: `places ${side}`,
          severity: 'findOut',
          measuredMm: apart,
          limitMm: spread.mm,
          say: [
            `On the ${side} the places of both bars are `,
            mm(apart),
            ' apart, and their spread was read as ',
            mm(spread.mm),
            '. Measure all three again, each from its own mark.',
          ],
        },
      },
    ]
  })
}

/** Everything that was read and cannot be true: it is asked again, and no bar is moved on its word. */
export const impossible = (
  pair: PlannedPair,
  readings: Readings,
  middles: Middles,
  from: ReadingsFrom,
): Impossible[] => [
  ...scattered(pair, readings),
  ...diagonals(pair, middles),
  ...overhangs(pair, middles, 'front'),
  ...overhangs(pair, middles, 'rear'),
  ...tapeZeros(pair, middles, from),
  ...placesApart(pair, middles, from),
]
