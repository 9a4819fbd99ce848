import * as z from 'zod'
import { basisSchema } from '../kinds/basis'
import { READ_FROM } from '../kinds/how-known'
import { gearKindSchema } from '../kinds/gear-kind'
import {
  daySchema,
  idSchema,
  limitKg,
  massKg,
  nameSchema,
  speedKmH,
  stateSchema,
  typedSchema,
} from '../units/scalars'

/** Where a figure was read. `told` is hearsay: shown as such. */
export const sourceSchema = z.strictObject({
  kind: z.enum(READ_FROM),
  text: z.string().max(200).optional(),
  page: z.string().max(40).optional(),
  on: daySchema.optional(),
})
export type Source = z.infer<typeof sourceSchema>

/**
 * A rating: so many kg, in one state, for the set or for each of it. `counts` says what the figure includes:
 * only what stands on the part, or the part and what is between as well; left out when the source is silent.
 */
export const ratingSchema = z.strictObject({
  id: idSchema,
  state: stateSchema,
  kg: limitKg,
  per: z.enum(['set', 'each']),
  counts: z.enum(['load', 'everything']).optional(),
  gearKind: gearKindSchema.optional(),
  upToKmH: speedKmH.optional(),
  source: sourceSchema,
  /** Why it does not count though it stands somewhere: another figure for the same was taken. */
  unused: z.string().max(200).optional(),
  typed: typedSchema.optional(),
})
export type Rating = z.infer<typeof ratingSchema>

/** A part's own ratings, possibly none yet; or the statement that its sheet rates it together with another part. */
export const ratedSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('own'), ratings: z.array(ratingSchema).max(40) }),
  z.strictObject({ by: z.literal('with'), what: nameSchema, source: sourceSchema }),
])
export type Rated = z.infer<typeof ratedSchema>

/** The figures that count of those somebody found. */
export function inUse(ratings: readonly Rating[]): readonly Rating[] {
  return ratings.some(({ unused }) => unused !== undefined)
    ? ratings.filter(({ unused }) => unused === undefined)
    : ratings
}

/** A mass, and how it is known. */
export const massSchema = z.strictObject({
  kg: massKg,
  basis: basisSchema,
  by: z.string().max(80).optional(),
  spreadPercent: z.number().min(0).max(100).optional(),
  typed: typedSchema.optional(),
})
export type Mass = z.infer<typeof massSchema>
