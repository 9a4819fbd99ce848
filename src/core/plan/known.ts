import * as z from 'zod'
import { HOWS, type How } from '../kinds/how-known'
import { kindsOf } from '../kinds/kind'

const howSchema = z.enum(kindsOf(HOWS))

/** Beside an object's numbers: how each is known, by the name of its field. What is not listed was typed by somebody. */
export const knownSchema = z.record(z.string().max(60), z.strictObject({ by: howSchema }))
export type Known = z.infer<typeof knownSchema>

/** The marks of an object less those of some fields; nothing where none is left. */
export function knownWithout(known: Known | undefined, fields: readonly string[]): Known | undefined {
  const left = Object.entries(known ?? {}).filter(([field]) => !fields.includes(field))
  return left.length > 0 ? Object.fromEntries(left) : undefined
}

/** How a field of a thing is known, where somebody or a form has said it. */
export const howKnown = (thing: { readonly known?: Known | undefined }, field: string): How | undefined =>
  thing.known?.[field]?.by

/** Whether a field still holds what a form filled in. */
export const isStart = (thing: { readonly known?: Known | undefined }, field: string): boolean =>
  howKnown(thing, field) === 'start'

/** Whether a length is nothing that anybody measured or read: a form filled it in, or somebody guessed it. */
export function isUnsure(thing: { readonly known?: Known | undefined }, field: string): boolean {
  const by = howKnown(thing, field)
  return by !== undefined && 'unsure' in HOWS[by]
}
