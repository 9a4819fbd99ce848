import { attachmentKindSchema } from '../../kinds/attachment'
import { SCHOOLS } from '../../kinds/fitting-ways'
import { kindsOf } from '../../kinds/kind'
import * as z from '../../units/schema'
import { nameSchema } from '../../units/scalars'
import { minutesSchema } from './minutes'

const schools = {
  build: z.optional(z.enum(kindsOf(SCHOOLS.build.ways))),
  squaring: z.optional(z.enum(kindsOf(SCHOOLS.squaring.ways))),
  strips: z.optional(z.enum(kindsOf(SCHOOLS.strips.ways))),
}

/** What is chosen for one rack; what is left out is as the house has it, or as is usual for what it stands on. */
export const fittingSchoolsSchema = z.strictObject(schools)
export type FittingSchools = z.infer<typeof fittingSchoolsSchema>

/** A step by its key: the end of its id, which is alike for every rack. */
const stepKeySchema = z.string().check(z.minLength(1), z.maxLength(120))

/** One of the app's own steps as the house has it, on every attachment or on one kind. */
const stepChangeSchema = z.strictObject({
  step: stepKeySchema,
  attachment: z.optional(attachmentKindSchema),
  title: z.optional(nameSchema),
  detail: z.optional(z.string().check(z.minLength(1), z.maxLength(400))),
  minutes: z.optional(minutesSchema),
  after: z.optional(z.array(stepKeySchema).check(z.maxLength(10))),
  leftOut: z.optional(z.boolean()),
})
export type StepChange = z.infer<typeof stepChangeSchema>

/** How the house goes about fitting, where that is not as usual. */
export const houseFittingSchema = z.strictObject({
  ...schools,
  steps: z.optional(z.array(stepChangeSchema).check(z.maxLength(60))),
})
export type HouseFitting = z.infer<typeof houseFittingSchema>

/** How long a step of this job takes, by its id. */
export const stepMinutesSchema = z.strictObject({
  step: z.string().check(z.minLength(1), z.maxLength(300)),
  minutes: minutesSchema,
})
export type StepMinutes = z.infer<typeof stepMinutesSchema>
