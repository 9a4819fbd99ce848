import type { Adapter, Gear, Plan } from '@/core/api/plan'
import type { Compatible } from '@/core/api/assess'

/** What Load asks: every piece of gear against one rack of a plan. */
export interface ShelfQuestion {
  readonly ticket: number
  readonly plan: Plan
  readonly rackId: string
  readonly gear: readonly Gear[]
  readonly adapters: readonly Adapter[]
}

/** The answers by the gear's id. */
export interface ShelfAnswers {
  readonly ticket: number
  readonly answers: readonly (readonly [gearId: string, answer: Compatible])[]
}
