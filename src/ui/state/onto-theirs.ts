import { mergePlans, type PastStep, type Plan } from '@/core/api/plan'
import { statesSince } from './past'
import { inPlaceOf, markElsewhere } from './whose-step'

/** What somebody else has kept of the open job: the plan, the number of its writing, and the steps that lead to it. */
export interface Theirs {
  readonly theirs: Plan
  readonly revision: number
  readonly steps: readonly PastStep[]
}

/** So many earlier steps are looked at, whether they can still be taken back. */
const STEPS_LOOKED_AT = 40

/**
 * The past of a job that goes on from what somebody else has kept: what was done here since the common state goes onto
 * theirs, as far as it can; all that was done there is in it, step by step, and is not taken back here.
 */
export function pastOnto(
  here: {
    readonly plan: Plan | undefined
    readonly base: Plan | undefined
    readonly past: readonly Plan[]
  },
  { theirs, steps }: Theirs,
): readonly Plan[] {
  const { base, past, plan } = here
  const at = base === undefined ? -1 : plan === base ? past.length : past.lastIndexOf(base)
  const old = at < 0 ? past : past.slice(0, at)
  const own = at < 0 ? [] : past.slice(at + 1)
  // What was set again there is taken back no more, nor anything before it.
  const stuck = old.findLastIndex(
    (state, i) =>
      old.length - i <= STEPS_LOOKED_AT && base !== undefined && !mergePlans(base, state, theirs).ok,
  )
  old.slice(0, stuck + 1).forEach(markElsewhere)
  const since = statesSince(base, old, theirs, steps).map(markElsewhere)
  const along = own.flatMap((state) => {
    const merged = base ? mergePlans(base, state, theirs) : undefined
    return merged?.ok ? [inPlaceOf(merged.plan, state)] : []
  })
  return [
    ...old,
    ...(at < 0 || !base ? [] : [markElsewhere(base)]),
    ...since,
    ...(plan === base ? [] : [theirs, ...along]),
  ]
}

/** What was taken back here, on top of what somebody else has kept: as far as the two can stand together. */
export function futureOnto(
  { base, future }: { readonly base: Plan | undefined; readonly future: readonly Plan[] },
  theirs: Plan,
): readonly Plan[] {
  const saved: Plan[] = []
  for (const next of future) {
    const merged = base ? mergePlans(base, next, theirs) : undefined
    if (!merged?.ok) break
    saved.push(merged.plan)
  }
  return saved
}
