import type { RemedyStock } from './candidate'
import type { Plan } from '../plan/plan'
import { once } from '../units/once'
import { survey } from '../survey/survey'
import type { Finding } from '../review/finding'
import { remediesFor, type Remedy } from './remedies'
import { review, type Reviewed } from '../review/review'

/** A plan with all that follows from it and all that we think of it; its fixes are looked for when they are asked for. */
export interface Assessment extends Reviewed {
  /** The fixes of one finding, tried on this very plan with the parts in stock; looked for once. */
  remedies(finding: Finding, stock: RemedyStock): readonly Remedy[]
  /** Those fixes where they have been looked for already. */
  known(finding: Finding): readonly Remedy[] | undefined
}

/**
 * The one way from a plan to its survey, its review and its fixes: every screen, worker, shell and route asks here. The
 * review is made when it is first asked for, and each finding's fixes when they are.
 */
export function assess(plan: Plan, before?: Assessment): Assessment {
  const surveyed = survey(plan, before?.survey)
  const reviewed = once(() => review(surveyed))
  const found = new Map<Finding, { readonly stock: RemedyStock; readonly remedies: readonly Remedy[] }>()
  return {
    plan,
    survey: surveyed,
    get review() {
      return reviewed()
    },
    known: (finding) => found.get(finding)?.remedies,
    remedies(finding, stock) {
      const before = found.get(finding)
      if (before?.stock === stock) return before.remedies
      const remedies = remediesFor(surveyed, reviewed(), finding, stock)
      found.set(finding, { stock, remedies })
      return remedies
    },
  }
}
