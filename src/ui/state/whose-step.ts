import { mergePlans, type Plan } from '@/core/api/plan'

/** The states from which a step was made that came from elsewhere: another tab's, that this one followed. */
const fromElsewhere = new WeakSet<Plan>()

/** Marks the step that leads on from a state as made elsewhere. */
export function markElsewhere(before: Plan): Plan {
  fromElsewhere.add(before)
  return before
}

/** A state that stands for another, with whose step it was. */
export function inPlaceOf(state: Plan, was: Plan): Plan {
  if (fromElsewhere.has(was)) fromElsewhere.add(state)
  else fromElsewhere.delete(state)
  return state
}

/** Which of the steps that lead here was the last one made here; -1 where none was. */
export const lastOwnStep = (past: readonly Plan[]): number =>
  past.findLastIndex((state) => !fromElsewhere.has(state))

/**
 * The plan without the last step that was made here, and the steps that lead to it: those made elsewhere since stay.
 * Nothing where no step was made here, or where what came since depends on it.
 */
export function withoutOwnStep(
  plan: Plan,
  past: readonly Plan[],
): { readonly plan: Plan; readonly past: readonly Plan[] } | undefined {
  const at = lastOwnStep(past)
  const before = past[at]
  if (!before) return undefined
  if (at === past.length - 1) return { plan: before, past: past.slice(0, -1) }
  const after = past[at + 1]
  if (!after) return undefined
  const steps: Plan[] = []
  for (const step of past.slice(at + 1)) {
    const merged = mergePlans(after, before, step)
    if (!merged.ok) return undefined
    steps.push(inPlaceOf(merged.plan, step))
  }
  const merged = mergePlans(after, before, plan)
  return merged.ok ? { plan: merged.plan, past: [...past.slice(0, at), ...steps] } : undefined
}
