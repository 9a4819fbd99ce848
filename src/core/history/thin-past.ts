import { patchBetween } from './patch'
import type { PastStep } from './past-step'
import type { Plan } from '../plan/schema/plan'

/** The latest steps stay as they are, however old they are. */
const LATEST = 500
/** And those of so many days, however many they are. */
const DAYS = 90
/** Past so many the days alone no longer keep every one: the past of a job is read and written whole. */
const MANY = 5000
const DAY_MS = 86_400_000

/**
 * The steps of a job as they are kept: the latest 500 and all of the last ninety days as they were made, and of what is
 * older one step a day. `states` are the plans between which the steps lead back, oldest first, the job itself last; `now`
 * is a time as ISO 8601. No day loses how the job stood at its end.
 */
export function thinned(
  steps: readonly PastStep[],
  states: readonly Plan[],
  now: string,
): readonly PastStep[] {
  const count = steps.length
  if (count <= LATEST) return steps
  const since = count > MANY ? now : new Date(Date.parse(now) - DAYS * DAY_MS).toISOString()
  const dayOf = (i: number) => steps[i]?.at.slice(0, 10)
  const stays = steps.map(
    ({ at }, i) => i >= count - LATEST || at >= since || i === 0 || dayOf(i) !== dayOf(i - 1),
  )
  const kept: PastStep[] = []
  for (let from = 0; from < count;) {
    let to = from + 1
    while (to < count && !stays[to]) to += 1
    const [last, before, after] = [steps[to - 1], states[from], states[to]]
    if (!last || !before || !after) throw new Error('a step leads nowhere')
    kept.push(to === from + 1 ? last : { ...last, back: patchBetween(after, before) })
    from = to
  }
  return kept
}
