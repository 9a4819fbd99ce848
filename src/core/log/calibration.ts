import * as z from '../units/schema'
import { daySchema } from '../units/scalars'

/** Until when a tool is calibrated, and whether that held when it was read: said then, as no clock is asked later. */
export const calibration = z.strictObject({ until: daySchema, held: z.boolean() })
export type Calibration = z.infer<typeof calibration>
