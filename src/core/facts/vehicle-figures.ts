import { provenanceOf } from '../plan/schema/provenance'
import type { Plan } from '../plan/schema/plan'
import { kerbOf } from '../plan/schema/vehicle'
import { partBracket } from './bracket'
import type { FactUse } from './comparison'

/** A figure of the vehicle's own papers as it goes into a sum of masses. kg. */
export function vehicleUse({ vehicle, rules }: Plan, field: string, value: number, per: number): FactUse {
  const how = provenanceOf(vehicle, field) ?? vehicle.source?.kind ?? 'told'
  return {
    entry: { of: 'vehicle', id: vehicle.id, field },
    value,
    how,
    bracket: value * partBracket(how, rules),
    per,
  }
}

/** What the gross and the kerb mass add to a sum that is held against the difference of the two. kg. */
export function payloadUses(plan: Plan): readonly FactUse[] {
  const { grossKg } = plan.vehicle
  const kerb = kerbOf(plan.vehicle)
  if (grossKg === undefined || kerb === undefined) return []
  return [vehicleUse(plan, 'grossKg', grossKg, -1), vehicleUse(plan, 'kerbKg', kerb, 1)]
}
