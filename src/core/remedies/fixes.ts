import type { Candidate, RemedyStock } from './candidate'
import { antennaFixes } from './fixes/antenna'
import { barSeatFixes } from './fixes/bar-seat'
import { clearOfFeetFixes } from './fixes/clear-of-feet'
import { lightenLayer } from './lighten'
import { evennessFixes } from './fixes/evenness'
import { hatchFixes } from './fixes/hatch'
import { heightClearanceFixes } from './fixes/height-clearance'
import { kitFitFixes } from './fixes/kit-fit'
import { linesPlanned } from './fittings'
import { loadOverhangFixes } from './fixes/load-overhang'
import { measuredFactsFixes } from './fixes/measured-facts'
import { mountMatchFixes } from './fixes/mount-match'
import { onItsBarsFixes } from './fixes/on-its-bars'
import { oneBarFixes } from './fixes/one-bar'
import { overRoofFixes } from './fixes/over-roof'
import { peopleDrivingFixes } from './fixes/people-driving'
import { sideOverhangFixes } from './fixes/side-overhang'
import { sleepersFixes } from './fixes/sleepers'
import { spaceFixes } from './fixes/space'
import { speedRatingFixes } from './fixes/speed-rating'
import { spreadFixes } from './fixes/spread'
import { startingValuesFixes } from './fixes/starting-values'
import { sunroofFixes } from './fixes/sunroof'
import { tentFixes } from './fixes/tent'
import { tieDownsFixes } from './fixes/tie-downs'
import { towerSpacingFixes } from './fixes/tower-spacing'
import { unratedLayerFixes } from './fixes/unrated-layer'
import { usableWidthFixes } from './fixes/usable-width'
import { windFixes } from './fixes/wind'
import type { Finding } from '../review/finding'
import type { Survey } from '../survey/survey'

/** Edits that would clear one of a check's findings; each is verified before it is offered. */
type Fixes = (survey: Survey, finding: Finding, stock: RemedyStock) => readonly Candidate[]

/** Who looks for the fixes of which check; a check that is not here has none. */
export const FIXES: Readonly<Record<string, Fixes>> = {
  antenna: antennaFixes,
  'bar-seat': barSeatFixes,
  'clear-of-feet': clearOfFeetFixes,
  'counts-unsaid': lightenLayer,
  'each-rating': lightenLayer,
  evenness: evennessFixes,
  'guessed-mass': lightenLayer,
  hatch: hatchFixes,
  'height-clearance': heightClearanceFixes,
  'kit-fit': kitFitFixes,
  'layer-limit': lightenLayer,
  lines: linesPlanned,
  'load-overhang': loadOverhangFixes,
  'measured-facts': measuredFactsFixes,
  'mount-match': mountMatchFixes,
  'nose-up': linesPlanned,
  'on-its-bars': onItsBarsFixes,
  'one-bar': oneBarFixes,
  'over-roof': overRoofFixes,
  payload: lightenLayer,
  'people-driving': peopleDrivingFixes,
  'side-overhang': sideOverhangFixes,
  sleepers: sleepersFixes,
  space: spaceFixes,
  'speed-rating': speedRatingFixes,
  spread: spreadFixes,
  'starting-values': startingValuesFixes,
  sunroof: sunroofFixes,
  'support-span': linesPlanned,
  tent: tentFixes,
  'tie-downs': tieDownsFixes,
  'tower-spacing': towerSpacingFixes,
  'unrated-layer': unratedLayerFixes,
  'usable-width': usableWidthFixes,
  wind: windFixes,
}
