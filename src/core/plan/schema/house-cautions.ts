import { CAUTIONS, DRIVER_MOMENTS } from '../../kinds/caution'
import { gearKindSchema } from '../../kinds/gear-kind'
import { kindsOf } from '../../kinds/kind'
import * as z from '../../units/schema'

const saySchema = z.string().check(z.trim(), z.minLength(1), z.maxLength(300))

/** A caution that the house words in its own way; none is ever left out. */
const wordedSchema = z.strictObject({ caution: z.enum(kindsOf(CAUTIONS)), say: saySchema })
export type WordedCaution = z.infer<typeof wordedSchema>

/** A caution of the house's own: on a step, or before a moment; for a kind of gear alone, where one is named. */
const ownSchema = z.strictObject({
  say: saySchema,
  step: z.optional(z.string().check(z.minLength(1), z.maxLength(120))),
  before: z.optional(z.enum(DRIVER_MOMENTS)),
  gear: z.optional(gearKindSchema),
})
export type OwnCaution = z.infer<typeof ownSchema>

/** What the house says besides the usual cautions, or in other words. */
export const houseCautionsSchema = z.strictObject({
  words: z.optional(z.array(wordedSchema).check(z.maxLength(40))),
  own: z.optional(z.array(ownSchema).check(z.maxLength(40))),
})
export type HouseCautions = z.infer<typeof houseCautionsSchema>
