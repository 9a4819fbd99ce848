import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import type { Plan } from '../plan/schema/plan'
import type { Rated, Rating } from '../plan/schema/rating'
import { review } from '../review/review'
import { survey } from './survey'
import { runs } from '@/core/runs.testing'

const anyPlan = fc.nat(DEMO_PLANS.length - 1).map((index) => DEMO_PLANS[index]!)

/** What each link counts and what is left of it, by its name and state. */
function figures(plan: Plan): Map<string, { counted: number; left: number | undefined }> {
  return new Map(
    survey(plan).loadPath.cells.map((cell) => [
      `${cell.layer.id} ${cell.state}`,
      { counted: cell.countedKg, left: cell.leftKg },
    ]),
  )
}

function sameFigures(a: Plan, b: Plan, factor = 1): void {
  const [before, after] = [figures(a), figures(b)]
  expect([...after.keys()].sort()).toEqual([...before.keys()].sort())
  for (const [key, { counted, left }] of before) {
    expect(after.get(key)!.counted).toBeCloseTo(counted * factor, 6)
    if (left === undefined) expect(after.get(key)!.left).toBeUndefined()
    else expect(after.get(key)!.left).toBeCloseTo(left * factor, 6)
  }
}

const scaledRatings = (ratings: readonly Rating[], by: number) =>
  ratings.map((each) => ({ ...each, kg: each.kg * by }))
const scaledRated = (rated: Rated, by: number): Rated =>
  rated.by === 'own' ? { ...rated, ratings: scaledRatings(rated.ratings, by) } : rated

/** The same plan with every mass and every figure so many times larger. */
function scaled(plan: Plan, by: number): Plan {
  const mass = <T extends { kg: number }>(each: T): T => ({ ...each, kg: each.kg * by })
  const { kerbKg, grossKg } = plan.vehicle
  return {
    ...plan,
    vehicle: {
      ...plan.vehicle,
      ...(kerbKg === undefined ? {} : { kerbKg: kerbKg * by }),
      ...(grossKg === undefined ? {} : { grossKg: grossKg * by }),
      roof: { ...plan.vehicle.roof, ratings: scaledRatings(plan.vehicle.roof.ratings, by) },
      attachments: plan.vehicle.attachments.map((each) =>
        'rated' in each
          ? { ...each, rated: scaledRated(each.rated, by) }
          : {
              ...each,
              ratings: scaledRatings(each.ratings, by),
              ...('canopyKg' in each ? { canopyKg: each.canopyKg * by } : {}),
            },
      ),
    },
    racks: plan.racks.map((rack) => ({
      ...rack,
      parts: rack.parts.map((part) => ({
        ...part,
        eachKg: part.eachKg * by,
        rated: scaledRated(part.rated, by),
      })),
    })),
    gear: plan.gear.map((gear) => ({
      ...gear,
      mass: mass(gear.mass),
      ...(gear.wetKg === undefined ? {} : { wetKg: gear.wetKg * by }),
      ...(gear.carries ? { carries: { ...gear.carries, rated: scaledRated(gear.carries.rated, by) } } : {}),
    })),
    placements: plan.placements.map((placement) => ({
      ...placement,
      loads: placement.loads.map((load) => {
        const { what } = load
        if (what.kind === 'fluid') return { ...load, what: { ...what, litres: what.litres * by } }
        return what.kind === 'mass'
          ? { ...load, what: { ...what, mass: mass(what.mass) } }
          : { ...load, what: { ...what, each: mass(what.each) } }
      }),
    })),
    use: { ...plan.use, occupants: plan.use.occupants.map((each) => ({ ...each, mass: mass(each.mass) })) },
  }
}

describe('sums', () => {
  it('do not hang on the order in which things are listed', () => {
    fc.assert(
      fc.property(
        anyPlan.chain((plan) =>
          fc
            .shuffledSubarray([...plan.placements], { minLength: plan.placements.length })
            .map((placements) => ({
              plan,
              placements,
            })),
        ),
        ({ plan, placements }) => {
          sameFigures(plan, { ...plan, placements })
          expect(review(survey({ ...plan, placements })).states).toEqual(review(survey(plan)).states)
        },
      ),
      { numRuns: runs(300) },
    )
  })

  it('do not change when a load is entered as two', () => {
    fc.assert(
      fc.property(anyPlan, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (plan, part) => {
        const placements = plan.placements.map((placement) => ({
          ...placement,
          loads: placement.loads.flatMap((load) => {
            const { what } = load
            if (what.kind !== 'mass') return [load]
            const half = (share: number) => ({ ...what, mass: { ...what.mass, kg: what.mass.kg * share } })
            return [
              { ...load, what: half(part) },
              { ...load, id: `${load.id}-b`, what: half(1 - part) },
            ]
          }),
        }))
        sameFigures(plan, { ...plan, placements })
      }),
      { numRuns: runs(300) },
    )
  })

  it('scale with all masses and figures together, and the verdicts stay', () => {
    fc.assert(
      fc.property(anyPlan, fc.double({ min: 0.2, max: 5, noNaN: true }), (plan, by) => {
        const larger = scaled(plan, by)
        sameFigures(plan, larger, by)
        // Hands, wind and the vehicle's own mass do not grow with the load: only the links' verdicts stay.
        const links = (each: Plan) =>
          review(survey(each)).findings.flatMap(({ id, severity, subject }) =>
            subject.layerId === undefined ? [] : [`${severity} ${id}`],
          )
        expect(links(larger)).toEqual(links(plan))
      }),
      { numRuns: runs(300) },
    )
  })
})
