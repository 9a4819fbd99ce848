import type { Plan } from '@/core/api/plan'
import type { Remedy, RemedyStock } from '@/core/api/assess'

/** What Load asks: the fixes of these findings of a plan, in this order. */
export interface FixesQuestion {
  readonly ticket: number
  readonly plan: Plan
  readonly findingIds: readonly string[]
  /** The parts to change to; left out where they are those of the question before. */
  readonly stock?: RemedyStock
}

/** The fixes of one finding, as soon as they are known. */
export interface FixesAnswer {
  readonly ticket: number
  readonly findingId: string
  readonly remedies: readonly Remedy[]
}
