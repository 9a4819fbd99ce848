import * as z from '../units/schema'
import { type LogEvent, logEventSchema } from '../log/event'
import { fieldMessages, type FieldMessage } from '../plan/messages'
import { MOST_STEPS, type PastStep, pastStepSchema, statesAlong } from '../plan/past-step'
import type { Plan } from '../plan/plan'
import { planSchema } from '../plan/plan-schema'
import { pictureSchema } from './backup'
import { unopened } from './opened'
import { readPlan } from './plan-file'

/** One job with all that belongs to it: its plan, its past, its entries in the log, its pictures. */
export interface Parcel {
  readonly madeAt: string
  readonly by?: string | undefined
  readonly plan: Plan
  readonly steps: readonly PastStep[]
  readonly events: readonly LogEvent[]
  readonly pictures: Readonly<Record<string, string>>
}

const FORMAT = 'ypsos-parcel'
const parcelSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(1),
  madeAt: z.iso.datetime(),
  by: z.optional(z.string().check(z.maxLength(80))),
  plan: z.unknown(),
  steps: z.array(pastStepSchema).check(z.maxLength(MOST_STEPS)),
  events: z.array(logEventSchema).check(z.maxLength(20_000)),
  pictures: z.record(z.string().check(z.minLength(1), z.maxLength(80)), pictureSchema),
})

type ReadParcel =
  | { readonly ok: true; readonly parcel: Parcel }
  | { readonly ok: false; readonly problems: readonly FieldMessage[] }

/** The text of a parcel file. */
export const printParcel = (parcel: Parcel): string =>
  `${JSON.stringify({ format: FORMAT, version: 1, ...parcel })}\n`

/** Whether a decoded file calls itself a parcel. */
export const isParcel = (raw: unknown): boolean =>
  typeof raw === 'object' && raw !== null && 'format' in raw && raw.format === FORMAT

/** The steps as far back as they lead through plans. */
function leading(plan: Plan, steps: readonly PastStep[]): readonly PastStep[] {
  const states = statesAlong(plan, steps)
  const odd = states.findLastIndex((state) => !planSchema.safeParse(state).success)
  return steps.slice(odd + 1)
}

/** Reads a decoded parcel; every field that is wrong is named. Steps that lead through no plan are left out, the plan stays. */
export function readParcel(raw: unknown): ReadParcel {
  const shut = unopened(raw, 'parcel', 1)
  if (shut) return { ok: false, problems: [shut] }
  const read = parcelSchema.safeParse(raw)
  if (!read.success) return { ok: false, problems: fieldMessages(read.error) }
  const { format: _, version: __, plan: rawPlan, ...rest } = read.data
  const plan = readPlan(rawPlan)
  if (!plan.ok) return plan
  return { ok: true, parcel: { ...rest, plan: plan.plan, steps: leading(plan.plan, rest.steps) } }
}
