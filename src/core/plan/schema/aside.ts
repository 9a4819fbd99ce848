import * as z from '../../units/schema'
import { daySchema } from '../../units/scalars'

/**
 * A question that a named person has set aside for this job, with a reason. `said` is what it said then: once it says
 * something else the fact has changed, and it is asked again.
 */
export const asideSchema = z.strictObject({
  findingId: z.string().check(z.minLength(1), z.maxLength(400)),
  said: z.string().check(z.minLength(1), z.maxLength(2000)),
  by: z.string().check(z.trim(), z.minLength(1, 'Enter who sets it aside.'), z.maxLength(80)),
  reason: z.string().check(z.trim(), z.minLength(1, 'Enter the reason.'), z.maxLength(1000)),
  on: daySchema,
})
export type Aside = z.infer<typeof asideSchema>
