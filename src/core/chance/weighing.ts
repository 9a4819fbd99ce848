import type { SingleCommand } from '../plan/commands/command'
import { weighedAnew } from '../plan/schema/gear-mass'
import type { Plan } from '../plan/schema/plan'
import { barsOf } from '../plan/schema/rack'
import type { Mass } from '../plan/schema/rating'
import type { UnknownOf } from './problem'

/** The edit that puts a weighed mass in the place of an unknown one: kg as weighed, people all together. Nothing where it is gone. */
export function weighed(plan: Plan, whose: UnknownOf, kg: number, typed: string): SingleCommand | undefined {
  const mass = (each: number): Mass => ({ kg: each, basis: 'weighed', typed: { kg: typed } })
  switch (whose.of) {
    case 'gear': {
      const was = plan.gear.find(({ id }) => id === whose.gearId)?.mass
      return was && { do: 'setGearMass', gearId: whose.gearId, mass: weighedAnew(was, kg, typed) }
    }
    case 'load': {
      const { placementId } = whose
      const load = plan.placements
        .find(({ id }) => id === placementId)
        ?.loads.find(({ id }) => id === whose.loadId)
      if (!load || load.what.kind === 'fluid') return undefined
      const { what } = load
      return {
        do: 'setLoad',
        placementId,
        load: {
          ...load,
          what:
            what.kind === 'mass'
              ? { kind: 'mass', mass: weighedAnew(what.mass, kg, typed) }
              : { ...what, each: { kg: kg / Math.max(1, what.count), basis: 'weighed' } },
        },
      }
    }
    case 'part': {
      const part = plan.racks.flatMap(({ parts }) => parts).find(({ id }) => id === whose.partId)
      if (!part) return undefined
      // What was typed of one of them is not what several weigh.
      const { eachKg: _, ...texts } = part.typed ?? {}
      return {
        do: 'swapPart',
        partId: part.id,
        part: {
          ...part,
          eachKg: kg / whose.pieces,
          known: { ...part.known, eachKg: { by: 'weighed' } },
          typed: { ...texts, ...(whose.pieces === 1 ? { eachKg: typed } : {}) },
        },
      }
    }
    case 'bar': {
      const bar = plan.racks.flatMap(barsOf).find(({ id }) => id === whose.barId)
      return (
        bar && {
          do: 'setBar',
          bar: {
            ...bar,
            kg,
            known: { ...bar.known, kg: { by: 'weighed' } },
            typed: { ...bar.typed, kg: typed },
          },
        }
      )
    }
    case 'occupant': {
      const { use } = plan
      return use.occupants.some(({ id }) => id === whose.occupantId)
        ? {
            do: 'setUse',
            use: {
              ...use,
              occupants: use.occupants.map((each) =>
                each.id === whose.occupantId ? { ...each, mass: mass(kg) } : each,
              ),
            },
          }
        : undefined
    }
  }
}
