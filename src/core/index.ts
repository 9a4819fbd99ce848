/** The core's face: what interface, shell, workers and routes may take from it. */

export { type Dimension, homeUnit, STANDARD_GRAVITY, unitOf, type UnitSystem } from './units/dimension'
export { amountIn, formatNumber, formatQuantity, METRIC, percentText, type UnitChoice } from './units/format'
export { parseQuantity, typedElsewhere } from './units/parse'
export { own } from './units/own'
export { type Amount, kg, missing, mm, type Phrase, phraseText, toSpare } from './units/phrase'
export { daySchema, idSchema, type State, STATES, type Status, toFit } from './units/scalars'

export type { Box } from './geometry/boxes'
export { panelAt, type Swept, type Swing } from './geometry/sweep'

export { type AttachmentKind, ATTACHMENTS } from './kinds/attachment'
export { BASES, type Basis } from './kinds/basis'
export { type GearMass, weighedAnew } from './plan/schema/gear-mass'
export { type Provenance, PROVENANCES, READ_FROM } from './kinds/provenance'
export { BODIES, type Body } from './kinds/body'
export { GEAR_KINDS } from './kinds/gear-kind'
export { choicesOf, kindsOf } from './kinds/kind'
export { MOUNTS } from './kinds/mount'
export { type ObstacleKind } from './kinds/obstacle'
export { PART_ROLES } from './kinds/part-role'
export { RACK_KINDS } from './kinds/rack-kind'
export { type When, WHENS } from './kinds/when'

export { apply } from './plan/commands/apply'
export { type Car, carSchema, sameCar } from './plan/schema/car'
export { type Change, changesBetween } from './history/changes'
export type { Command, SingleCommand } from './plan/commands/command'
export type { RatingOwner } from './plan/commands/rating-commands'
export { type Gear, gearSchema } from './plan/schema/gear'
export { LIKED_SPREAD_MM } from './plan/schema/hints'
export {
  ASIDE_LOOKS,
  type BayRules,
  bayRulesOf,
  DEFAULT_HOUSE_RULES,
  type HouseRules,
  houseRulesSchema,
  USUAL_BAY,
  USUAL_DRIVES,
  USUAL_GUESS_SPREAD,
  USUAL_SINGLE_FIGURE,
  USUAL_STRAPS,
} from './plan/schema/house'
export { LOCAL_RULES } from './plan/schema/local-rules'
export { type MeasuredSubject, type Measurement, readingsSummary } from './plan/schema/measurement'
export { type FieldMessage } from './plan/schema/messages'
export { type AttachmentWith, isRaised } from './plan/schema/attachment-traits'
export type { StoredJob } from './plan/stored-job'
export { newPlan } from './plan/starting/new-plan'
export {
  type Adapter,
  adapterSchema,
  type Clearance,
  type Fitting,
  type Host,
  type Load,
  loadSchema,
  type Occupant,
  type Placement,
  type Straps,
  type Use,
} from './plan/schema/placement'
export { FORMAT_VERSION, type Plan } from './plan/schema/plan'
export { factText } from './log/fact-print'
export { type Clash, clashWords, mergeItems, mergePlans, placeWords } from './history/merge'
export { liftTrail, type Trail } from './history/lift-past'
export { MOST_STEPS, type PastStep, pastStepSchema } from './history/past-step'
export { thinned } from './history/thin-past'
export { type Patch, patchBetween, patched, patchSchema } from './history/patch'
export { planSchema } from './plan/schema/plan-schema'
export {
  type Bar,
  barSchema,
  barsOf,
  type Part,
  partSchema,
  type Profile,
  type Rack,
  rackSchema,
  withRise,
} from './plan/schema/rack'
export { typedOver } from './plan/schema/provenance'
export type { Mass, Rated, Rating, Source } from './plan/schema/rating'
export { bar, type Figures, gear, onBars, part, ratings, type Terms } from './plan/starting/templates'
export { type Attachment, pointsOf, type Vehicle, vehicleSchema } from './plan/schema/vehicle'

export { barEnds, spreadBehind } from './survey/bars/bar-ends'
export { isLong } from './survey/bars/long-load'
export { binding, type SpreadMember, type SpreadPair } from './survey/bars/spread'
export type { BarWidth } from './survey/bars/width'
export { type BarAt, type RackAt, footSeatZ, sizeAsPlaced, type ThingAt } from './survey/frame/arrangement'
export { bodyOutline, type BodyOutline } from './survey/frame/body/outline'
export { onVehicle, type OnVehicle } from './survey/frame/on-vehicle'
export { startingAttachment, startingObstacle } from './survey/frame/body/starting-attachment'
export { startingSizes } from './survey/frame/body/starting-sizes'
export { startingVehicle } from './survey/frame/body/starting-vehicle'
export { firstPlace, hostsFor, placeOn, weightRoom } from './placing/room'
export { rackKindsFor, startingRack } from './survey/frame/starting-rack'
export type { Layer } from './survey/load-path/layer'
export { type Cell, cellParts } from './survey/load-path/limit'
export type { MassPoint } from './survey/loads/mass-point'
export { motionCases } from './survey/motion/cases'
export type { Lift } from './survey/motion/lifting'
export { isLoose, type TieDown, UNLABELLED_WEBBING_KG } from './survey/motion/securing'
export { bandOf, BANDS } from './survey/motion/tip-over'
export { contactYs } from './survey/mounting/contacts'
export type { GateAt } from './survey/mounting/gates'
export type { SwingCollision } from './survey/openings/collisions'
export { type Hatch, slideBox, type Sunroof, swingsOf, tiltOf } from './survey/openings/swings'
export { openedTent } from './survey/openings/tent'
export type { LoadedBar } from './survey/statics/bending'
export { footFigures, LIFTED_KG } from './survey/statics/evenness'
export type { ClearanceAt, Survey } from './survey/survey'

export {
  type Chances,
  drawChances,
  DRAWS,
  type LimitChance,
  mostAtRisk,
  worthWeighing,
  type WorthWeighing,
} from './chance/draws'
export { chanceProblem } from './chance/problem'
export { weighed } from './chance/weighing'

export { type StartedAt, moveBy } from './edits/move'
export { snapsFor, snapTo } from './edits/snap'

export { type Ask, inputOf, type Where, WHERE_WORD, WHERES } from './review/ask'
export { cautionsFor } from './review/cautions'
export type { Rule, RuleSource } from './review/check'
export { CHECKS } from './review/checks'
export { asksWhat } from './review/checks/gates'
export { type Account, accountOf, differencesOf } from './review/compare'
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
} from './review/finding'
export { type FindingStates, foldedTogether } from './review/folded'
export { limitPhrase, sourceText, usuallyPrinted } from './review/layer-phrases'
export { linkVerdict } from './facts/links'
export { bindsWords, leftIn, type Left, leftOnRack, leftPhrase, linksPhrase } from './survey/load-path/left'
export { type JobSummary, jobSummaryOf, stateSummary, type StateSummary } from './review/job-summary'
export { assess } from './review/assess'
export {
  layerSeverity,
  notLookedAt,
  review,
  type Review,
  type Assessment,
  findingText,
} from './review/review'

export { rackOffer, type RackOffer, type RackSuits } from './placing/rack-offer'
export { barLengthOffers, type BarLengthOffer } from './placing/bar-length-offers'
export { compatible, type Compatible } from './placing/compatible'
export type { PointerPlace } from './placing/places'
export { trialThing } from './placing/trial'

export { type Answer, answered } from './remedies/answered'
export { assessWithFixes, type AssessmentWithFixes } from './remedies/assess-with-fixes'
export { fixesLeftOut } from './remedies/fixes-limit'
export type { RemedyStock } from './remedies/candidate'
export { remediesFor, type Remedy } from './remedies/remedies'

export { ANSWER_WORD, ANSWERS, type StepAnswer } from './log/answer'
export type { Calibration } from './log/calibration'
export { type PullEvidence, pullWord } from './log/pull-evidence'
export { type BayProgress, NOTHING_DONE, pullKey } from './log/record'
export { isMark, TAPED_NAME } from './log/taped'
export type { Contents } from './log/contents'
export { EVENT_WORD, type LogEvent, logEventSchema } from './log/event'
export type { ProofOutcome } from './log/proof-outcome'
export { type RackRecord, replay } from './log/replay'
export { nextTurn, united } from './log/sequence'
export { replacedBy, replacements } from './log/subject'
export { type Disagreement, disagreements } from './log/disagreement'
export { importedEvents, type ImportRequest } from './log/take-in'
export type { Readings, Taped } from './log/taped'
export { type Visit, visitsOf, visitWords } from './log/visits'
export { aboutOf, carName, carOf, carsByJob, type JobAbout, ownEvents, perhapsSame } from './log/whose'

export { answerLine, answerOf, isDone, placeAnswers } from './bay/answers'
export { spreadMeasured, withBenchReadings } from './bay/bench-readings'
export { loadingOrder, placeIn, withSeen } from './bay/channel/channel'
export { cutList, cutSumMm, stripsByBar } from './bay/cut/strips'
export { NO_LINES, takeLines } from './bay/devices/line-protocol'
export { peak, settle, UNSETTLED } from './bay/devices/settling'
export { decodeWeight } from './bay/devices/weight-measurement'
export { drillFindings, drillPlans } from './bay/drilling/drill-plan'
export { daysAfter, dueOf, isOverdue } from './bay/due'
export { evidenceNow, currentProgress } from './bay/evidence'
export { type Hold, holdsOf, isUngiven } from './bay/holds'
export { jobSession } from './bay/job-session'
export { marksOf } from './bay/marks'
export { partsCheck, type PartsLine } from './bay/parts/parts-check'
export { askedOf } from './bay/proof'
export { badPull, badReading, nextPull, passPress } from './bay/pulling'
export { refitNotes, refitValues } from './bay/refit'
export { BAY_RULES } from './bay/rules'
export {
  currentIndex,
  minutesLeft,
  type Session,
  type SessionStep,
  type StepState,
  waitsFor,
} from './bay/session'
export { datumOf, plannedReading } from './bay/squareness/taped'
export { stepFindings } from './bay/step-findings'
export { estimate } from './bay/steps/estimate'
export { jobSteps } from './bay/steps/job-steps'
export type { Order } from './bay/steps/order'
export type { Schedule } from './bay/steps/schedule'
export { type PairAsk, PHASE_WORD, type Step, type WeighTarget } from './bay/steps/step'
export { aimNm, type Joint, signWords } from './bay/torque/joint'
export type { Pull } from './bay/torque/passes'
export { recheckWords } from './bay/torque/recheck'
export { signsWanted } from './bay/wanted'
export { type WorkedEvent, workedEvents } from './bay/worked'

export { nextThing, type NextThing } from './stages/next-thing'
export { type Stage, STAGE_WORD, STAGES } from './stages/stage-of'
export { type StageState, stageWords } from './stages/stage-state'
export { type Logged, stagesOf } from './stages/stages'
export { WORK_STATES, WORK_WORD, type WorkState, workStateOf } from './stages/work-state'

export { cameLine, type Handover, handoverOf, placardLines } from './handover/handover'
export { openingOf } from './handover/handover-opening'

export {
  checkedText,
  type Pasts,
  printBackup,
  readBackup,
  pictureSchema,
  SHELF_NAMES,
  type ShelfName,
  type Shelves,
} from './formats/backup'
export {
  type Differing,
  differingIn,
  restorePreview,
  type ShelfChange,
  staysUnasked,
} from './formats/restoring'
export { bayReport, bayReportSchema } from './formats/bay-report'
export { readSheet } from './formats/sheet-text/read-sheet'
export { type SheetReading } from './formats/sheet-text/reading'
export {
  gearTakes,
  gearWith,
  partTakes,
  partWith,
  readingWords,
  VEHICLE_TAKES,
  vehicleWith,
} from './formats/sheet-text/take-readings'
export { calendarFile } from './formats/calendar'
export { jsonSchemas } from './formats/json-schemas'
export { eventText, logCsv, parseLogText, printLog, type ReadLog } from './formats/log-file'
export { type Copy, compareCopies, type CopyComparison, type OtherStep } from './formats/copies'
export { checkedBundle, isBundle, type JobBundle, printBundle, readBundle } from './formats/job-bundle'
export { parsePartsText } from './formats/parts-file'
export { parsePlanText, planFileName, printPlan, readPlan } from './formats/plan-file'
export { reviewReport, reviewReportSchema, surveyReport, surveyReportSchema } from './formats/report'
export { blank, headOf, tableCellOf, valueAt } from './formats/stock-cells'
export { type Column, STOCK_COLUMNS } from './formats/stock-columns'
export { copyOf } from './formats/stock-copy'
export { type CsvPreview, readStockCsv, stockCsv } from './formats/stock-csv'
export { parseStockText, stockChanges, type StockChanges, stockText } from './formats/stock-file'
export {
  EMPTY_STOCK,
  STOCK_KINDS,
  STOCK_SCHEMAS,
  type StockItem,
  type StockKind,
  type StockLists,
} from './formats/stock-kinds'

export {
  carriedOver,
  type Draft,
  isEmpty,
  likeTheFirst,
  newEntry,
  toDraft,
  variantDraft,
} from './fields/draft'
export type { Choices, Field, Group, List, FieldsPart, Several, Single, Variants } from './fields/field'
export {
  COUNTS_CHOICES,
  HOW_CHOICES,
  MORE_FIGURES,
  PER_CHOICES,
  SOURCE_CHOICES,
} from './fields/figures-fields'
export { fieldsByName } from './fields/fields-by-name'
export { GEAR_FIELD } from './fields/gear-fields'
export { JOB_FIELD } from './fields/job-fields'
export { LOAD_FIELD } from './fields/load-fields'
export { RACK_FIELD } from './fields/rack-fields'
export { wholeReader } from './fields/read-draft'
export type { DraftResult } from './fields/reading'
export { STOCK_FIELDS } from './formats/stock-fields'
export { VEHICLE_FIELD } from './fields/vehicle-fields'
export { startingGear } from './plan/starting/starting-gear'
export { barLoads, type BarLoads, landings } from './survey/statics/landings'
export { stockDifferences, intoStock, stockRackOf } from './formats/stock-rack'
