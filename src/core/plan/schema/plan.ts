import * as z from '../../units/schema'
import { houseRulesSchema } from './house'
import { gearSchema } from './gear'
import { asideSchema } from './aside'
import { carSchema } from './car'
import { measurementSchema } from './measurement'
import { clearanceSchema, jobSchema, placementSchema, useSchema } from './placement'
import { FORMAT_VERSION } from './lifts'
import { rackSchema } from './rack'
import { idSchema, noteSchema } from '../../units/scalars'
import { vehicleSchema } from './vehicle'

export const FORMAT = 'ypsos-plan'

/** How much of each a plan may hold. */
export const MOST = {
  racks: 12,
  gear: 500,
  placements: 1000,
  clearances: 40,
  measurements: 400,
  setAside: 200,
} as const

/** The whole of what people decided, and the file format itself. Nothing derived is stored in it. */
export const planShape = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(FORMAT_VERSION),
  id: idSchema,
  job: jobSchema,
  car: carSchema,
  vehicle: vehicleSchema,
  racks: z.array(rackSchema).check(z.maxLength(MOST.racks)),
  gear: z.array(gearSchema).check(z.maxLength(MOST.gear)),
  placements: z.array(placementSchema).check(z.maxLength(MOST.placements)),
  use: useSchema,
  clearances: z.array(clearanceSchema).check(z.maxLength(MOST.clearances)),
  measurements: z.array(measurementSchema).check(z.maxLength(MOST.measurements)),
  rules: houseRulesSchema,
  setAside: z.optional(z.array(asideSchema).check(z.maxLength(MOST.setAside))),
  note: z.optional(noteSchema),
})
export type Plan = z.infer<typeof planShape>
