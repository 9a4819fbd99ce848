import type { ReadingsFrom } from '../../log/record'
import { PLACES, TAPED_NAME } from '../../log/taped'
import { deg, mm } from '../../units/phrase'
import { squareness } from '../../survey/bars/bar-squareness'
import { endsToMove, type JudgedReading, type Middles } from './bar-readings'
import { PUT_RIGHT } from './put-right'
import { barPlaceOf, toldFrom, type PlannedPair } from './taped'

/** Where one bar stands at either foot, behind the windscreen's upper edge, mm; nothing of a side that was not read. */
export function placesOf(
  pair: PlannedPair,
  middles: Middles,
  from: ReadingsFrom,
  which: 'front' | 'rear',
): readonly [number | undefined, number | undefined] {
  const [left, right] = PLACES[which].map((taped) => {
    const read = middles[taped]
    return read && barPlaceOf(pair, pair[which], read.mm, from[taped])
  })
  return [left, right]
}

/** Whether a bar stands along where it should, by what was read at its two feet: how far askew, and which end goes which way. */
export function placed(
  pair: PlannedPair,
  middles: Middles,
  from: ReadingsFrom,
  which: 'front' | 'rear',
): JudgedReading[] {
  const bar = pair[which]
  const [left, right] = placesOf(pair, middles, from, which)
  if (left === undefined || right === undefined) return []
  const [atLeft, atRight] = PLACES[which]
  const base = toldFrom(pair, from[atLeft])
  if (base.xMm !== toldFrom(pair, from[atRight]).xMm)
    return [
      {
        what: `${which} placed`,
        severity: 'findOut',
        say: [
          `${bar.name}: one foot was read from the mark of its sheet and the other was not. Read both from one mark.`,
        ],
      },
    ]
  const apart = right - left
  const mean = (left + right) / 2 - bar.xMm
  const { skewDeg } = squareness(left, right, bar.acrossMm)
  const moves = endsToMove(bar.xMm - left, bar.xMm - right)
  // What notches, points and holes hold is not pushed along.
  const otherwise = PUT_RIGHT[pair.heldBy]
  const askew = Math.abs(apart) > pair.toleranceMm
  const off = Math.abs(mean) > pair.toleranceMm
  return [
    {
      what: `${which} placed`,
      severity: askew ? 'stop' : off ? 'mind' : 'clear',
      measuredMm: Math.abs(apart),
      limitMm: pair.toleranceMm,
      say: [
        `${bar.name}: `,
        mm(left - base.xMm),
        ' on the left, ',
        mm(right - base.xMm),
        ` on the right behind ${base.words}, planned `,
        mm(bar.xMm - base.xMm),
        '; ',
        mm(Math.abs(apart)),
        ' apart (',
        deg(Math.abs(skewDeg)),
        '), ',
        mm(pair.toleranceMm),
        ' is allowed.',
        ...(otherwise !== undefined
          ? askew || off
            ? [` ${otherwise}`]
            : []
          : moves.length === 0
            ? []
            : [' Bring its ', ...moves, '.']),
      ],
    },
  ]
}

/** What one foot's place says without the other's. */
export function placedAlone(pair: PlannedPair, middles: Middles, from: ReadingsFrom): JudgedReading[] {
  return (['front', 'rear'] as const).flatMap((which): JudgedReading[] => {
    const { xMm } = pair[which]
    const [left, right] = placesOf(pair, middles, from, which)
    const at = left ?? right
    if (at === undefined || (left !== undefined && right !== undefined)) return []
    const of = PLACES[which][left === undefined ? 1 : 0]
    const base = toldFrom(pair, from[of])
    return [
      {
        what: `${which} placed alone`,
        of,
        severity: Math.abs(at - xMm) > pair.toleranceMm ? 'findOut' : 'clear',
        measuredMm: at,
        limitMm: xMm,
        say: [
          `${TAPED_NAME[of]}: `,
          mm(at - base.xMm),
          ` behind ${base.words}, planned `,
          mm(xMm - base.xMm),
          '; read the other foot too.',
        ],
      },
    ]
  })
}
