import type * as z from '../units/schema'
import type { Source } from '../plan/schema/rating'
import type { UnitSystem } from '../units/dimension'
import type { Draft } from './draft'
import type { Group, Variants } from './field'
import { readDraft } from './read-draft'
import type { DraftResult } from './reading'

/** Reads a form that gives a whole thing, whatever is wrong in it; a test fails where it gives none. */
export function readWhole<T>(
  field: Group | Variants,
  schema: z.ZodMiniType<T>,
  draft: Draft,
  was: unknown,
  system: UnitSystem,
  from?: Source['kind'],
): Omit<DraftResult<T>, 'value'> & { readonly value: T } {
  const { value, ...rest } = readDraft(field, schema, draft, was, system, from)
  if (value === undefined) throw new Error(`nothing whole was read: ${JSON.stringify(rest.problems)}`)
  return { value, ...rest }
}
