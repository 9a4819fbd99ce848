import { type PastStep, pastStepSchema } from '@/core'
import * as z from '@/core/units/schema'
import { historyShelf } from './shelves'
import { allOn, type Going } from './transaction'

/** The past of a job: the steps that lead back from the writing of this number, oldest first. */
const historySchema = z.object({
  revision: z.int().check(z.gte(0)),
  steps: z.array(pastStepSchema),
})

export const historyIn = (going: Going, id: string, revision: number, steps: readonly PastStep[]): void =>
  going.put('history', id, { revision, steps })

/** The steps that lead back from the writing of a number, as they lie; none where it was written without them. */
function stepsFrom(raw: unknown, revision: number): readonly PastStep[] {
  const read = historySchema.safeParse(raw)
  return read.success && read.data.revision === revision ? read.data.steps : []
}

/** The steps that lead back from a writing of a job. */
export async function loadHistory(id: string, revision: number): Promise<readonly PastStep[]> {
  try {
    return stepsFrom(await historyShelf.getItem(id), revision)
  } catch {
    return []
  }
}

/** The same, for whoever is writing. */
export const stepsIn = async (going: Going, id: string, revision: number): Promise<readonly PastStep[]> =>
  stepsFrom(await going.get('history', id), revision)

/** The steps that lead back from every job as it is kept now, by its id. */
export async function loadPasts(): Promise<Readonly<Record<string, readonly PastStep[]>>> {
  const [revisions, histories] = await Promise.all([allOn('revisions'), allOn('history')])
  return Object.fromEntries(
    [...histories].flatMap(([id, raw]) => {
      const steps = stepsFrom(raw, Number(revisions.get(`plans/${id}`)))
      return steps.length > 0 ? [[id, steps] as const] : []
    }),
  )
}
