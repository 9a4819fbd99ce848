import { type PastStep, pastStepSchema } from '@/core'
import * as z from '@/core/units/schema'
import { historyShelf } from './shelves'
import type { Going } from './transaction'

/** The past of a job: the steps that lead back from the writing of this number, oldest first. */
const historySchema = z.object({
  revision: z.int().check(z.gte(0)),
  steps: z.array(pastStepSchema),
})

export const historyIn = (going: Going, id: string, revision: number, steps: readonly PastStep[]): void =>
  going.put('history', id, { revision, steps })

/** The steps that lead back from a writing of a job; none where it was written without them. */
export async function loadHistory(id: string, revision: number): Promise<readonly PastStep[]> {
  try {
    const read = historySchema.safeParse(await historyShelf.getItem(id))
    return read.success && read.data.revision === revision ? read.data.steps : []
  } catch {
    return []
  }
}
