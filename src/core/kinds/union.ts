import * as z from '../units/schema'
import { kindsOf } from './kind'

type Shapes = Readonly<Record<string, { readonly shape: z.core.$ZodShape }>>
type Commons<R> = Readonly<Record<keyof R, z.core.$ZodShape>>
type OptionOf<By extends string, R extends Shapes, Common extends Commons<R>> = {
  [K in keyof R & string]: z.ZodMiniObject<
    { [B in By]: z.ZodMiniLiteral<K> } & Common[K] & R[K]['shape'],
    z.core.$strict
  >
}[keyof R & string]

/**
 * The schema of a vocabulary whose kinds have fields of their own: each told by one field, with what it shares with
 * others and its own piece of schema.
 */
export function unionOf<By extends string, R extends Shapes, Common extends Commons<R>>(
  by: By,
  record: R,
  common: (kind: keyof R & string) => z.core.$ZodShape,
): z.ZodMiniDiscriminatedUnion<OptionOf<By, R, Common>[], By> {
  type Option = OptionOf<By, R, Common>
  const options = kindsOf(record).map((kind) =>
    z.strictObject({ [by]: z.literal(kind), ...common(kind), ...record[kind]?.shape }),
  )
  return z.discriminatedUnion(by, options as unknown as [Option, ...Option[]])
}

/** For vocabularies whose kinds share no field. */
export const NOTHING_SHARED = {}
