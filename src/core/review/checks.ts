import { factsTogether } from './checks/facts-together'
import { figuresDisagree } from './checks/figures-disagree'
import type { Check } from './check'
import { antenna } from './checks/antenna'
import { axles } from './checks/axles'
import { barBending } from './checks/bar-bending'
import { barEndsAtDoors } from './checks/bar-ends'
import { barSeat } from './checks/bar-seat'
import { cabAndBed } from './checks/cab-and-bed'
import { clearOfFeet } from './checks/clear-of-feet'
import { countsUnstated } from './checks/counts-unsaid'
import { eachRating } from './checks/each-rating'
import { evenness } from './checks/evenness'
import { footMount } from './checks/foot-mount'
import { gates } from './checks/gates'
import { guessedMass } from './checks/guessed-mass'
import { hatch } from './checks/hatch'
import { heightClearance } from './checks/height-clearance'
import { jointBolts } from './checks/joint-bolts'
import { kitFit } from './checks/kit-fit'
import { layerLimit } from './checks/layer-limit'
import { lifting } from './checks/lifting'
import { lines } from './checks/lines'
import { loadOverhang } from './checks/load-overhang'
import { measuredFacts } from './checks/measured-facts'
import { mountMatch } from './checks/mount-match'
import { noseUp } from './checks/nose-up'
import { onItsBars } from './checks/on-its-bars'
import { oneBar } from './checks/one-bar'
import { overRoof } from './checks/over-roof'
import { parkedFigure } from './checks/parked-figure'
import { payload } from './checks/payload'
import { peopleDriving } from './checks/people-driving'
import { reinforcedTop } from './checks/reinforced-top'
import { sideOverhang } from './checks/side-overhang'
import { sideBySideCheck } from './checks/side-by-side'
import { sleepers } from './checks/sleepers'
import { space } from './checks/space'
import { halfKnownCheck } from './checks/half-known'
import { speedRating } from './checks/speed-rating'
import { spread } from './checks/spread'
import { tipOver } from './checks/standing'
import { startingValues } from './checks/starting-values'
import { sunroof } from './checks/sunroof'
import { supportSpan } from './checks/support-span'
import { tent } from './checks/tent'
import { tieDownsCheck } from './checks/tie-downs'
import { toldFigure } from './checks/told-figure'
import { towerSpacingCheck } from './checks/tower-spacing'
import { trailFigure } from './checks/trail-figure'
import { unratedLayer } from './checks/unrated-layer'
import { uplift } from './checks/uplift'
import { upliftInMotion } from './checks/uplift-in-motion'
import { usableWidth } from './checks/usable-width'
import { wind } from './checks/wind'

/** Every check, in the order in which findings of one severity are listed. */
export const CHECKS: readonly Check[] = [
  peopleDriving,
  layerLimit,
  eachRating,
  payload,
  mountMatch,
  kitFit,
  footMount,
  jointBolts,
  barSeat,
  towerSpacingCheck,
  spread,
  onItsBars,
  cabAndBed,
  usableWidth,
  clearOfFeet,
  sideOverhang,
  sideBySideCheck,
  space,
  overRoof,
  hatch,
  sunroof,
  tent,
  antenna,
  unratedLayer,
  reinforcedTop,
  countsUnstated,
  figuresDisagree,
  gates,
  measuredFacts,
  toldFigure,
  guessedMass,
  startingValues,
  halfKnownCheck,
  parkedFigure,
  trailFigure,
  heightClearance,
  loadOverhang,
  lines,
  supportSpan,
  barEndsAtDoors,
  speedRating,
  uplift,
  upliftInMotion,
  evenness,
  oneBar,
  barBending,
  sleepers,
  axles,
  tieDownsCheck,
  noseUp,
  tipOver,
  wind,
  lifting,
  factsTogether,
]

/** The checks whose Stops decide where a thing may stand. */
export const PLACE_CHECKS: readonly Check[] = CHECKS.filter(({ decidesPlace }) => decidesPlace !== 'never')
