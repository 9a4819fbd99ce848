/** The fields of each sheet: their words, their texts and how they are read. */
export {
  BEGUN,
  carriedOver,
  type Draft,
  type DraftOf,
  isEmpty,
  KNOWN,
  OTHERS,
  toDraft,
  withChanged,
} from '../fields/draft'
export { figuresIn, marksWithout } from '../fields/draft-marks'
export { likeTheFirst, newEntry, ofKind } from '../fields/new-entry'
export type {
  Around,
  Choices,
  Field,
  Group,
  List,
  FieldsPart,
  Several,
  Single,
  Variants,
  Wording,
} from '../fields/field'
export {
  COUNTS_CHOICES,
  FIGURE_LABELS,
  HOW_CHOICES,
  MORE_FIGURES,
  PER_CHOICES,
  SOURCE_CHOICES,
} from '../fields/figures-fields'
export { keepsSources, mayLeaveOut } from '../fields/likely'
export { fieldsByName } from '../fields/fields-by-name'
export { GEAR_FIELD } from '../fields/gear-fields'
export { STEP_MINUTES_FIELD } from '../fields/fitting-fields'
export { JOB_FIELD } from '../fields/job-fields'
export { LOAD_FIELD } from '../fields/load-fields'
export { RACK_FIELD } from '../fields/rack-fields'
export { entryTitle, problemPlaces, type ProblemPlace } from '../fields/problem-places'
export { wholeReader } from '../fields/read-draft'
export { type DraftResult, entriesOf } from '../fields/reading'
export { VEHICLE_FIELD } from '../fields/vehicle-fields'
export { nextEntries, wordsFor } from '../fields/wordings'
export { EVENT_BY_HAND_FIELD } from '../fields/event-fields'
export { GAUGE_FIELDS, LENGTH_FIELDS, TAKEN_FIELDS } from '../fields/measurement-fields'
export { ASIDE_FIELDS, CAR_FIELD } from '../fields/plan-fields'
export { HOLE_LABEL, PLACEMENT_FIELDS, STRAPS_FIELDS } from '../fields/placement-fields'
export { STATUS_FIELD } from '../fields/status-field'
export { HOUSE_RULES_FIELD, withUsualRules } from '../fields/house-fields'
export { USE_FIELD } from '../fields/use-fields'
export { CLEARANCES_FIELD, clearancesSchema } from '../fields/clearance-fields'
