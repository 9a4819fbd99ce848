import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/stock/plans'
import { DEMO_STOCK } from '@/stock/stock'
import { apply } from './apply'
import type { Command, RatingOwner, SingleCommand } from './command'
import { planSchema, type Plan } from './plan'
import { barsOf } from './rack'

/** Commands that mostly make sense for this plan: each picks from what is there, and sometimes from what is not. */
function commandFor(plan: Plan): fc.Arbitrary<Command> {
  const ids = (list: readonly { readonly id: string }[]) =>
    fc.constantFrom(...list.map((each) => each.id), 'nothing-such')
  const placementId = ids(plan.placements)
  const mm = fc.double({ min: -4000, max: 6000, noNaN: true })
  const bars = plan.racks.flatMap(barsOf)
  const parts = plan.racks.flatMap((rack) => rack.parts)
  const owner: fc.Arbitrary<RatingOwner> = fc.oneof(
    fc.constant<RatingOwner>({ of: 'roof' }),
    ids(plan.vehicle.attachments).map((id): RatingOwner => ({ of: 'attachment', id })),
    ids(parts).map((id): RatingOwner => ({ of: 'part', id })),
    ids(plan.gear).map((id): RatingOwner => ({ of: 'gear', id })),
  )
  const mass = fc.record({
    kg: fc.double({ min: -1, max: 300, noNaN: true }),
    basis: fc.constantFrom('weighed' as const, 'maker' as const, 'guess' as const),
  })
  const when = fc.constantFrom('always' as const, 'driving' as const, 'parked' as const)
  const host = fc.oneof(
    fc
      .subarray(
        bars.map((bar) => bar.id),
        { maxLength: Math.min(4, bars.length) },
      )
      .map((barIds) => ({ on: 'bars' as const, barIds })),
    ids(plan.racks).map((rackId) => ({ on: 'deck' as const, rackId })),
    ids(plan.racks).map((rackId) => ({ on: 'ladder' as const, rackId })),
    fc
      .tuple(ids(plan.racks), fc.constantFrom('left' as const, 'right' as const))
      .map(([rackId, side]) => ({ on: 'panel' as const, rackId, side, zMm: 100 })),
    fc
      .tuple(placementId, fc.constantFrom('inside', 'floor', 'saddle', 'tray'))
      .map(([id, placeId]) => ({ on: 'place' as const, placementId: id, placeId })),
  )
  const gear = fc.constantFrom(...DEMO_STOCK.gear)
  const load = fc.record({
    id: fc.constantFrom('contents', 'extra', 'sleepers'),
    name: fc.constantFrom('Contents', 'Extra', ' '),
    when,
    what: fc.oneof(
      mass.map((each) => ({ kind: 'mass' as const, mass: each })),
      fc.record({
        kind: fc.constant('fluid' as const),
        fluid: fc.constantFrom('petrol' as const, 'water' as const),
        litres: fc.double({ min: 0, max: 40, noNaN: true }),
      }),
      fc.record({ kind: fc.constant('people' as const), count: fc.integer({ min: 0, max: 3 }), each: mass }),
    ),
  })
  const rating = fc.record({
    id: fc.constantFrom('a', 'b'),
    state: fc.constantFrom('road' as const, 'trail' as const, 'parked' as const),
    kg: fc.double({ min: 0, max: 400, noNaN: true }),
    per: fc.constantFrom('set' as const, 'each' as const),
    source: fc.constant({ kind: 'told' as const }),
  })
  const single: fc.Arbitrary<SingleCommand> = fc.oneof(
    fc.record({ do: fc.constant('move' as const), placementId, xMm: mm, yMm: mm }),
    fc.record({
      do: fc.constant('turn' as const),
      placementId,
      turn: fc.constantFrom(0 as const, 90 as const, 180 as const, 270 as const),
    }),
    fc.record({ do: fc.constant('setOnEdge' as const), placementId, onEdge: fc.boolean() }),
    fc.record({ do: fc.constant('setWhen' as const), placementId, when }),
    fc.record({ do: fc.constant('rehost' as const), placementId, host, xMm: mm, yMm: mm }),
    fc.record({ do: fc.constant('takeOff' as const), placementId }),
    fc.record({ do: fc.constant('setLoad' as const), placementId, load }),
    fc.record({
      do: fc.constant('removeLoad' as const),
      placementId,
      loadId: fc.constantFrom('contents', 'extra'),
    }),
    fc.tuple(gear, host, fc.integer({ min: 0, max: 5 })).map(([each, on, n]) => ({
      do: 'mount' as const,
      gear: each,
      placement: {
        id: `new-${n}`,
        gearId: each.id,
        host: on,
        xMm: 900,
        yMm: 0,
        turn: 0 as const,
        onEdge: false,
        when: 'always' as const,
        loads: [],
      },
    })),
    gear.map((each) => ({ do: 'setGear' as const, gear: each })),
    fc.record({ do: fc.constant('setGearMass' as const), gearId: ids(plan.gear), mass }),
    fc.constantFrom(...DEMO_STOCK.vehicles).map((vehicle) => ({ do: 'setVehicle' as const, vehicle })),
    fc.constantFrom(...DEMO_STOCK.racks).map((rack) => ({ do: 'addRack' as const, rack })),
    fc.constantFrom(...DEMO_STOCK.racks).map((rack) => ({ do: 'setRack' as const, rack })),
    fc.record({ do: fc.constant('removeRack' as const), rackId: ids(plan.racks) }),
    fc.record({ do: fc.constant('moveBar' as const), barId: ids(bars), xMm: mm }),
    ...(bars.length > 0
      ? [
          fc
            .tuple(fc.constantFrom(...bars), fc.double({ min: -10, max: 3000, noNaN: true }))
            .map(([bar, lengthMm]) => ({ do: 'setBar' as const, bar: { ...bar, lengthMm } })),
        ]
      : []),
    fc
      .tuple(ids(parts), fc.constantFrom(...DEMO_STOCK.parts))
      .map(([partId, part]) => ({ do: 'swapPart' as const, partId, part: { ...part, id: partId } })),
    fc.record({ do: fc.constant('setRating' as const), owner, rating }),
    fc.record({ do: fc.constant('removeRating' as const), owner, ratingId: fc.constantFrom('a', 'b') }),
    fc.record({
      do: fc.constant('setClearance' as const),
      clearance: fc.record({
        id: fc.constantFrom('c1', 'c2'),
        name: fc.constantFrom('Gate', ''),
        heightMm: mm,
      }),
    }),
    fc.record({ do: fc.constant('removeClearance' as const), clearanceId: fc.constantFrom('c1', 'c2') }),
  )
  return fc.oneof(
    { weight: 6, arbitrary: single },
    {
      weight: 1,
      arbitrary: fc
        .array(single, { minLength: 1, maxLength: 3 })
        .map((commands): Command => ({ do: 'together', commands })),
    },
  )
}

describe('any sequence of commands', () => {
  it('leaves a plan that parses, whatever was taken or refused', () => {
    let taken = 0
    let refused = 0
    fc.assert(
      fc.property(
        fc.nat(DEMO_PLANS.length - 1),
        fc.array(fc.nat(), { minLength: 8, maxLength: 8 }),
        (start, seeds) => {
          let plan: Plan = DEMO_PLANS[start]!
          for (const seed of seeds) {
            const [command] = fc.sample(commandFor(plan), { seed, numRuns: 1 })
            const applied = apply(plan, command!)
            if (applied.ok) taken += 1
            else {
              refused += 1
              expect(applied.reason.length).toBeGreaterThan(3)
            }
            if (applied.ok) plan = applied.plan
          }
          const parsed = planSchema.safeParse(plan)
          expect(parsed.success ? 'parses' : JSON.stringify(parsed.error.issues[0])).toBe('parses')
        },
      ),
      { numRuns: 1000 },
    )
    expect(taken).toBeGreaterThan(1000)
    expect(refused).toBeGreaterThan(500)
  })
})
