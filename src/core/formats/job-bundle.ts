import * as z from '../units/schema'
import { type LogEvent, logEventSchema } from '../log/event'
import { fieldMessages, type FieldMessage } from '../plan/schema/messages'
import { MOST_STEPS, type PastStep, pastStepSchema, statesAlong } from '../history/past-step'
import type { Plan } from '../plan/schema/plan'
import { planSchema } from '../plan/schema/plan-schema'
import { pictureSchema, sha256Schema } from './backup'
import { unopened } from './opened'
import { liftTrail } from '../history/lift-past'
import { readPlan } from './plan-file'

/** One job with all that belongs to it: its plan, its past, its entries in the log, its pictures. */
export interface JobBundle {
  readonly madeAt: string
  readonly by?: string | undefined
  readonly plan: Plan
  readonly steps: readonly PastStep[]
  readonly events: readonly LogEvent[]
  readonly pictures: Readonly<Record<string, string>>
}

const FORMAT = 'ypsos-parcel'
const VERSION = 2
const bundleShape = {
  format: z.literal(FORMAT),
  madeAt: z.iso.datetime(),
  by: z.optional(z.string().check(z.maxLength(80))),
  plan: z.unknown(),
  steps: z.array(pastStepSchema).check(z.maxLength(MOST_STEPS)),
  events: z.array(logEventSchema).check(z.maxLength(20_000)),
  pictures: z.record(z.string().check(z.minLength(1), z.maxLength(80)), pictureSchema),
}
const bundleSchema = z.discriminatedUnion('version', [
  // Parcels made before they had a check sum.
  z.strictObject({ ...bundleShape, version: z.literal(1) }),
  z.strictObject({ ...bundleShape, version: z.literal(VERSION), sha256: sha256Schema }),
])

type ReadJobBundle =
  | {
      readonly ok: true
      readonly bundle: JobBundle
      /** What its check sum is taken of, and the sum: the caller compares them. Nothing where it was made without one. */
      readonly sum: { readonly of: string; readonly sha256: string } | undefined
    }
  | { readonly ok: false; readonly problems: readonly FieldMessage[] }

const filed = (bundle: JobBundle) => ({ format: FORMAT, version: VERSION, ...bundle })

/** The text that a bundle's check sum is taken of. */
export const checkedBundle = (bundle: JobBundle): string => JSON.stringify(filed(bundle))

/** The text of a job bundle file, with the SHA-256 of its content in hexadecimal. */
export const printBundle = (bundle: JobBundle, sha256: string): string =>
  `${JSON.stringify({ ...filed(bundle), sha256 })}\n`

/** Whether a decoded file calls itself a job bundle. */
export const isBundle = (raw: unknown): boolean =>
  typeof raw === 'object' && raw !== null && 'format' in raw && raw.format === FORMAT

/** The steps as far back as they lead through plans. */
function leading(plan: Plan, steps: readonly PastStep[]): readonly PastStep[] {
  const states = statesAlong(plan, steps)
  const odd = states.findLastIndex((state) => !planSchema.safeParse(state).success)
  return steps.slice(odd + 1)
}

/** A decoded job bundle as it was before its check sum was put to it. */
function withoutSum(raw: unknown): string {
  const { sha256: _, ...rest } = raw as { readonly sha256?: unknown }
  return JSON.stringify(rest)
}

/** Reads a decoded job bundle; every field that is wrong is named. Steps that lead through no plan are left out, the plan stays. */
export function readBundle(raw: unknown): ReadJobBundle {
  const shut = unopened(raw, 'job bundle', VERSION)
  if (shut) return { ok: false, problems: [shut] }
  const read = bundleSchema.safeParse(raw)
  if (!read.success) return { ok: false, problems: fieldMessages(read.error) }
  const { madeAt, by, steps, events, pictures } = read.data
  const plan = readPlan(read.data.plan)
  if (!plan.ok) return plan
  return {
    ok: true,
    bundle: {
      madeAt,
      ...(by !== undefined && { by }),
      plan: plan.plan,
      steps: leading(plan.plan, liftTrail(read.data.plan, { steps, ahead: [] }).steps),
      events,
      pictures,
    },
    sum: 'sha256' in read.data ? { of: withoutSum(raw), sha256: read.data.sha256 } : undefined,
  }
}
