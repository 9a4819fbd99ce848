import * as z from '../units/schema'

/** A schema without the wrapping that says it may be left out. */
export function bare(schema: z.core.$ZodType): z.core.$ZodType {
  return schema instanceof z.ZodMiniOptional ? bare(schema.def.innerType) : schema
}

export const mayBeLeftOut = (schema: z.core.$ZodType): boolean => schema instanceof z.ZodMiniOptional

/** The schema of one field of a group, or of one kind of a union. */
export function schemaAt(schema: z.core.$ZodType, key: string): z.core.$ZodType | undefined {
  const inner = bare(schema)
  return inner instanceof z.ZodMiniObject ? (inner.shape as Record<string, z.core.$ZodType>)[key] : undefined
}

/** The schema of one kind of a union told by a field. */
export function kindOf(schema: z.core.$ZodType, by: string, kind: string): z.core.$ZodType | undefined {
  const inner = bare(schema)
  // Kinds that differ by what a form asks of them, and not by what is kept.
  if (inner instanceof z.ZodMiniObject) {
    const kinds = schemaAt(inner, by)
    return kinds instanceof z.ZodMiniEnum && kinds.options.includes(kind) ? inner : undefined
  }
  if (!(inner instanceof z.ZodMiniDiscriminatedUnion)) return undefined
  return inner.def.options.find((option) => {
    const discriminator = schemaAt(option, by)
    return discriminator instanceof z.ZodMiniLiteral && discriminator.def.values.includes(kind)
  })
}

/** The schema of the entries of a list. */
export function elementOf(schema: z.core.$ZodType): z.core.$ZodType | undefined {
  const inner = bare(schema)
  return inner instanceof z.ZodMiniArray ? inner.def.element : undefined
}
