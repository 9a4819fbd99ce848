import type { Aside } from '../plan/schema/aside'
import type { Car } from '../plan/schema/car'
import type { Plan } from '../plan/schema/plan'
import { CLEARANCE_FIELDS } from './clearance-fields'
import { day, group, hiddenField, ID, list, note, text, type FieldsOf } from './field'
import { GEAR_FIELD } from './gear-fields'
import { HOUSE_RULES_FIELD } from './house-fields'
import { JOB_FIELD } from './job-fields'
import { MEASUREMENT_FIELD } from './measurement-fields'
import { PLACEMENT_FIELDS } from './placement-fields'
import { RACK_FIELD } from './rack-fields'
import { USE_FIELD } from './use-fields'
import { VEHICLE_FIELD } from './vehicle-fields'

/** Whose car it is. */
export const CAR_FIELD = group('Car', {
  id: ID,
  plate: text('Plate'),
  number: text('The shop’s number for the car'),
  stockId: hiddenField('It is the entry that the car was taken from.'),
  shared: hiddenField('An old file says it, until a person says whose car it is.'),
} satisfies FieldsOf<Car>)

/** A question set aside: who does it, and why. */
export const ASIDE_FIELDS = {
  findingId: hiddenField('It is the question that is set aside.'),
  said: hiddenField('It is what the question said then.'),
  by: text('Who sets it aside'),
  reason: note('Why'),
  on: day('Set aside on'),
} satisfies FieldsOf<Aside>

const OF_THE_FILE = hiddenField('It is the file’s own.')

/** Everything that a person may say of a job: no place in a plan is without a field, or without a reason for it. */
export const PLAN_FIELD = group('Plan', {
  format: OF_THE_FILE,
  version: OF_THE_FILE,
  id: ID,
  job: JOB_FIELD,
  car: CAR_FIELD,
  vehicle: VEHICLE_FIELD,
  racks: list('Racks', 'a rack', RACK_FIELD),
  gear: list('Gear', 'a piece of gear', GEAR_FIELD),
  placements: list('On the racks', 'a thing', group('', PLACEMENT_FIELDS)),
  use: USE_FIELD,
  clearances: list('To pass', 'a door or garage', group('', CLEARANCE_FIELDS)),
  measurements: list('Measurements', 'a measurement', MEASUREMENT_FIELD),
  rules: HOUSE_RULES_FIELD,
  setAside: list('Set aside', 'a question', group('', ASIDE_FIELDS)),
  note: hiddenField(
    'Notes stand at the job, the vehicle, the racks and the gear; one of an older file is kept.',
  ),
} satisfies FieldsOf<Plan>)
