import * as z from 'zod'
import {
  daySchema,
  idSchema,
  limitKg,
  massKg,
  nameSchema,
  speedKmH,
  stateSchema,
  typedSchema,
} from './scalars'

/** Where a figure was read. `told` is hearsay: shown as such. */
export const sourceSchema = z.strictObject({
  kind: z.enum(['label', 'manual', 'sheet', 'measured', 'told']),
  text: z.string().max(200).optional(),
  page: z.string().max(40).optional(),
  on: daySchema.optional(),
})
export type Source = z.infer<typeof sourceSchema>

export const GEAR_KINDS = [
  'box',
  'basket',
  'platform',
  'boat',
  'board',
  'bike',
  'skis',
  'tent',
  'awning',
  'bag',
  'can',
  'lumber',
  'ladder',
  'tool',
  'wheel',
  'person',
  'carrier',
  'other',
] as const
export const gearKindSchema = z.enum(GEAR_KINDS)
export type GearKind = z.infer<typeof gearKindSchema>

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
  typed: typedSchema.optional(),
})
export type Rating = z.infer<typeof ratingSchema>

/** A part's own ratings, possibly none yet; or the statement that its sheet rates it together with another part. */
export const ratedSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('own'), ratings: z.array(ratingSchema).max(40) }),
  z.strictObject({ by: z.literal('with'), what: nameSchema, source: sourceSchema }),
])
export type Rated = z.infer<typeof ratedSchema>

export const BASES = ['weighed', 'maker', 'told', 'guess', 'start', 'target'] as const

/**
 * A mass and how it is known: weighed here, stated by the maker, told by somebody, the customer's guess, filled in by a
 * form, or a target that a fix has set and nobody has weighed yet.
 */
export const massSchema = z.strictObject({
  kg: massKg,
  basis: z.enum(BASES),
  by: z.string().max(80).optional(),
  spreadPercent: z.number().min(0).max(100).optional(),
  typed: typedSchema.optional(),
})
export type Mass = z.infer<typeof massSchema>
export type Basis = Mass['basis']
