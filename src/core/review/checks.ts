import type { Check } from './check'
import { countsUnsaid } from './checks/counts-unsaid'
import { eachRating } from './checks/each-rating'
import { guessedMass } from './checks/guessed-mass'
import { heightClearance } from './checks/height-clearance'
import { layerLimit } from './checks/layer-limit'
import { parkedFigure } from './checks/parked-figure'
import { peopleDriving } from './checks/people-driving'
import { speedRating } from './checks/speed-rating'
import { trailFigure } from './checks/trail-figure'
import { unratedLayer } from './checks/unrated-layer'
import { uplift } from './checks/uplift'

/** Every check, in the order in which findings of one severity are listed. */
export const CHECKS: readonly Check[] = [
  peopleDriving,
  layerLimit,
  eachRating,
  unratedLayer,
  countsUnsaid,
  guessedMass,
  parkedFigure,
  trailFigure,
  heightClearance,
  speedRating,
  uplift,
]
