import { ATTACHMENTS } from '../kinds/attachment'
import type { When } from '../kinds/when'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import type { Plan } from '../plan/schema/plan'
import { FLUID_KG_PER_L, type Load, type Placement } from '../plan/schema/placement'
import { STATES, type State } from '../units/scalars'
import { survey, type Survey } from './survey'
import { runs } from '@/core/runs.testing'

/** Handbook: equilibrium of forces and moments. The masses are added up here again, straight from the plan. */

const there = (when: When, state: State) => when === 'always' || (when === 'parked') === (state === 'parked')

function loadKg({ what }: Load): number {
  switch (what.kind) {
    case 'mass':
      return what.mass.kg
    case 'fluid':
      return what.litres * FLUID_KG_PER_L[what.fluid]
    case 'people':
      return what.count * what.each.kg
  }
}

/** Whether a placement and all that it stands in are on board in a state. */
function onBoard(plan: Plan, placement: Placement, state: State): boolean {
  const gear = plan.gear.find((each) => each.id === placement.gearId)!
  if (!there(placement.when, state) || !there(gear.when, state)) return false
  const { host } = placement
  if (host.on !== 'place') return true
  return onBoard(
    plan,
    plan.placements.find((each) => each.id === host.placementId)!,
    state,
  )
}

function rootOf(plan: Plan, placement: Placement): Placement {
  const { host } = placement
  return host.on === 'place'
    ? rootOf(
        plan,
        plan.placements.find((each) => each.id === host.placementId)!,
      )
    : placement
}

/** Everything that hangs on the racks in a state, with its mass and where it acts. */
function weights(plan: Plan, surveyed: Survey, state: State) {
  return plan.placements
    .filter((placement) => onBoard(plan, placement, state))
    .map((placement) => {
      const gear = plan.gear.find((each) => each.id === placement.gearId)!
      const loads = placement.loads
        .filter((load) => there(load.when, state))
        .reduce((sum, load) => sum + loadKg(load), 0)
      const { centre } = surveyed.thingById.get(placement.id)!
      return { kg: gear.mass.kg + (gear.wetKg ?? 0) + loads, centre, host: rootOf(plan, placement).host }
    })
}

const shaken: fc.Arbitrary<Plan> = fc
  .tuple(
    fc.nat(DEMO_PLANS.length - 1),
    fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 30, maxLength: 30 }),
  )
  .map(([index, noise]) => {
    const plan = DEMO_PLANS[index]!
    return {
      ...plan,
      rules: { ...plan.rules, guess: { school: 'takeIt' as const } },
      gear: plan.gear.map((gear, i) => ({
        ...gear,
        mass: { ...gear.mass, kg: gear.mass.kg * (1.2 + noise[i % 30]!) },
      })),
      placements: plan.placements.map((each, i) => ({
        ...each,
        xMm: each.xMm + 900 * noise[(i + 7) % 30]!,
        yMm: each.yMm + 400 * noise[(i + 13) % 30]!,
      })),
    }
  })

const close = (a: number, b: number, scale: number) => {
  expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-9 * Math.max(1, scale))
}

describe('equilibrium', () => {
  it('feet together carry all that stands on their racks, and its moments', () => {
    fc.assert(
      fc.property(shaken, (plan) => {
        const surveyed = survey(plan)
        for (const state of STATES) {
          const onFeet = weights(plan, surveyed, state).filter(({ host }) => host.on !== 'ladder')
          const total = onFeet.reduce((sum, { kg }) => sum + kg, 0)
          const loads = surveyed.feet.map((foot) => ({
            foot,
            kg: surveyed.footLoads[foot.index]!.loadKg[state],
          }))
          close(
            loads.reduce((sum, { kg }) => sum + kg, 0),
            total,
            total,
          )
          // A thing on a single bar leaves that bar a moment of its own, which feet in line cannot show.
          const oneBar = onFeet.some(({ host }) => host.on === 'bars' && host.barIds.length === 1)
          if (!oneBar) {
            const along = onFeet.reduce((sum, { kg, centre }) => sum + kg * centre.x, 0)
            close(
              loads.reduce((sum, { kg, foot }) => sum + kg * foot.xMm, 0),
              along,
              total * 5000,
            )
          }
          if (onFeet.some(({ host }) => host.on === 'panel')) continue
          const across = onFeet.reduce((sum, { kg, centre }) => sum + kg * centre.y, 0)
          close(
            loads.reduce((sum, { kg, foot }) => sum + kg * foot.yMm, 0),
            across,
            total * 5000,
          )
        }
      }),
      { numRuns: runs(1000) },
    )
  })

  it('what the roof, bed, frame and hatch hold is all there is, racks included, each kilogram once', () => {
    fc.assert(
      fc.property(shaken, (plan) => {
        const surveyed = survey(plan)
        for (const state of STATES) {
          const cargo = weights(plan, surveyed, state).reduce((sum, { kg }) => sum + kg, 0)
          const racks = plan.racks
            .filter((rack) => rack.kind !== 'ladder' || there(rack.when, state))
            .reduce(
              (sum, rack) => sum + rack.parts.reduce((total, part) => total + part.count * part.eachKg, 0),
              0,
            )
          // A canopy ends nothing: it stands on the bed, with its own mass.
          const holders = plan.vehicle.attachments.filter(({ kind }) => ATTACHMENTS[kind].weighsOn)
          const canopies = surveyed.masses
            .filter(({ of, states }) => of === 'holder' && states.includes(state))
            .reduce((sum, { kg }) => sum + kg, 0)
          const ends = surveyed.loadPath.layers.filter(
            (layer) =>
              layer.id === 'roof' ||
              (layer.role === 'attachment' &&
                !holders.some(({ id }) => layer.id === `attachment:${id}`) &&
                !surveyed.racks.some((rack) => rack.onRoof && layer.rackIds.includes(rack.rack.id))),
          )
          const held = ends.reduce(
            (sum, layer) =>
              sum +
              [...layer.load, ...layer.own]
                .filter(({ mass }) => mass.states.includes(state))
                .reduce((total, { mass, fraction }) => total + mass.kg * fraction, 0),
            0,
          )
          close(held, cargo + racks + canopies, cargo + racks + canopies)
        }
      }),
      { numRuns: runs(1000) },
    )
  })

  it('bars together carry what stands on bars and decks', () => {
    fc.assert(
      fc.property(shaken, (plan) => {
        const surveyed = survey(plan)
        const onBars = weights(plan, surveyed, 'road').filter(
          ({ host }) => host.on === 'bars' || host.on === 'deck',
        )
        const total = onBars.reduce((sum, { kg }) => sum + kg, 0)
        const bars = surveyed.masses
          .filter((mass) => mass.of !== 'part' && mass.states.includes('road'))
          .reduce((sum, mass) => sum + mass.bars.reduce((total, [, share]) => total + share * mass.kg, 0), 0)
        close(bars, total, total)
      }),
      { numRuns: runs(500) },
    )
  })
})
