import { patchBetween, patched, type Patch } from './patch'
import type { PastStep } from './past-step'
import { type FormatLift, FORMAT_VERSION, LIFTS } from '../plan/schema/lifts'
import { liftToPresent } from '../plan/versions/versions'

/** What leads back from a plan through its past, oldest first, and on to what was taken back, nearest first. */
export interface Trail {
  readonly steps: readonly PastStep[]
  readonly ahead: readonly Patch[]
}

const versionOf = (raw: unknown): unknown =>
  typeof raw === 'object' && raw !== null && 'version' in raw ? raw.version : undefined

/**
 * The trail of a plan that was kept in an older version of the format: every state it leads through is lifted as the plan
 * itself is, and the steps between the lifted ones take the place of those that were kept. Where a state no longer reads,
 * the trail ends there. `raw` is the plan as it lies, before it is lifted.
 */
export function liftTrail(
  raw: unknown,
  trail: Trail,
  lifts: readonly FormatLift[] = LIFTS,
  present: number = FORMAT_VERSION,
): Trail {
  if (versionOf(raw) === present || (trail.steps.length === 0 && trail.ahead.length === 0)) return trail
  const lifted = (state: unknown) => {
    const found = liftToPresent(state, lifts, present)
    return found.ok ? found.raw : undefined
  }
  const now = lifted(raw)
  if (now === undefined) return trail
  const steps: PastStep[] = []
  let [state, after]: [unknown, unknown] = [raw, now]
  for (const step of trail.steps.toReversed()) {
    state = patched(state, step.back)
    const before = lifted(state)
    if (before === undefined) break
    steps.unshift({ ...step, back: patchBetween(after, before) })
    after = before
  }
  const ahead: Patch[] = []
  ;[state, after] = [raw, now]
  for (const patch of trail.ahead) {
    state = patched(state, patch)
    const next = lifted(state)
    if (next === undefined) break
    ahead.push(patchBetween(after, next))
    after = next
  }
  return { steps, ahead }
}
