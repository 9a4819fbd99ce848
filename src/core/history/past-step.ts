import * as z from '../units/schema'
import { type Patch, patched, patchSchema } from './patch'
import type { Plan } from '../plan/schema/plan'

/** How to go back one step, and when and by whom that step was made. */
export interface PastStep {
  readonly at: string
  readonly by?: string | undefined
  readonly back: Patch
}

export const pastStepSchema = z.object({
  at: z.iso.datetime(),
  by: z.optional(z.string().check(z.maxLength(80))),
  back: patchSchema,
})

/** So many of its latest steps travel with a job. */
export const MOST_STEPS = 500

/** The states that a plan's steps lead back through, oldest first, the plan itself last. */
export function statesAlong(plan: Plan, steps: readonly PastStep[]): readonly Plan[] {
  const states = [plan]
  for (const { back } of steps.toReversed()) states.push(patched(states.at(-1), back) as Plan)
  return states.toReversed()
}
