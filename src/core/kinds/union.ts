import * as z from 'zod'
import { kindsOf } from './kind'

type Shapes = Readonly<Record<string, { readonly shape: z.ZodRawShape }>>
type OptionOf<R extends Shapes, Common extends Readonly<Record<keyof R, z.ZodRawShape>>> = {
  [K in keyof R & string]: z.ZodObject<{ kind: z.ZodLiteral<K> } & Common[K] & R[K]['shape'], z.core.$strict>
}[keyof R & string]

/**
 * The schema of a vocabulary whose kinds have fields of their own: each told by its `kind`, with what all have or what it
 * shares with some, and its own piece of schema.
 */
export function unionOf<R extends Shapes, Common extends Readonly<Record<keyof R, z.ZodRawShape>>>(
  record: R,
  common: (kind: keyof R & string) => z.ZodRawShape,
): z.ZodDiscriminatedUnion<OptionOf<R, Common>[], 'kind'> {
  const options = kindsOf(record).map((kind) =>
    z.strictObject({ kind: z.literal(kind), ...common(kind), ...record[kind]?.shape }),
  )
  return z.discriminatedUnion('kind', options as unknown as [OptionOf<R, Common>, ...OptionOf<R, Common>[]])
}
