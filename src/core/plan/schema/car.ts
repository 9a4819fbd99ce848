import * as z from '../../units/schema'
import { idSchema } from '../../units/scalars'

/**
 * Whose car it is: this very one, and no other of its kind. Its log, dates and missing parts depend on `id`. `stockId`
 * is the entry it was taken from. `shared` marks a car whose id was its stock entry's before cars had ids of their own:
 * until a person says whose it is, another job may have the same.
 */
export const carSchema = z.strictObject({
  id: idSchema,
  plate: z.optional(z.string().check(z.trim(), z.minLength(1), z.maxLength(40))),
  number: z.optional(z.string().check(z.trim(), z.minLength(1), z.maxLength(40))),
  stockId: z.optional(idSchema),
  shared: z.optional(z.literal(true)),
})
export type Car = z.infer<typeof carSchema>

/** A plate or a number as people compare it: case, blanks and dashes make no difference. */
const plain = (text: string) => text.toUpperCase().replace(/[\s\-_.]/g, '')

/** Whether two cars are one by the plate or by the shop's number. Not given is never the same. */
export function sameCar(a: Pick<Car, 'plate' | 'number'>, b: Pick<Car, 'plate' | 'number'>): boolean {
  const same = (x: string | undefined, y: string | undefined) =>
    x !== undefined && y !== undefined && plain(x) !== '' && plain(x) === plain(y)
  return same(a.plate, b.plate) || same(a.number, b.number)
}
