import { factText } from '../log/fact-print'
import { type Clash, mergePlans } from '../history/merge'
import { patchBetween } from '../history/patch'
import { type PastStep, statesAlong } from '../history/past-step'
import type { Plan } from '../plan/schema/plan'
import { thinned } from '../history/thin-past'

/** A job as one device has it: how it stands, and the steps that led there. */
export interface Copy {
  readonly plan: Plan
  readonly steps: readonly PastStep[]
}

/** One step that the other side made: the states on either side of it, when and by whom. */
export interface OtherStep {
  readonly before: Plan
  readonly after: Plan
  readonly at: string
  readonly by: string | undefined
}

/** How two copies of a job stand to each other, and what would stand after taking the other one in. */
export type CopyComparison =
  /** They say the same. */
  | { readonly at: 'same' }
  /** The other one is an earlier state of what is here, or what was done in it is here already. */
  | { readonly at: 'ahead' }
  /** What is here is an earlier state of the other: its steps go on from here. */
  | { readonly at: 'behind'; readonly after: Copy; readonly others: readonly OtherStep[] }
  /** Both went on from one state, and what each did can stand beside the other. */
  | { readonly at: 'merged'; readonly after: Copy; readonly others: readonly OtherStep[] }
  /** Both set the same otherwise, or no state is common to both: it is asked which holds. */
  | {
      readonly at: 'apart'
      readonly clashes: readonly Clash[]
      readonly reason: string
      readonly others: readonly OtherStep[]
      /** What would stand if the other one is taken: what is here becomes the state before it. */
      readonly theirs: Copy
      /** What would stand if what is here is kept: the other one becomes the state before it. */
      readonly mine: Copy
    }

/** A copy that went on, with its past as it is kept. */
const continued = (plan: Plan, steps: readonly PastStep[], at: string): Copy => ({
  plan,
  steps: thinned(steps, statesAlong(plan, steps), at),
})

const oneMore = (mine: Copy, plan: Plan, at: string, by: string | undefined): Copy => {
  const step = { at, ...(by === undefined ? {} : { by }), back: patchBetween(plan, mine.plan) }
  return continued(plan, [...mine.steps, step], at)
}

/** The steps of a copy after one of its states. */
function since({ plan, steps }: Copy, state: number): readonly OtherStep[] {
  const states = statesAlong(plan, steps)
  return steps.slice(state).flatMap(({ at, by }, i): OtherStep[] => {
    const [before, after] = [states[state + i], states[state + i + 1]]
    return before && after ? [{ before, after, at, by }] : []
  })
}

/**
 * Two copies of one job that were worked on apart. The state they have in common is the last one of the other's past
 * that is also in the past here; what each did since is merged place by place. `at` and `by` sign the step that takes
 * the other one in.
 */
export function compareCopies(mine: Copy, theirs: Copy, at: string, by?: string): CopyComparison {
  const own = new Map(statesAlong(mine.plan, mine.steps).map((state, i) => [factText(state), i]))
  const states = statesAlong(theirs.plan, theirs.steps)
  const common = states.findLastIndex((state) => own.has(factText(state)))
  const others = since(theirs, Math.max(common, 0))
  const base = states[common]
  const taken = () => oneMore(mine, theirs.plan, at, by)
  const both = () => ({ theirs: taken(), mine: oneMore(taken(), mine.plan, at, by) })
  const here = base && own.get(factText(base))
  if (base === undefined || here === undefined)
    return {
      at: 'apart',
      clashes: [],
      reason: 'The two jobs have no common state.',
      others,
      ...both(),
    }
  const theirsGoOn = common < states.length - 1
  const mineGoesOn = here < mine.steps.length
  if (!theirsGoOn) return { at: mineGoesOn ? 'ahead' : 'same' }
  if (!mineGoesOn)
    return {
      at: 'behind',
      others,
      after: continued(theirs.plan, [...mine.steps, ...theirs.steps.slice(common)], at),
    }
  const merged = mergePlans(base, mine.plan, theirs.plan)
  // What the other did was taken in before.
  if (merged.ok && factText(merged.plan) === factText(mine.plan)) return { at: 'ahead' }
  return merged.ok
    ? { at: 'merged', others, after: oneMore(mine, merged.plan, at, by) }
    : {
        at: 'apart',
        clashes: merged.clashes,
        reason: merged.reason,
        others,
        ...both(),
      }
}
