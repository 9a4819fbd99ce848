import './no-eval'
import * as z from 'zod'

/**
 * The numbers a plan is made of. Every field's name ends in its unit (Mm, Kg, Nm, Deg, KmH), and these bounds
 * are far outside any vehicle: they only keep rubbish and overflow out.
 */
export const positionMm = z.number().min(-30_000).max(30_000)
export const sizeMm = z.number().min(0).max(30_000)
export const spanMm = z.number().positive().max(30_000)
export const massKg = z.number().min(0).max(20_000)
/** A figure of 0 is a figure: nothing is allowed there. */
export const limitKg = z.number().min(0).max(20_000)
export const speedKmH = z.number().min(0).max(300)
export const money = z.number().min(0).max(1_000_000)

export const idSchema = z
  .string()
  .min(1)
  .max(80)
  .regex(/^[A-Za-z0-9][A-Za-z0-9._:-]*$/, 'An id is letters, digits, dots, dashes, colons or underscores.')
export const nameSchema = z.string().trim().min(1, 'Give it a name.').max(120)
export const noteSchema = z.string().max(4000)

/** A day as a fitter writes it on the sheet. */
export const daySchema = z.iso.date()

/** What was typed, by field: shown again as long as the value is unchanged, so that nothing drifts. */
export const typedSchema = z.record(z.string().max(60), z.string().max(60))

export const STATES = ['road', 'trail', 'parked'] as const
export const stateSchema = z.enum(STATES)
export type State = z.infer<typeof stateSchema>

/** What is to be done with a rack or a thing: fit it, leave it on as it came, or take it off. Left out: it is to be fitted. */
export const statusSchema = z.enum(['toFit', 'alreadyOn', 'comesOff'])
export type Status = z.infer<typeof statusSchema>
/** What nobody said is to be fitted. */
export const toFit = ({ status }: { readonly status?: Status | undefined }): boolean =>
  (status ?? 'toFit') === 'toFit'
