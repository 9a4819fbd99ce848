import { guessFactor } from '../../plan/schema/house'
import type { Plan } from '../../plan/schema/plan'
import type { Arrangement, ThingAt } from '../frame/arrangement'
import type { MassPoint } from './mass-point'

/** What was worked out before an edit, as far as a mass depends on it. */
export type MassesBefore = Pick<Arrangement, 'racks'> & {
  readonly plan: Plan
  readonly masses: readonly MassPoint[]
}

/** The masses before an edit of each thing and each rack that stands as it stood: on the same racks, and with no snow to be shared again. */
export function reusedMasses(plan: Plan, { racks }: Arrangement, before: MassesBefore | undefined) {
  const kept = { ofThing: new Map<ThingAt, MassPoint[]>(), ofRack: new Map<number, MassPoint[]>() }
  if (!before || before.racks !== racks || guessFactor(before.plan.rules) !== guessFactor(plan.rules))
    return kept
  if (before.plan.use.snowKgPerM2 > 0 || plan.use.snowKgPerM2 > 0) return kept
  const add = <K>(map: Map<K, MassPoint[]>, key: K, mass: MassPoint) => {
    const list = map.get(key)
    if (list) list.push(mass)
    else map.set(key, [mass])
  }
  for (const mass of before.masses)
    if ('thing' in mass) add(kept.ofThing, mass.thing, mass)
    else if (mass.of === 'part') add(kept.ofRack, mass.racks[0]?.[0] ?? -1, mass)
  return kept
}
