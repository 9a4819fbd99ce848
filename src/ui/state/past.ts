import { MOST_STEPS, type PastStep, patchBetween, patched, type Plan, planSchema } from '@/core'
import { useSettings } from './settings-store'

interface Known {
  readonly before: Plan
  readonly step: PastStep
}

/** How each plan leads back to the one before it, once it was worked out or read. */
const known = new WeakMap<Plan, Known>()

/** The steps that lead back from a plan through its past, oldest first: for the shelf. */
export function stepsBack(past: readonly Plan[], plan: Plan): readonly PastStep[] {
  const all = [...past.slice(-MOST_STEPS), plan]
  return all.slice(1).map((now, i) => {
    const before = all[i] ?? now
    const found = known.get(now)
    if (found?.before === before) return found.step
    const by = useSettings.getState().settings.fitter
    const step = {
      at: new Date().toISOString(),
      ...(by === '' ? {} : { by }),
      back: patchBetween(now, before),
    }
    known.set(now, { before, step })
    return step
  })
}

/** The past of a plan from its kept steps, as far as they lead to plans. */
export function pastOf(plan: Plan, steps: readonly PastStep[]): readonly Plan[] {
  const past: Plan[] = []
  let now = plan
  for (const step of steps.toReversed()) {
    const before = patched(now, step.back) as Plan
    known.set(now, { before, step })
    past.unshift(before)
    now = before
  }
  // Each was a plan when it was kept: the oldest tells whether the whole way still leads through plans of this version.
  return past[0] === undefined || planSchema.safeParse(past[0]).success ? past : []
}
