import { WHENS, type When } from '../../kinds/when'
import { STATES, type State } from '../../units/scalars'
import type { ThingAt } from '../frame/arrangement'

/** The states in which something is there at all. */
export const statesOf = (when: When): readonly State[] => WHENS[when].states

/** The states that are in both. */
export const inBoth = (a: readonly State[], b: readonly State[]): readonly State[] =>
  a.length === STATES.length ? b : b.length === STATES.length ? a : a.filter((state) => b.includes(state))

/** In which states things are on board: as they and what they stand in are said to be. Each is worked out once. */
export function presences(): (thing: ThingAt) => readonly State[] {
  const cached = new Map<ThingAt, readonly State[]>()
  const present = (thing: ThingAt): readonly State[] => {
    const before = cached.get(thing)
    if (before) return before
    // A person is up there when the plan says so, whatever the entry in stock usually says.
    const usually = thing.gear.kind === 'person' ? STATES : statesOf(thing.gear.when)
    const own = inBoth(statesOf(thing.placement.when), usually)
    const states = thing.parent ? inBoth(own, present(thing.parent)) : own
    cached.set(thing, states)
    return states
  }
  return present
}
