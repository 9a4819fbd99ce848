import * as z from '../units/schema'
import { fieldMessages, type FieldMessage } from '../plan/schema/messages'
import { partSchema, type Part } from '../plan/schema/rack'

const partsSchema = z.array(partSchema).check(z.maxLength(2000))

type ReadParts =
  | { readonly ok: true; readonly parts: readonly Part[] }
  | { readonly ok: false; readonly problems: readonly FieldMessage[] }

/** Reads a JSON list of parts on the shelf. Fails with every field that is wrong and its fix. */
export function parsePartsText(text: string): ReadParts {
  let raw: unknown
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return { ok: false, problems: [{ path: 'parts', text: 'parts is not JSON.' }] }
  }
  const read = partsSchema.safeParse(raw)
  return read.success ? { ok: true, parts: read.data } : { ok: false, problems: fieldMessages(read.error) }
}
