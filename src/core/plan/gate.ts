import * as z from 'zod'
import { idSchema, massKg, nameSchema, positionMm, sizeMm } from '../units/scalars'

/**
 * A length that must lie between two bounds, end to end named by its datum. A bound printed as a range is kept
 * whole: from `fromMm` to `softFromMm`, and from `softToMm` to `toMm`, is allowed with a warning.
 */
const lengthAsk = z
  .strictObject({
    kind: z.literal('length'),
    fromMm: sizeMm,
    toMm: sizeMm,
    softFromMm: sizeMm.optional(),
    softToMm: sizeMm.optional(),
    datum: z.string().max(120),
  })
  .refine(
    (ask) =>
      ask.fromMm <= (ask.softFromMm ?? ask.fromMm) &&
      (ask.softFromMm ?? ask.fromMm) <= (ask.softToMm ?? ask.toMm) &&
      (ask.softToMm ?? ask.toMm) <= ask.toMm,
    'The bounds must rise: from, its softer end, the softer end of to, to.',
  )

/**
 * A condition of a piece of gear or a rack, to be measured on the vehicle before ordering. `implies` says what another
 * length gate of the same thing must then read: this one's value plus a figure from one to another.
 */
export const gateSchema = z.strictObject({
  id: idSchema,
  question: nameSchema,
  ask: z.discriminatedUnion('kind', [
    lengthAsk,
    z.strictObject({ kind: z.literal('gauge'), gauge: nameSchema, must: z.enum(['go', 'noGo']) }),
    z.strictObject({ kind: z.literal('mass'), fromKg: massKg, toKg: massKg }),
  ]),
  implies: z
    .strictObject({
      gateId: idSchema,
      plusFromMm: positionMm,
      plusToMm: positionMm,
      why: z.string().max(160),
    })
    .optional(),
})
export type Gate = z.infer<typeof gateSchema>
