import type { Provenance } from '../kinds/provenance'
import type { PlanEntry } from '../plan/schema/entry'
import type { Plan } from '../plan/schema/plan'

/** A figure of the plan that may be off: what stands, how it is known, how far it may be off either way. */
interface Tried {
  readonly entry: PlanEntry
  /** What it belongs to, by name. */
  readonly name: string
  readonly how: Provenance
  readonly value: number
  readonly less: number
  readonly more: number
  /** The plan with it so much off. */
  readonly off: (plan: Plan, by: number) => Plan
}

/** Where lengths stand in a plan, as far as a question may depend on them. */
export type LengthsOf = 'vehicle' | 'attachment' | 'obstacle' | 'rack' | 'bar' | 'gear'

/** A length that may be off, mm. */
export interface LengthFact extends Tried {
  readonly in: 'mm'
  readonly entry: PlanEntry & { readonly of: LengthsOf }
}

/** A mass that may be off, kg; of people one of them, of parts each. */
export interface MassFact extends Tried {
  readonly in: 'kg'
}

export type TriedFact = LengthFact | MassFact
