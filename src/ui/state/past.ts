import {
  type PastStep,
  type Patch,
  patchBetween,
  patched,
  type Plan,
  planSchema,
  thinned,
} from '@/core/api/plan'
import { settingsStore } from './settings-store'

interface SavedPlan {
  readonly before: Plan
  readonly step: PastStep
}

/** How each plan leads back to the one before it, once it was worked out or read. */
const cached = new WeakMap<Plan, SavedPlan>()

/** The step from one state to the next was made elsewhere, at a time and by somebody. */
function signedElsewhere(before: Plan, now: Plan, { at, by }: Pick<PastStep, 'at' | 'by'>): void {
  const back = patchBetween(now, before)
  cached.set(now, { before, step: { at, ...(by === undefined ? {} : { by }), back } })
}

/** The steps that lead back from a plan through its past, oldest first, as they are kept on the shelf. */
export const savedSteps = (past: readonly Plan[], plan: Plan): readonly PastStep[] =>
  thinned(stepsBack(past, plan), [...past, plan], new Date().toISOString())

/** The steps that lead back from a plan through its past, oldest first. */
export function stepsBack(past: readonly Plan[], plan: Plan): readonly PastStep[] {
  const all = [...past, plan]
  return all.slice(1).map((now, i) => {
    const before = all[i] ?? now
    const found = cached.get(now)
    if (found?.before === before) return found.step
    const by = settingsStore.getState().settings.fitter
    const step = {
      at: new Date().toISOString(),
      ...(by === '' ? {} : { by }),
      back: patchBetween(now, before),
    }
    cached.set(now, { before, step })
    return step
  })
}

/** The past of a plan from its kept steps, as far as they lead to plans. */
export function pastOf(plan: Plan, steps: readonly PastStep[]): readonly Plan[] {
  const past: Plan[] = []
  let now = plan
  for (const step of steps.toReversed()) {
    const before = patched(now, step.back) as Plan
    cached.set(now, { before, step })
    past.unshift(before)
    now = before
  }
  // Each was a plan when it was kept: mostly the oldest tells that the whole way leads through plans.
  if (past[0] === undefined || planSchema.safeParse(past[0]).success) return past
  const odd = past.findLastIndex((state) => !planSchema.safeParse(state).success)
  return past.slice(odd + 1)
}

const same = (a: Plan | undefined, b: Plan | undefined): boolean =>
  a === b || (a !== undefined && b !== undefined && JSON.stringify(a) === JSON.stringify(b))

/**
 * The states through which somebody else came from a state to theirs, each with when and by whom it was left: those since
 * that state, or where their past does not go through it, all that is not in ours. Nothing of it is lost when ours is kept.
 */
export function statesSince(
  base: Plan | undefined,
  past: readonly Plan[],
  theirs: Plan,
  steps: readonly PastStep[],
): readonly Plan[] {
  const others = pastOf(theirs, steps)
  const at = others.findLastIndex((state) => same(state, base))
  const alike = others.findIndex((state, i) => !same(state, past[i]))
  const since = at >= 0 ? others.slice(at + 1) : alike < 0 ? [] : others.slice(alike)
  // The first of them was left from a state of ours, which is the same and another object.
  const first = since[0] ?? theirs
  const step = steps.at(-1 - since.length)
  if (base && step && at >= 0) signedElsewhere(base, first, step)
  return since
}

/** So many steps that were taken back are kept. */
const MOST_AHEAD = 200

/** What leads on from a plan to what was taken back, the nearest first. */
export const savedAhead = (plan: Plan, future: readonly Plan[]): readonly Patch[] =>
  future.slice(0, MOST_AHEAD).map((next, i) => patchBetween(future[i - 1] ?? plan, next))

/** What was taken back from a plan, as far as its patches lead to plans. */
export function futureOf(plan: Plan, ahead: readonly Patch[]): readonly Plan[] {
  const future: Plan[] = []
  for (const patch of ahead) {
    const next = planSchema.safeParse(patched(future.at(-1) ?? plan, patch))
    if (!next.success) break
    future.push(next.data)
  }
  return future
}
