import * as z from '../units/schema'
import { clearanceSchema, type Clearance } from '../plan/schema/placement'
import { MOST } from '../plan/schema/plan'
import { group, ID, length, list, MARKS, text, type FieldsOf } from './field'

/** The doors and garages of a plan as one sheet. */
export const clearancesSchema = z.strictObject({
  clearances: z.array(clearanceSchema).check(z.maxLength(MOST.clearances)),
})

export const CLEARANCE_FIELDS = {
  id: ID,
  name: text('Name', 'The lowest one that the vehicle passes every day comes first'),
  heightMm: length('Height'),
  typed: MARKS,
} satisfies FieldsOf<Clearance>

export const CLEARANCES_FIELD = group('Doors and garages', {
  clearances: list('To pass', 'a door or garage', group('', CLEARANCE_FIELDS), {
    start: (id) => ({ id, name: 'Garage' }),
  }),
})
