import * as z from '../../units/schema'
import { basisSchema } from '../../kinds/basis'
import { READ_FROM } from '../../kinds/provenance'
import { gearKindSchema } from '../../kinds/gear-kind'
import {
  daySchema,
  idSchema,
  limitKg,
  massKg,
  nameSchema,
  speedKmH,
  stateSchema,
  typedSchema,
} from '../../units/scalars'

/** Where a figure was read. `told` is hearsay: shown as such. */
export const sourceSchema = z.strictObject({
  kind: z.enum(READ_FROM),
  text: z.optional(z.string().check(z.maxLength(200))),
  page: z.optional(z.string().check(z.maxLength(40))),
  on: z.optional(daySchema),
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
  counts: z.optional(z.enum(['load', 'everything'])),
  gearKind: z.optional(gearKindSchema),
  upToKmH: z.optional(speedKmH),
  source: sourceSchema,
  /** Why it does not count though it stands somewhere: another figure for the same was taken. */
  unused: z.optional(z.string().check(z.maxLength(200))),
  typed: z.optional(typedSchema),
})
export type Rating = z.infer<typeof ratingSchema>

/** A part's own ratings, possibly none yet; or the statement that its sheet rates it together with another part. */
export const ratedSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('own'), ratings: z.array(ratingSchema).check(z.maxLength(40)) }),
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
  by: z.optional(z.string().check(z.maxLength(80))),
  spreadPercent: z.optional(z.number().check(z.gte(0), z.lte(100))),
  typed: z.optional(typedSchema),
})
export type Mass = z.infer<typeof massSchema>
