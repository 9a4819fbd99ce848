import { planSchema } from '../plan/schema/plan-schema'
import { fieldMessages, type FieldMessage } from '../plan/schema/messages'
import { type Plan } from '../plan/schema/plan'
import { tooDeep } from './opened'
import { liftToPresent } from '../plan/versions/versions'

type ReadPlan =
  | { readonly ok: true; readonly plan: Plan }
  | { readonly ok: false; readonly problems: readonly FieldMessage[] }

/** Reads an already decoded plan of any known version. Fails with every field that is wrong and its fix. */
export function readPlan(raw: unknown): ReadPlan {
  const deep = tooDeep(raw, 'plan')
  if (deep) return { ok: false, problems: [deep] }
  const lifted = liftToPresent(raw)
  if (!lifted.ok) return { ok: false, problems: [{ path: lifted.path, text: lifted.reason }] }
  const parsed = planSchema.safeParse(lifted.raw)
  return parsed.success
    ? { ok: true, plan: parsed.data }
    : { ok: false, problems: fieldMessages(parsed.error) }
}

/** Reads the text of a plan file. */
export function parsePlanText(text: string): ReadPlan {
  let raw: unknown
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (error) {
    const detail = error instanceof Error ? error.message.replace(/\s+/g, ' ') : 'it cannot be read'
    return { ok: false, problems: [{ path: 'plan', text: `plan is not JSON: ${detail}.` }] }
  }
  return readPlan(raw)
}

/** The text of a plan file. */
export function printPlan(plan: Plan): string {
  return `${JSON.stringify(plan, null, 2)}\n`
}

/** A file name for a plan: `harbour-estate.ypsos.json`. */
export function planFileName(plan: Plan): string {
  const stem = plan.job.name
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
  return `${stem === '' ? 'plan' : stem.slice(0, 60)}.ypsos.json`
}
