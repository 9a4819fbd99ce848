import type { Plan } from '../plan/schema/plan'
import { barsOf, type Bar, type Rack } from '../plan/schema/rack'

/** A list with the one of an id changed. */
export const withOne = <T extends { readonly id: string }>(
  list: readonly T[],
  id: string,
  change: (each: T) => T,
): T[] => list.map((each) => (each.id === id ? change(each) : each))

/** The plan with its racks' bars changed. */
export const withBars = (plan: Plan, change: (bar: Bar, rack: Rack) => Bar): Plan => ({
  ...plan,
  racks: plan.racks.map((rack) =>
    'bars' in rack ? { ...rack, bars: barsOf(rack).map((bar) => change(bar, rack)) } : rack,
  ),
})
