import * as z from './schema'

/**
 * The numbers a plan is made of. Every field's name ends in its unit (Mm, Kg, Nm, Deg, KmH), and these bounds
 * are far outside any vehicle: they only keep rubbish and overflow out.
 */
/** What is nearer to nought than anything is measured is a slip, and what is divided by it is no figure. */
const measured = z.refine<number>(
  (value) => value === 0 || Math.abs(value) >= 1e-6,
  'This is almost zero. Enter 0, or the measured value.',
)
export const positionMm = z.number().check(z.gte(-30_000), z.lte(30_000), measured)
export const sizeMm = z.number().check(z.gte(0), z.lte(30_000), measured)
export const spanMm = z.number().check(z.gte(0.1), z.lte(30_000))
/** What other figures are divided by: a bar's section, a track. */
export const wideMm = z.number().check(z.gte(1), z.lte(30_000))
export const massKg = z.number().check(z.gte(0), z.lte(20_000), measured)
/** A figure of 0 is a figure: nothing is allowed there. */
export const limitKg = z.number().check(z.gte(0), z.lte(20_000), measured)
export const speedKmH = z.number().check(z.gte(0), z.lte(300), measured)
export const money = z.number().check(z.gte(0), z.lte(1_000_000))

export const idSchema = z
  .string()
  .check(
    z.minLength(1),
    z.maxLength(80),
    z.regex(
      /^[A-Za-z0-9][A-Za-z0-9._:-]*$/,
      'An id is letters, digits, dots, dashes, colons or underscores.',
    ),
  )
export const nameSchema = z.string().check(z.trim(), z.minLength(1, 'Give it a name.'), z.maxLength(120))
export const noteSchema = z.string().check(z.maxLength(4000))

/** A day as a fitter writes it on the sheet. */
export const daySchema = z.iso.date()

/** What was typed, by field: shown again as long as the value is unchanged, so that nothing drifts. */
export const typedSchema = z.record(z.string().check(z.maxLength(60)), z.string().check(z.maxLength(60)))

export const STATES = ['road', 'trail', 'parked'] as const
export const stateSchema = z.enum(STATES)
export type State = z.infer<typeof stateSchema>

/** What is to be done with a rack or a thing: fit it, leave it on as it came, or take it off. Left out: it is to be fitted. */
export const statusSchema = z.enum(['toFit', 'alreadyOn', 'comesOff'])
export type Status = z.infer<typeof statusSchema>
/** What nobody said is to be fitted. */
export const toFit = ({ status }: { readonly status?: Status | undefined }): boolean =>
  (status ?? 'toFit') === 'toFit'
