import type { ReadingsFrom } from '../../log/record'
import { TAPED, type Readings } from '../../log/taped'
import type { Finding } from '../../review/finding'
import { barReadingFinding, middlesOf, type Middles } from './bar-readings'
import { level, marked } from './level'
import { impossible } from './possible'
import { alone, centred, parallel, square } from './bar-positions'
import { placed, placedAlone } from './bar-places'
import { type PlannedPair } from './taped'

/**
 * How two bars stand against how they should: parallel, square, centred, level, and what to move which way by how much.
 * Readings that cannot be true together come first; nothing is advised on the word of any of them.
 */
export function squarenessFindings(
  pair: PlannedPair,
  readings: Readings,
  from: ReadingsFrom = {},
): Finding[] {
  const middles = middlesOf(readings, from)
  const wrong = impossible(pair, readings, middles, from)
  const doubted = new Set(wrong.flatMap(({ readings: keys }) => keys))
  const sound: Middles = Object.fromEntries(
    TAPED.flatMap((key) => (doubted.has(key) || !middles[key] ? [] : [[key, middles[key]]])),
  )
  // A side whose other is doubted is not alone: that other is to be taped again.
  const lonely = [...alone(pair, middles), ...placedAlone(pair, middles, from)].filter(
    ({ of }) => !of || !doubted.has(of),
  )
  return [
    ...wrong.map(({ assessment }) => assessment),
    ...parallel(pair, sound),
    ...square(pair, sound),
    ...centred(pair, sound, 'front'),
    ...centred(pair, sound, 'rear'),
    ...placed(pair, sound, from, 'front'),
    ...placed(pair, sound, from, 'rear'),
    ...level(pair, sound),
    ...marked(pair, sound),
    ...lonely,
  ].map((each) => barReadingFinding(pair, each))
}
