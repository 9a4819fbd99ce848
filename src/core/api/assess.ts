/** What follows from a plan and what the checks say of it: survey, review, fixes, places, chance and stages. */
export { barEnds, spreadBehind } from '../survey/bars/bar-ends'
export { isLong } from '../survey/bars/long-load'
export { OPEN_MM } from '../kinds/mount'
export { rangeWords } from '../kinds/range-words'
export { binding, type SpreadMember, type SpreadPair } from '../survey/bars/spread'
export type { BarWidth } from '../survey/bars/width'
export { type BarAt, type RackAt, footSeatZ, sizeAsPlaced, type ThingAt } from '../survey/frame/arrangement'
export { bodyOutline, type BodyOutline } from '../survey/frame/body/outline'
export { onVehicle, type OnVehicle } from '../survey/frame/on-vehicle'
export { startingAttachment, startingObstacle } from '../survey/frame/body/starting-attachment'
export { startingSizes } from '../survey/frame/body/starting-sizes'
export { startingVehicle } from '../survey/frame/body/starting-vehicle'
export { withFitSheet } from '../edits/fit-sheet-bars'
export { holesFor } from '../survey/mounting/holes'
export { panelsOnHinges } from '../edits/panels-on-hinges'
export { startsOnRoof, startsWithinRoof } from '../edits/starts-on-roof'
export { placedWords } from '../placing/placed-words'
export { barNames, carryingBars, hostsFor, placeOn, weightRoom } from '../placing/room'
export { rackKindsFor, startingRack } from '../survey/frame/starting-rack'
export type { Layer } from '../survey/load-path/layer'
export { type Cell, cellParts } from '../survey/load-path/limit'
export type { MassPoint } from '../survey/loads/mass-point'
export { motionCases } from '../survey/motion/cases'
export type { Lift } from '../survey/motion/lifting'
export { isLoose, type TieDown, UNLABELLED_WEBBING_KG } from '../survey/motion/securing'
export { bandOf, BANDS } from '../survey/motion/tip-over'
export { contactYs } from '../survey/mounting/contacts'
export type { GateAt } from '../survey/mounting/gates'
export type { SwingCollision } from '../survey/openings/collisions'
export { type Hatch, slideBox, type Sunroof, swingsOf, tiltOf } from '../survey/openings/swings'
export { openedTent } from '../survey/openings/tent'
export type { LoadedBar } from '../survey/statics/bending'
export { footFigures, LIFTED_KG } from '../survey/statics/evenness'
export type { ClearanceAt, Survey } from '../survey/survey'
export {
  type Chances,
  drawChances,
  DRAWS,
  type LimitChance,
  mostAtRisk,
  worthWeighing,
  type WorthWeighing,
} from '../chance/draws'
export { chanceProblem } from '../chance/problem'
export { weighed } from '../chance/weighing'
export { type Ask, inputOf, type Where, WHERE_WORD, WHERES } from '../review/ask'
export { cautionsFor } from '../review/cautions'
export type { Rule, RuleSource } from '../review/check'
export { CHECKS } from '../review/checks'
export { asksWhat } from '../review/checks/gates'
export { type Account, accountOf, differencesOf } from '../review/compare'
export {
  type Finding,
  IN_STATE,
  isOpen,
  type Outcome,
  OUTCOME_RANK,
  OUTCOME_WORD,
  SEVERITIES,
  type Severity,
  STATE_WORD,
  type Verdict,
  VERDICT_WORD,
} from '../review/finding'
export { type FindingStates, foldedTogether } from '../review/folded'
export { limitPhrase, sourceText, usuallyPrinted } from '../review/layer-phrases'
export { peopleWeights, type PersonWeight } from '../facts/people-weights'
export { linkVerdict } from '../facts/links'
export { bindsWords, leftIn, type Left, leftOnRack, leftPhrase, linksPhrase } from '../survey/load-path/left'
export { type JobSummary, jobSummaryOf, stateSummary, type StateSummary } from '../review/job-summary'
export { assess } from '../review/assess'
export {
  layerSeverity,
  notLookedAt,
  review,
  type Review,
  type Assessment,
  findingText,
} from '../review/review'
export { nearestOffer, racksForLike, rackOffer, type RackOffer, type RackSuits } from '../placing/rack-offer'
export { barLengthOffers, type BarLengthOffer } from '../placing/bar-length-offers'
export { bestRack } from '../placing/best-rack'
export { compatible, type Compatible } from '../placing/compatible'
export type { PointerPlace } from '../placing/places'
export { puttingOn } from '../placing/put-on'
export { trialThing } from '../placing/trial'
export { type Answer, answered } from '../remedies/answered'
export { assessWithFixes, type AssessmentWithFixes } from '../remedies/assess-with-fixes'
export { fixesLeftOut } from '../remedies/fixes-limit'
export type { RemedyStock } from '../remedies/candidate'
export { remediesFor, type Remedy } from '../remedies/remedies'
export { nextThing, type NextThing } from '../stages/next-thing'
export { type Stage, STAGE_WORD, STAGES } from '../stages/stage-of'
export { type StageState, stageWords } from '../stages/stage-state'
export { type Logged, stagesOf } from '../stages/stages'
export { WORK_STATES, WORK_WORD, type WorkState, workStateOf } from '../stages/work-state'
export { barLoads, type BarLoads, landings } from '../survey/statics/landings'
