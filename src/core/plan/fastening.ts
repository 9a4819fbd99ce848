import * as z from 'zod'
import { sourceSchema } from './rating'
import { nameSchema, sizeMm } from '../units/scalars'

/** Property classes of bolts and screws that the tables know. */
export const GRADES = ['8.8', '10.9', 'A2-70', 'A4-80'] as const
const gradeSchema = z.enum(GRADES)
export type Grade = z.infer<typeof gradeSchema>

export const CONDITIONS = ['dry', 'oiled', 'antiSeize'] as const
const conditionSchema = z.enum(CONDITIONS)
export type Condition = z.infer<typeof conditionSchema>

/** How a fitter knows that a joint is done, besides or instead of a figure. */
const signSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('reading') }),
  z.strictObject({ kind: z.literal('clicks'), count: z.number().int().min(1).max(20) }),
  z.strictObject({ kind: z.literal('handle') }),
  z.strictObject({ kind: z.literal('notch') }),
  z.strictObject({ kind: z.literal('washerClosed'), moreTurns: z.number().min(0).max(3) }),
  z.strictObject({ kind: z.literal('threads'), showing: z.number().int().min(0).max(20) }),
])
export type Sign = z.infer<typeof signSchema>

/** Where a torque was read: on this part's own papers, or carried over from another rack, which never counts. */
const torqueSourceSchema = z.union([
  sourceSchema,
  z.strictObject({ kind: z.literal('otherRack'), rack: nameSchema }),
])

const washerSchema = z.enum(['flat', 'lock', 'spring', 'rubber', 'cup'])

/** A fastener as the sheet gives it, so many in all for the part; what the sheet leaves out is left out. */
export const fastenerSchema = z.strictObject({
  name: nameSchema.optional(),
  thread: z.string().max(20),
  count: z.number().int().min(1).max(400),
  torqueNm: z
    .strictObject({ from: z.number().positive(), to: z.number().positive() })
    .refine(({ from, to }) => from <= to, 'The range ends before it begins.')
    .optional(),
  torqueFrom: torqueSourceSchema.optional(),
  /** What the part it closes on bears at most, whatever the bolt could. */
  atMostNm: z.number().positive().optional(),
  lengthMm: sizeMm.optional(),
  grade: gradeSchema.optional(),
  condition: conditionSchema.optional(),
  signs: z.array(signSchema).max(3).optional(),
  startTurns: z.number().min(0).max(30).optional(),
  /** From the head down, on each. */
  washers: z.array(washerSchema).max(6).optional(),
  nut: z.enum(['none', 'plain', 'lock', 'channel']).optional(),
  security: z.enum(['threadlocker', 'lockWasher', 'none']).optional(),
  tool: nameSchema.optional(),
  handOnly: z.boolean().optional(),
  /** Used once and then renewed. */
  singleUse: z.boolean().optional(),
  /** The passes its sheet asks for, percent of the figure; the house's where it asks for none. */
  passesPercent: z.array(z.number().min(1).max(100)).min(1).max(5).optional(),
  note: z.string().max(200).optional(),
})
export type Fastener = z.infer<typeof fastenerSchema>
