import type { Command } from '../plan/command'
import type { Adapter } from '../plan/placement'
import type { Bar, Part } from '../plan/rack'
import type { Survey } from '../survey/survey'
import type { AsideLook } from '../rules/house'
import type { Ask } from './ask'
import type { Finding } from './finding'
import type { Phrase } from './phrase'

/** Where a rule comes from, and how far to trust the quotation. */
export interface RuleSource {
  readonly kind: 'published' | 'handbook' | 'practice'
  readonly text: string
}

export const practice = (text: string): RuleSource => ({ kind: 'practice', text })

/**
 * An edit that should clear a finding, not yet verified. `rank` puts the smallest change first: what only moves
 * things (by its mm) before what fits them otherwise, before any change of the load (by its kg), before new parts.
 */
export interface Candidate {
  readonly kind: 'move' | 'fit' | 'less' | 'off' | 'swap' | 'change'
  readonly say: Phrase
  readonly command: Command
  readonly rank: number
}

/** Moving is the smallest change, then fitting otherwise; both come before any change of the load. */
export const MOVE_FIRST = -2_000_000
export const FIT_NEXT = -1_000_000

/** What remedies may draw on besides the plan. */
export interface RemedyStock {
  readonly parts: readonly Part[]
  readonly adapters?: readonly Adapter[]
  readonly bars?: readonly Bar[]
}

/** A rule as it is explained: what it asks, how it reckons, and where that is from. */
export interface Rule {
  readonly id: string
  readonly title: string
  readonly question: string
  readonly formula: string
  readonly source: RuleSource
  /** What is true whenever it says nothing else: none of its kind is on the plan. Never a pass. */
  readonly nothing: string
}

/** A question asked of every survey. It always answers: with a margin when all is well. */
export interface Check extends Rule {
  /**
   * Whether more mass can only make its answer worse, as with every question of strength; or may also help, as with
   * balance and with what weight holds down; or is no matter to it.
   */
  readonly law: 'moreIsWorse' | 'balance' | 'notOfMass'
  run(survey: Survey): Iterable<Finding>
  /** Edits that would clear one of this check's findings; each is verified before it is offered. */
  remedies?(survey: Survey, finding: Finding, stock: RemedyStock): readonly Candidate[]
}

/** What was given nothing to run on, and stops nothing by that; a house that must look asks for it. */
export function notLooked(
  { plan }: Survey,
  rule: string,
  look: AsideLook,
  sentence: Phrase,
  ask: Ask,
): Finding {
  const must = plan.rules.mustLook?.includes(look) ?? false
  return {
    id: `${rule} not looked`,
    severity: must ? 'findOut' : 'notLooked',
    rule,
    state: 'all',
    subject: { placementIds: [] },
    sentence: must ? [...sentence, ' The house looks at it in every job: find it out.'] : sentence,
    ask,
  }
}

/** Declares a check; it holds no opinion of its own. */
export function check(definition: Check): Check {
  return definition
}
