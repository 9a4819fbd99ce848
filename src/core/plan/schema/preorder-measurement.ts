import * as z from '../../units/schema'
import { idSchema, massKg, nameSchema, positionMm, sizeMm } from '../../units/scalars'

const NO_BOUND = 'Give at least one bound: at least, at most, or both.'

/**
 * A length that must lie between two bounds, or past one of them, end to end named by its datum. A bound printed as a range is kept
 * whole: from `fromMm` to `softFromMm`, and from `softToMm` to `toMm`, is allowed with a warning.
 */
const lengthAsk = z
  .strictObject({
    kind: z.literal('length'),
    fromMm: z.optional(sizeMm),
    toMm: z.optional(sizeMm),
    softFromMm: z.optional(sizeMm),
    softToMm: z.optional(sizeMm),
    datum: z.string().check(z.maxLength(120)),
  })
  .check(
    z.refine(
      ({ fromMm = 0, toMm = Number.MAX_VALUE, softFromMm = fromMm, softToMm = toMm }) =>
        fromMm <= softFromMm && softFromMm <= softToMm && softToMm <= toMm,
      'The bounds must rise, in this order: from, its softer end, the softer end of to, to.',
    ),
    z.refine(({ fromMm, toMm }) => fromMm !== undefined || toMm !== undefined, {
      path: ['fromMm'],
      error: NO_BOUND,
    }),
  )

const massAsk = z
  .strictObject({ kind: z.literal('mass'), fromKg: z.optional(massKg), toKg: z.optional(massKg) })
  .check(
    z.refine(({ fromKg = 0, toKg = Number.MAX_VALUE }) => fromKg <= toKg, 'The range ends before it begins.'),
    z.refine(({ fromKg, toKg }) => fromKg !== undefined || toKg !== undefined, {
      path: ['fromKg'],
      error: NO_BOUND,
    }),
  )

/**
 * A condition of a piece of gear or a rack, to be measured on the vehicle before ordering. `implies` says what another
 * length gate of the same thing must then read: this one's value plus a figure from one to another.
 */
export const preorderMeasurementSchema = z.strictObject({
  id: idSchema,
  question: nameSchema,
  ask: z.discriminatedUnion('kind', [
    lengthAsk,
    z.strictObject({ kind: z.literal('gauge'), gauge: nameSchema, must: z.enum(['go', 'noGo']) }),
    massAsk,
  ]),
  implies: z.optional(
    z.strictObject({
      gateId: idSchema,
      plusFromMm: positionMm,
      plusToMm: positionMm,
      why: z.string().check(z.maxLength(160)),
    }),
  ),
})
export type PreorderMeasurement = z.infer<typeof preorderMeasurementSchema>
