/** What a person decided: vocabularies, units, the plan with its commands and its history. */
export { type Dimension, homeUnit, STANDARD_GRAVITY, unitOf, type UnitSystem } from '../units/dimension'
export { amountIn, formatNumber, formatQuantity, METRIC, percentText, type UnitChoice } from '../units/format'
export { parseQuantity, typedElsewhere } from '../units/parse'
export { parseDay } from '../units/day'
export { moneyText } from '../units/money'
export { own } from '../units/own'
export { type Amount, kg, missing, mm, type Phrase, phraseText, toSpare } from '../units/phrase'
export { daySchema, idSchema, type State, STATES, type Status, toFit } from '../units/scalars'
export type { Box } from '../geometry/boxes'
export { panelAt, type Swept, type Swing } from '../geometry/sweep'
export { type AttachmentKind, ATTACHMENTS } from '../kinds/attachment'
export { BASES, type Basis } from '../kinds/basis'
export { type GearMass, weighedAnew } from '../plan/schema/gear-mass'
export { type Provenance, PROVENANCES, READ_FROM } from '../kinds/provenance'
export { SCHOOLS, type Ways, waysToChoose } from '../kinds/fitting-ways'
export { BODIES, type Body } from '../kinds/body'
export { GEAR_KINDS } from '../kinds/gear-kind'
export { choicesOf, kindsOf } from '../kinds/kind'
export { MOUNTS } from '../kinds/mount'
export { type ObstacleKind } from '../kinds/obstacle'
export { PART_ROLES } from '../kinds/part-role'
export { RACK_KINDS } from '../kinds/rack-kind'
export { type When, WHENS } from '../kinds/when'
export { apply } from '../plan/commands/apply'
export { type Car, carSchema, sameCar } from '../plan/schema/car'
export { type Change, changesBetween } from '../history/changes'
export type { Command, SingleCommand } from '../plan/commands/command'
export type { RatingOwner } from '../plan/commands/rating-commands'
export { type Gear, gearSchema } from '../plan/schema/gear'
export { LIKED_SPREAD_MM } from '../plan/schema/hints'
export {
  type BayRules,
  bayRulesOf,
  DEFAULT_HOUSE_RULES,
  type HouseRules,
  houseRulesSchema,
  USUAL_BAY,
} from '../plan/schema/house'
export { stepMinutesSchema } from '../plan/schema/fitting'
export { withStepMinutes, withUsualMinutes } from '../edits/step-minutes'
export { LOCAL_RULES } from '../plan/schema/local-rules'
export { type MeasuredSubject, type Measurement, readingsSummary } from '../plan/schema/measurement'
export { type FieldMessage } from '../plan/schema/messages'
export { type AttachmentWith, isRaised } from '../plan/schema/attachment-traits'
export type { StoredJob } from '../plan/stored-job'
export { newPlan } from '../plan/starting/new-plan'
export {
  type Adapter,
  adapterSchema,
  type Fitting,
  type Host,
  type Load,
  loadSchema,
  useSchema,
  type Placement,
  type Straps,
} from '../plan/schema/placement'
export { FORMAT_VERSION } from '../plan/schema/lifts'
export { type Plan } from '../plan/schema/plan'
export { type Clash, clashWords, mergeItems, mergePlans, placeWords } from '../history/merge'
export { liftTrail, type Trail } from '../history/lift-past'
export { MOST_STEPS, type PastStep, pastStepSchema } from '../history/past-step'
export { thinned } from '../history/thin-past'
export { type Patch, patchBetween, patched, patchSchema } from '../history/patch'
export { planSchema } from '../plan/schema/plan-schema'
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
} from '../plan/schema/rack'
export { typedOver } from '../plan/schema/provenance'
export type { Mass, Rated, Rating, Source } from '../plan/schema/rating'
export { bar, type Figures, gear, onBars, part, ratings, type Terms } from '../plan/starting/templates'
export { type Attachment, pointsOf, type Vehicle, vehicleSchema } from '../plan/schema/vehicle'
export { clearanceEdits } from '../edits/clearances'
export { type StartedAt, moveBy } from '../edits/move'
export { snapsFor, snapTo } from '../edits/snap'
export { roomOn, startingGear } from '../plan/starting/starting-gear'
