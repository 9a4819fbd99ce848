import { PROVENANCES } from '../kinds/provenance'
import { entryKey, type PlanEntry } from '../plan/schema/entry'
import { provenanceOf } from '../plan/schema/provenance'
import type { Load } from '../plan/schema/placement'
import type { Plan } from '../plan/schema/plan'
import { kerbOf } from '../plan/schema/vehicle'
import type { Survey } from '../survey/survey'
import { howOfBasis, massBracket } from './bracket'
import { withBars, withOne } from './plan-off'
import type { MassFact } from './tried-fact'

const heavier = <T extends { readonly kg: number }>(mass: T, byKg: number): T => ({
  ...mass,
  kg: mass.kg + byKg,
})

function loadHeavier(load: Load, byKg: number): Load {
  switch (load.what.kind) {
    case 'mass':
      return { ...load, what: { ...load.what, mass: heavier(load.what.mass, byKg) } }
    case 'people':
      return { ...load, what: { ...load.what, each: heavier(load.what.each, byKg) } }
    case 'fluid':
      return load
  }
}

/** The plan with what an entry weighs so many kg off; of people and of parts that of each. */
function massOff(plan: Plan, { of, id, field }: PlanEntry, byKg: number): Plan {
  const { vehicle, use } = plan
  switch (of) {
    case 'gear':
      return {
        ...plan,
        gear: withOne(plan.gear, id, (gear) => ({ ...gear, mass: heavier(gear.mass, byKg) })),
      }
    case 'load':
      return {
        ...plan,
        placements: withOne(plan.placements, id, (placement) => ({
          ...placement,
          loads: withOne(placement.loads, field, (load) => loadHeavier(load, byKg)),
        })),
      }
    case 'occupant':
      return {
        ...plan,
        use: {
          ...use,
          occupants: withOne(use.occupants, id, (each) => ({ ...each, mass: heavier(each.mass, byKg) })),
        },
      }
    case 'part':
      return {
        ...plan,
        racks: plan.racks.map((rack) => ({
          ...rack,
          parts: withOne(rack.parts, id, (part) => ({ ...part, eachKg: part.eachKg + byKg })),
        })),
      }
    case 'bar':
      return withBars(plan, (bar) =>
        bar.id === id && bar.kg !== undefined ? { ...bar, kg: bar.kg + byKg } : bar,
      )
    case 'attachment':
      return {
        ...plan,
        vehicle: {
          ...vehicle,
          attachments: withOne(vehicle.attachments, id, (each) =>
            'canopyKg' in each ? { ...each, canopyKg: each.canopyKg + byKg } : each,
          ),
        },
      }
    case 'tail':
      return {
        ...plan,
        vehicle: {
          ...vehicle,
          tail: withOne(vehicle.tail ?? [], id, (each) => ({ ...each, mass: heavier(each.mass, byKg) })),
        },
      }
    case 'vehicle':
      return { ...plan, vehicle: { ...vehicle, kerbKg: (kerbOf(vehicle) ?? 0) + byKg } }
    case 'obstacle':
    case 'rack':
    case 'rating':
    case 'measurement':
      return plan
  }
}

/** The vehicle's own mass, where anybody knows it. */
function kerbFact({ plan }: Survey): readonly MassFact[] {
  const { vehicle, rules } = plan
  const value = kerbOf(vehicle)
  const how = provenanceOf(vehicle, 'kerbKg') ?? vehicle.source?.kind ?? 'told'
  const kg = value === undefined ? 0 : value * massBracket(PROVENANCES[how].basis, rules)
  if (value === undefined || kg === 0) return []
  const entry = { of: 'vehicle', id: vehicle.id, field: 'kerbKg' } as const
  return [
    {
      in: 'kg',
      entry,
      name: vehicle.name,
      how,
      value,
      less: kg,
      more: kg,
      off: (on, by) => massOff(on, entry, by),
    },
  ]
}

/** The most that any mass of a survey may be off, as a part of it. */
export function mostMassPart({ masses, plan }: Survey): number {
  const kerb = provenanceOf(plan.vehicle, 'kerbKg') ?? plan.vehicle.source?.kind ?? 'told'
  let most = massBracket(PROVENANCES[kerb].basis, plan.rules)
  for (const { basis } of masses) most = Math.max(most, massBracket(basis, plan.rules))
  return most
}

const cached = new WeakMap<Survey, readonly MassFact[]>()

/** Every mass on the vehicle that may be off, and the vehicle's own; one entry of the plan is one fact. kg. */
export function massFacts(survey: Survey): readonly MassFact[] {
  const before = cached.get(survey)
  if (before) return before
  const facts = new Map<string, MassFact>()
  for (const { from, basis, kg, label } of survey.masses) {
    const how = howOfBasis(basis)
    const part = massBracket(basis, survey.plan.rules)
    if (!from || how === undefined || part === 0 || kg === 0) continue
    const { entry, times } = from
    const value = kg / times
    const off = value * part
    facts.set(entryKey(entry), {
      in: 'kg',
      entry,
      name: label,
      how,
      value,
      less: off,
      more: off,
      off: (plan, by) => massOff(plan, entry, by),
    })
  }
  const all = [...kerbFact(survey), ...facts.values()]
  cached.set(survey, all)
  return all
}
