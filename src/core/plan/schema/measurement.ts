import * as z from '../../units/schema'
import { massSchema } from './rating'
import { daySchema, idSchema, nameSchema, positionMm, typedSchema } from '../../units/scalars'

/** What was measured: a gate of some gear or rack, a fact that the plan states too, or anything worth keeping. */
const measuredSubjectSchema = z.discriminatedUnion('about', [
  z.strictObject({
    about: z.literal('gate'),
    owner: z.enum(['gear', 'rack']),
    ownerId: idSchema,
    gateId: idSchema,
  }),
  z.strictObject({ about: z.literal('underBar'), barId: idSchema }),
  z.strictObject({
    about: z.literal('spread'),
    frontBarId: idSchema,
    rearBarId: idSchema,
    side: z.enum(['left', 'right']),
  }),
  z.strictObject({ about: z.literal('other'), what: nameSchema }),
])
export type MeasuredSubject = z.infer<typeof measuredSubjectSchema>

const common = {
  id: idSchema,
  of: measuredSubjectSchema,
  by: z.optional(z.string().check(z.maxLength(80))),
  on: z.optional(daySchema),
  typed: z.optional(typedSchema),
}

/** Something measured on the vehicle, by whom and when: a length from datum to datum with every reading kept, a gauge that went in or not, or a mass. */
export const measurementSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('length'),
    ...common,
    datum: z.string().check(z.maxLength(160)),
    readingsMm: z.array(positionMm).check(z.minLength(1), z.maxLength(40)),
  }),
  z.strictObject({ kind: z.literal('gauge'), ...common, went: z.enum(['go', 'noGo']) }),
  z.strictObject({ kind: z.literal('mass'), ...common, mass: massSchema }),
])
export type Measurement = z.infer<typeof measurementSchema>

/** Mean and range of repeated readings, mm. Published: the mean is the best estimate of repeated readings (JCGM 100:2008, 4.2.1, from memory); what is too far apart is asked again. */
export function readingsSummary(readingsMm: readonly number[]): { middleMm: number; scatterMm: number } {
  const sorted = readingsMm.toSorted((a, b) => a - b)
  const sum = sorted.reduce((so, each) => so + each, 0)
  return { middleMm: sum / Math.max(1, sorted.length), scatterMm: (sorted.at(-1) ?? 0) - (sorted[0] ?? 0) }
}
