import { type PastStep, patchBetween, patched, type Plan, planSchema, thinned } from '@/core'
import { useSettings } from './settings-store'

interface Known {
  readonly before: Plan
  readonly step: PastStep
}

/** How each plan leads back to the one before it, once it was worked out or read. */
const known = new WeakMap<Plan, Known>()

/** The step from one state to the next was made elsewhere, at a time and by somebody. */
export function signedElsewhere(before: Plan, now: Plan, { at, by }: Pick<PastStep, 'at' | 'by'>): void {
  const back = patchBetween(now, before)
  known.set(now, { before, step: { at, ...(by === undefined ? {} : { by }), back } })
}

/** The steps that lead back from a plan through its past, oldest first, as they are kept on the shelf. */
export const stepsKept = (past: readonly Plan[], plan: Plan): readonly PastStep[] =>
  thinned(stepsBack(past, plan), [...past, plan], new Date().toISOString())

/** The steps that lead back from a plan through its past, oldest first. */
export function stepsBack(past: readonly Plan[], plan: Plan): readonly PastStep[] {
  const all = [...past, plan]
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
