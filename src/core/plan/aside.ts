import * as z from 'zod'
import { daySchema } from '../units/scalars'

/**
 * A question that a named person has set aside for this job, with a reason. `said` is what it said then: once it says
 * something else the fact has changed, and it is asked again.
 */
export const asideSchema = z.strictObject({
  findingId: z.string().min(1).max(400),
  said: z.string().min(1).max(2000),
  by: z.string().trim().min(1, 'Say who sets it aside.').max(80),
  reason: z.string().trim().min(1, 'Say why.').max(1000),
  on: daySchema,
})
export type Aside = z.infer<typeof asideSchema>
