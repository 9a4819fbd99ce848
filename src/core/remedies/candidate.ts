import type { Command } from '../plan/commands/command'
import type { Adapter } from '../plan/schema/placement'
import type { Bar, Part } from '../plan/schema/rack'
import type { Phrase } from '../units/phrase'
import type { Finding } from '../review/finding'
import type { ThingAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'

/**
 * An edit that should clear a finding, not yet verified. `rank` puts the smallest change first: less of a load where a
 * limit is passed (by its kg), then what only moves things (by its mm), then what fits them otherwise or with another
 * part (by its price), then what takes things off (by its kg).
 */
export interface Candidate {
  readonly kind: 'move' | 'fit' | 'less' | 'off' | 'swap' | 'change'
  readonly message: Phrase
  readonly command: Command
  readonly rank: number
  /** Of several that stand for each other, the first that clears is the one offered. */
  readonly standsFor?: string
  /** The same, so many mm further: what clears its finding, but depends on a length, is tried further. */
  readonly further?: (byMm: number) => Candidate
}

/** The least of a load goes before any move, a move before another fitting or part; things come off last. */
export const LESS_FIRST = -3_000_000
export const MOVE_FIRST = -2_000_000
export const FIT_NEXT = -1_000_000

/** What remedies may draw on besides the plan. */
export interface RemedyStock {
  readonly parts: readonly Part[]
  readonly adapters?: readonly Adapter[]
  readonly bars?: readonly Bar[]
}

/** Edits that would clear a finding of a check; each is verified before it is offered. */
export type Fixes = (survey: Survey, finding: Finding, stock: RemedyStock) => readonly Candidate[]

/** Fixes of a check whose findings are about one thing. */
export const ofThing =
  (
    fixes: (survey: Survey, thing: ThingAt, finding: Finding, stock: RemedyStock) => readonly Candidate[],
  ): Fixes =>
  (survey, finding, stock) => {
    const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
    return thing ? fixes(survey, thing, finding, stock) : []
  }
