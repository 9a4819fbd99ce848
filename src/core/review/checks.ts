import type { Check } from './check'
import { antenna } from './checks/antenna'
import { barEndsAtDoors } from './checks/bar-ends'
import { barSeat } from './checks/bar-seat'
import { clearOfFeet } from './checks/clear-of-feet'
import { countsUnsaid } from './checks/counts-unsaid'
import { eachRating } from './checks/each-rating'
import { footMount } from './checks/foot-mount'
import { gates } from './checks/gates'
import { guessedMass } from './checks/guessed-mass'
import { hatch } from './checks/hatch'
import { heightClearance } from './checks/height-clearance'
import { kitFit } from './checks/kit-fit'
import { layerLimit } from './checks/layer-limit'
import { lines } from './checks/lines'
import { loadOverhang } from './checks/load-overhang'
import { measuredFacts } from './checks/measured-facts'
import { mountMatch } from './checks/mount-match'
import { onItsBars } from './checks/on-its-bars'
import { overRoof } from './checks/over-roof'
import { parkedFigure } from './checks/parked-figure'
import { peopleDriving } from './checks/people-driving'
import { sideOverhang } from './checks/side-overhang'
import { space } from './checks/space'
import { speedRating } from './checks/speed-rating'
import { spread } from './checks/spread'
import { sunroof } from './checks/sunroof'
import { supportSpan } from './checks/support-span'
import { tent } from './checks/tent'
import { towerSpacingCheck } from './checks/tower-spacing'
import { trailFigure } from './checks/trail-figure'
import { unratedLayer } from './checks/unrated-layer'
import { uplift } from './checks/uplift'
import { usableWidth } from './checks/usable-width'

/** Every check, in the order in which findings of one severity are listed. */
export const CHECKS: readonly Check[] = [
  peopleDriving,
  layerLimit,
  eachRating,
  mountMatch,
  kitFit,
  footMount,
  barSeat,
  towerSpacingCheck,
  spread,
  onItsBars,
  usableWidth,
  clearOfFeet,
  sideOverhang,
  space,
  overRoof,
  hatch,
  sunroof,
  tent,
  antenna,
  unratedLayer,
  countsUnsaid,
  gates,
  measuredFacts,
  guessedMass,
  parkedFigure,
  trailFigure,
  heightClearance,
  loadOverhang,
  lines,
  supportSpan,
  barEndsAtDoors,
  speedRating,
  uplift,
]
