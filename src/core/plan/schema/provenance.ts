import * as z from '../../units/schema'
import { PROVENANCES, type Provenance } from '../../kinds/provenance'
import { kindsOf } from '../../kinds/kind'

const howSchema = z.enum(kindsOf(PROVENANCES))

/** Another figure that somebody has for the same field, in its unit; `unused` says why it does not count. */
const otherFigureSchema = z.strictObject({
  value: z.number().check(z.gte(-1e9), z.lte(1e9)),
  by: howSchema,
  says: z.optional(z.string().check(z.maxLength(80))),
  unused: z.optional(z.string().check(z.maxLength(200))),
  typed: z.optional(z.string().check(z.maxLength(60))),
})
export type OtherFigure = z.infer<typeof otherFigureSchema>

const MOST_OTHERS = 8

/** Beside an object's numbers: how each is known, by the name of its field, and what else is said of it. What is not listed was typed by somebody. */
export const provenanceSchema = z.record(
  z.string().check(z.maxLength(60)),
  z.strictObject({
    by: howSchema,
    others: z.optional(z.array(otherFigureSchema).check(z.maxLength(MOST_OTHERS))),
  }),
)
export type ProvenanceByField = z.infer<typeof provenanceSchema>

/** The marks of an object less those of some fields; nothing where none is left. */
export function provenanceWithout(
  known: ProvenanceByField | undefined,
  fields: readonly string[],
): ProvenanceByField | undefined {
  const left = Object.entries(known ?? {}).filter(([field]) => !fields.includes(field))
  return left.length > 0 ? Object.fromEntries(left) : undefined
}

/** The marks of an object of which one field was typed again: it is what somebody told; what others say of it stays. */
export function typedOver(
  known: ProvenanceByField | undefined,
  field: string,
): ProvenanceByField | undefined {
  const others = known?.[field]?.others
  return others ? { ...known, [field]: { by: 'told', others } } : provenanceWithout(known, [field])
}

/** How a field of a thing is known, where somebody or a form has said it. */
export const provenanceOf = (
  thing: { readonly known?: ProvenanceByField | undefined },
  field: string,
): Provenance | undefined => thing.known?.[field]?.by

/** Whether a field still holds what a form filled in. */
export const isStart = (thing: { readonly known?: ProvenanceByField | undefined }, field: string): boolean =>
  provenanceOf(thing, field) === 'start'

/** What has a number in a field, and beside it how that is known and how it was typed. */
interface Figured {
  readonly known?: ProvenanceByField | undefined
  readonly typed?: Readonly<Record<string, string>> | undefined
}

/**
 * The marks of an object of which one field is read from a text: what somebody had there and is another figure stays
 * beside it, open until somebody says which holds. What only a form filled in is gone. `typed` goes with its figure.
 */
export function readOver<T extends Figured>(thing: T, field: string, value: number, by: Provenance): T {
  const { [field]: typedBefore, ...typed } = thing.typed ?? {}
  const before = (thing as Readonly<Record<string, unknown>>)[field]
  const was = thing.known?.[field]
  const stood = typeof before === 'number' && before !== value && was?.by !== 'start'
  const others: OtherFigure[] = [
    ...(was?.others ?? []).filter((other) => other.value !== value),
    ...(stood
      ? [
          {
            value: before,
            by: was?.by ?? 'told',
            ...(typedBefore !== undefined && { typed: typedBefore }),
          } as const,
        ]
      : []),
  ].slice(-MOST_OTHERS)
  return {
    ...thing,
    [field]: value,
    known: { ...thing.known, [field]: { by, ...(others.length > 0 && { others }) } },
    ...(thing.typed && { typed }),
  }
}
