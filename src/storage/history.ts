import {
  liftTrail,
  type PastStep,
  pastStepSchema,
  type Patch,
  patchSchema,
  type Trail,
} from '@/core/api/plan'
import * as z from '@/core/units/schema'
import { allOn, type Tx } from './database'

/** The past of a job: the steps that lead back from the writing of this number, oldest first. */
const historySchema = z.object({
  revision: z.int().check(z.gte(0)),
  steps: z.array(pastStepSchema),
  /** What leads on from there to what was taken back, the nearest first. */
  ahead: z.optional(z.array(patchSchema)),
})

export const historyIn = (
  tx: Tx,
  id: string,
  revision: number,
  steps: readonly PastStep[],
  ahead: readonly Patch[] = [],
): void => tx.put('history', id, { revision, steps, ...(ahead.length > 0 && { ahead }) })

/** The trail of the writing of a number, as it lies; none where it was written without it. */
function trailFrom(raw: unknown, revision: number): Trail {
  const read = historySchema.safeParse(raw)
  return read.success && read.data.revision === revision
    ? { steps: read.data.steps, ahead: read.data.ahead ?? [] }
    : { steps: [], ahead: [] }
}

/** The trail of a writing, lifted to the present version as the plan is; `plan` is that writing as it lies. */
export const trailIn = async (tx: Tx, id: string, revision: number, plan: unknown): Promise<Trail> =>
  liftTrail(plan, trailFrom(await tx.get('history', id), revision))

/** The steps that lead back from every job as it is kept now, by its id: as they lie, like the plans they lead from. */
export async function loadPasts(): Promise<Readonly<Record<string, readonly PastStep[]>>> {
  const [revisions, histories] = await Promise.all([allOn('revisions'), allOn('history')])
  return Object.fromEntries(
    [...histories].flatMap(([id, raw]) => {
      const { steps } = trailFrom(raw, Number(revisions.get(`plans/${id}`)))
      return steps.length > 0 ? [[id, steps] as const] : []
    }),
  )
}
