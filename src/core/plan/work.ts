import * as z from 'zod'
import { idSchema, money, nameSchema } from '../units/scalars'

/** The stages of fitting, in order; the first two go on side by side. */
export const STAGES = ['bench', 'vehicle', 'start', 'place', 'torque', 'trim', 'prove'] as const
const stageSchema = z.enum(STAGES)
export type Stage = z.infer<typeof stageSchema>

const minutesSchema = z
  .strictObject({ from: z.number().min(0).max(2000), to: z.number().min(0).max(2000) })
  .refine(({ from, to }) => from <= to, 'The range ends before it begins.')
export type Minutes = z.infer<typeof minutesSchema>

/**
 * A step that a part's sheet asks for. `after` names steps of this part, or of another as `part-id/step-id`.
 * `decidesSpread`: the bars cannot be placed before it is done.
 */
const workStepSchema = z.strictObject({
  id: idSchema,
  stage: stageSchema,
  title: nameSchema,
  detail: z.string().max(400).optional(),
  after: z.array(z.string().max(170)).max(20).optional(),
  times: z.enum(['once', 'side', 'bar']).optional(),
  minutes: minutesSchema.optional(),
  waitMinutes: z.number().min(0).max(20_000).optional(),
  hands: z.union([z.literal(1), z.literal(2)]).optional(),
  tools: z.array(nameSchema).max(12).optional(),
  decidesSpread: z.boolean().optional(),
  /** Something put in for a while, and taken out again when the rack is trimmed. */
  temporary: z.strictObject({ what: nameSchema }).optional(),
})
export type WorkStep = z.infer<typeof workStepSchema>

const countedSchema = z.strictObject({
  what: nameSchema,
  count: z.number().int().min(1).max(400),
  price: money.optional(),
})

/** What fitting a part takes, as its sheet says; all of it may be unsaid. */
export const workSchema = z.strictObject({
  have: z.boolean().optional(),
  /** What its box holds besides the part, what it does not hold though the part needs it, and what is not used here. */
  box: z
    .strictObject({
      holds: z.array(countedSchema).max(40).optional(),
      lacks: z.array(countedSchema).max(40).optional(),
      unused: z.array(countedSchema).max(40).optional(),
    })
    .optional(),
  consumables: z.array(countedSchema).max(20).optional(),
  /** Marked parts go to the corner they are marked for; the others may go either side. */
  sides: z.enum(['marked', 'either']).optional(),
  arrows: z
    .array(z.strictObject({ on: nameSchema, toward: z.enum(['front', 'outward', 'mark']) }))
    .max(12)
    .optional(),
  keys: z
    .strictObject({ cores: z.number().int().min(1).max(64), codes: z.array(z.string().max(20)).max(64) })
    .optional(),
  season: z
    .strictObject({ fromMonth: z.number().int().min(1).max(12), toMonth: z.number().int().min(1).max(12) })
    .optional(),
  steps: z.array(workStepSchema).max(40).optional(),
})
export type Work = z.infer<typeof workSchema>
