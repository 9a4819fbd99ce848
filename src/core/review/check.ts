import type { Survey } from '../survey/survey'
import type { AsideLook } from '../plan/schema/house'
import type { Ask } from './ask'
import type { TurnedBy } from './turns'
import type { Finding } from './finding'
import type { Phrase } from '../units/phrase'

/** Where a rule comes from, and how far to trust the quotation. */
export interface RuleSource {
  readonly kind: 'published' | 'handbook' | 'practice'
  readonly text: string
}

export const practice = (text: string): RuleSource => ({ kind: 'practice', text })

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
  /**
   * What a weight that nobody knows makes of its answers: where masses matter it was not looked at; where they hardly do,
   * only by how far a bar bends, it stands; where it looks only at what weighs, not even its having nothing to check stands.
   */
  readonly mass: 'matters' | 'hardly' | 'onlyWith'
  /** At which stop of a job what it finds is put right. */
  readonly stage: 'load' | 'forces'
  /** What was not looked at, in a word, where its title would not say. */
  readonly lookWord?: string
  /** Whether its Stops decide where a thing may stand: asked of the thing by itself, or of it among all. What a thing weighs is another question. */
  readonly decidesPlace: 'never' | 'ofEachThing' | 'ofAllThings'
  /** As what a house may ask for it in every job, where it goes unlooked at and stops nothing by that. */
  readonly houseLook: AsideLook | 'none'
  /** The lengths and masses that may turn its answers; links judge their own sums. */
  readonly turnedBy: TurnedBy
  run(survey: Survey, together?: readonly Finding[]): readonly Finding[]
}

/** What was given nothing to run on, and stops nothing by that. */
export const notLooked = (sentence: Phrase, ask: Ask): FindingDraft => ({
  about: 'not looked',
  severity: 'notLooked',
  state: 'all',
  subject: { placementIds: [] },
  sentence,
  ask,
})

/** A finding before its check adds the rule and the id; `about` is the rest of the id. */
export type FindingDraft = Omit<Finding, 'id' | 'rule' | 'aside' | 'together'> & { readonly about: string }

type Writable<T> = { -readonly [Key in keyof T]: T[Key] }

/** A draft with its rule and its id. Fields are copied one by one: copying an object without one of its keys takes as long as most checks. */
function named(rule: string, draft: FindingDraft): Finding {
  const finding: Writable<Finding> = {
    id: `${rule} ${draft.about}`,
    severity: draft.severity,
    rule,
    state: draft.state,
    subject: draft.subject,
    sentence: draft.sentence,
  }
  const { measured, limit, margin, ask, nearStop, concerns } = draft
  if (measured) finding.measured = measured
  if (limit) finding.limit = limit
  if (margin) finding.margin = margin
  if (ask) finding.ask = ask
  if (nearStop) finding.nearStop = nearStop
  if (concerns) finding.concerns = concerns
  return finding
}

/** Declares a check. Every finding of it carries the id of the check as its rule, and an id that begins with it. */
export function check<const Id extends string>({
  run,
  ...rule
}: Omit<Check, 'id' | 'run'> & {
  readonly id: Id
  /** `together`: what the checks before it said that only all facts together would turn. */
  run(survey: Survey, together: readonly Finding[]): Iterable<FindingDraft>
}): Check & { readonly id: Id } {
  return {
    ...rule,
    run(survey, together = []) {
      const found: Finding[] = []
      for (const draft of run(survey, together)) found.push(named(rule.id, draft))
      return found
    },
  }
}
