import type { ReadingsFrom } from '../../log/record'
import { PLACES, TAPED_NAME } from '../../log/taped'
import { deg, mm } from '../../units/phrase'
import { squareness } from '../../survey/bars/bar-squareness'
import { endsToMove, type JudgedReading, type Middles } from './bar-readings'
import { placeOf, type PlannedPair } from './taped'

/** Where one bar stands at either foot, behind the windscreen's upper edge, mm; nothing of a side that was not read. */
export function placesOf(
  pair: PlannedPair,
  middles: Middles,
  from: ReadingsFrom,
  which: 'front' | 'rear',
): readonly [number | undefined, number | undefined] {
  const [left, right] = PLACES[which].map((taped) => {
    const read = middles[taped]
    return read && placeOf(pair, pair[which], read.mm, from[taped])
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
  const what = `${which} placed`
  if (left === undefined || right === undefined) {
    const at = left ?? right
    if (at === undefined) return []
    const off = at - bar.xMm
    const read = PLACES[which][left === undefined ? 1 : 0]
    return [
      {
        what,
        of: read,
        severity: Math.abs(off) > pair.toleranceMm ? 'findOut' : 'clear',
        measuredMm: at,
        limitMm: bar.xMm,
        say: [
          `${TAPED_NAME[read]}: `,
          mm(at),
          ' behind the windscreen’s upper edge, planned ',
          mm(bar.xMm),
          '; read the other foot too.',
        ],
      },
    ]
  }
  const apart = right - left
  const mean = (left + right) / 2 - bar.xMm
  const { skewDeg } = squareness(left, right, bar.acrossMm)
  const moves = endsToMove(bar.xMm - left, bar.xMm - right)
  const askew = Math.abs(apart) > pair.toleranceMm
  const off = Math.abs(mean) > pair.toleranceMm
  return [
    {
      what,
      severity: askew ? 'stop' : off ? 'mind' : 'clear',
      measuredMm: Math.abs(apart),
      limitMm: pair.toleranceMm,
      say: [
        `${bar.name}: `,
        mm(left),
        ' on the left, ',
        mm(right),
        ' on the right behind the windscreen’s upper edge, planned ',
        mm(bar.xMm),
        '; ',
        mm(Math.abs(apart)),
        ' apart (',
        deg(Math.abs(skewDeg)),
        '), ',
        mm(pair.toleranceMm),
        ' is allowed.',
        ...(moves.length === 0 ? [] : [' Bring its ', ...moves, '.']),
      ],
    },
  ]
}
