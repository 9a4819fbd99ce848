import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS, ridgeTent, yardVan } from '@/demo/plans'
import type { Rack } from '../../plan/schema/rack'
import { barsRack, own, planOf, roofOf, thing, TUBE, vehicleWith } from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import { survey } from '../survey'
import { runs } from '@/core/runs.testing'

const ANY = { road: 500, trail: 500, parked: 500 }
const roof = vehicleWith(roofOf(ANY))
const rackOf = (rest: Parameters<typeof barsRack>[0] = {}) =>
  barsRack({ bars: own('bars', ANY), feet: own('feet', ANY), ...rest })

/** The test rack with feet and profile of its own. */
function changed(rack: Rack, bar: Partial<Extract<Rack, { kind: 'bars' }>['bars'][number]>): Rack {
  return rack.kind === 'bars' ? { ...rack, bars: rack.bars.map((each) => ({ ...each, ...bar })) } : rack
}

describe('what bars and feet carry', () => {
  it('a bar on three feet shares as a beam does: 13/32, 22/32, −3/32 of a load in the middle of one span (handbook)', () => {
    const rack = changed(rackOf(), { feetYMm: [-400, 0, 400] })
    const load = thing('load', 64, { contactsMm: { along: [], across: [0] } })
    const plan = planOf(roof, [rack], [[load, { yMm: -200 }]])
    const feet = survey(plan).footLoads.map((each) => each.loadKg.road)
    expect(feet.slice(0, 3).map((each) => Number(each.toFixed(6)))).toEqual([13, 22, -3])
  })

  it('three bars of known sections share by their stiffness; unknown ones alike', () => {
    const tube = { kind: 'flat', widthMm: 60, heightMm: 25, wallMm: 2 } as const
    const steel = { name: 'Steel', eGPa: 210 }
    const base = rackOf({ xs: [500, 1000, 1500] })
    const rack = (middle: boolean): Rack =>
      base.kind === 'bars'
        ? {
            ...base,
            bars: base.bars.map((bar, i) => ({
              ...bar,
              profile:
                i === 1 && middle
                  ? { ...tube, material: { ...steel, eGPa: 420 } }
                  : { ...tube, material: steel },
            })),
          }
        : base
    const on = (rackNow: Rack) =>
      planOf(
        roof,
        [rackNow],
        [
          [
            thing('load', 60),
            { xMm: 1000, host: { on: 'bars', barIds: ['rack-bar-1', 'rack-bar-2', 'rack-bar-3'] } },
          ],
        ],
      )
    const bars = (plan: Plan) =>
      survey(plan)
        .masses.find((mass) => mass.id === 'load')!
        .bars.map(([, share]) => Number((share * 60).toFixed(6)))
    expect(bars(on(rack(false)))).toEqual([20, 20, 20])
    expect(bars(on(rack(true)))).toEqual([15, 30, 15])
  })

  it('every bar’s beam carries what the load path says, in every state of every demo plan', () => {
    for (const plan of DEMO_PLANS) {
      const surveyed = survey(plan)
      for (const { index } of surveyed.bars)
        for (const state of ['road', 'trail', 'parked'] as const) {
          const share = surveyed.masses
            .filter(({ base, states }) => base && states.includes(state))
            .reduce(
              (sum, mass) =>
                sum + mass.kg * mass.factor * (mass.bars.find(([each]) => each === index)?.[1] ?? 0),
              0,
            )
          expect(surveyed.statics.bar(index, state)!.carriesKg).toBeCloseTo(share, 6)
        }
    }
  })

  it('a load off the one bar that holds it is named with its twist', () => {
    const plan = planOf(
      roof,
      [rackOf()],
      [[thing('load', 20), { host: { on: 'bars', barIds: ['rack-bar-1'] }, xMm: 560 }]],
    )
    expect(survey(plan).statics.twists()[0]).toMatchObject({ placementId: 'load', kg: 20, offMm: 60 })
  })
})

describe('evenness', () => {
  it('front and rear, left and right by the lever rule, and the way to the middle', () => {
    const plan = planOf(roof, [rackOf()], [[thing('load', 40), { xMm: 725, yMm: 250 }]])
    const [road] = survey(plan).statics.evenness()
    expect(road).toMatchObject({ kg: 40, frontShare: 0.75, leftShare: 0.25 })
    expect(road!.centre.xMm - road!.middle.xMm).toBeCloseTo(-225, 9)
  })
})

describe('where the next kilo may go', () => {
  const figures = { road: 100, trail: 100, parked: 100 }
  const plan = (kg: number, xMm = 950, yMm = 0) =>
    planOf(
      roof,
      [
        barsRack({
          bars: own('bars', figures),
          feet: own('feet', { road: 20, trail: 20, parked: 20 }, { per: 'each' }),
        }),
      ],
      [[thing('load', kg), { xMm, yMm }]],
    )
  const next = (of: Plan, xMm: number, yMm: number) => {
    const surveyed = survey(of)
    return surveyed.statics.nextKilo(surveyed.racks[0]!, 'road', { xMm, yMm })
  }

  it('in the middle of four feet of 20 kg each: 80 kg less what stands there; over one foot: what that foot has left', () => {
    expect(next(plan(40), 950, 0).kg).toBeCloseTo(40, 9)
    expect(next(plan(40), 500, -500).kg).toBeCloseTo(10, 9)
    expect(next(plan(40), 500, -500).unit).toBe('LHF')
  })

  it('keeps every figure in force: a set’s figure binds where each one’s does not', () => {
    const wide = planOf(
      roof,
      [barsRack({ bars: own('bars', { road: 50 }), feet: own('feet', { road: 500 }, { per: 'each' }) })],
      [[thing('load', 40)]],
    )
    const answer = next(wide, 950, 0)
    expect(answer.kg).toBeCloseTo(10, 9)
    expect(answer.binding?.layer.role).toBe('bars')
  })

  it('counts no room from what lifts: a load out on the right lets nothing more on the left', () => {
    expect(next(plan(10, 950, 900), 500, -500).kg).toBeCloseTo(20, 9)
  })

  it('names links without a figure and then says at most', () => {
    const answer = next(planOf(vehicleWith([]), [rackOf()], [[thing('load', 40)]]), 950, 0)
    expect(answer.unrated).toEqual(['Roof'])
    expect(answer.kg).toBeCloseTo(460, 9)
  })

  it('puts exactly as much as it says within every limit, and a kilogram more over one', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 1400 }),
        fc.integer({ min: -500, max: 500 }),
        fc.integer({ min: 1, max: 30 }),
        (xMm, yMm, kg) => {
          const now = plan(kg)
          const { kg: more } = next(now, xMm, yMm)
          const withMore = (extra: number) => {
            const spot = thing('spot', more + extra, { contactsMm: { along: [], across: [0] } })
            const next = planOf(roof, now.racks, [[thing('load', kg)], [spot, { xMm, yMm }]])
            return survey(next).loadPath.cells.some(
              (cell) => cell.state === 'road' && (cell.leftKg ?? 0) < -1e-6,
            )
          }
          expect(withMore(0)).toBe(false)
          expect(withMore(1)).toBe(true)
        },
      ),
      { numRuns: runs(300) },
    )
  })

  it('never rises with more mass anywhere (any demo plan, any load grown, any spot)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DEMO_PLANS.filter(({ racks }) => racks.some((rack) => rack.kind !== 'ladder'))),
        fc.nat(20),
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (demo, which, kg, alongPart, acrossPart) => {
          const id = demo.placements[which % demo.placements.length]!.gearId
          const grown = {
            ...demo,
            gear: demo.gear.map((gear) =>
              gear.id === id ? { ...gear, mass: { ...gear.mass, kg: gear.mass.kg + kg } } : gear,
            ),
          }
          const [before, after] = [survey(demo), survey(grown)]
          before.racks.forEach((rack, i) => {
            if (rack.bars.length < 2) return
            const [first, last] = [rack.bars[0]!.bar.xMm, rack.bars.at(-1)!.bar.xMm]
            const half = rack.bars[0]!.bar.usableMm / 2
            const spot = { xMm: first + alongPart * (last - first), yMm: (acrossPart * 2 - 1) * half }
            for (const state of ['road', 'trail', 'parked'] as const)
              expect(after.statics.nextKilo(after.racks[i]!, state, spot).kg).toBeLessThanOrEqual(
                before.statics.nextKilo(rack, state, spot).kg + 1e-9,
              )
          })
        },
      ),
      { numRuns: runs(300) },
    )
  })

  it('mirrors: the field of a mirrored load is the mirrored field', () => {
    const [here, there] = [survey(plan(30, 800, 180)), survey(plan(30, 800, -180))]
    const grid = { rows: 6, columns: 8 }
    const kilos = (of: typeof here) =>
      of.statics.nextKiloField(of.racks[0]!, 'road', grid).map((row) => row.map((each) => each.kg))
    const flipped = kilos(there).map((row) => row.toReversed())
    kilos(here).forEach((row, i) => row.forEach((kg, j) => expect(kg).toBeCloseTo(flipped[i]![j]!, 9)))
  })
})

describe('bending', () => {
  const bent = (profile: object = TUBE) => {
    const rack = changed(rackOf(), { profile: { kind: 'flat', widthMm: 60, heightMm: 25, ...profile } })
    const load = thing('load', 100, { contactsMm: { along: [], across: [0] } })
    return survey(planOf(roof, [rack], [[load]]))
  }

  it('50 kg in the middle of each bar: 4.241 mm down, 122.58 N·m, 43.90 MPa (handbook, from memory)', () => {
    const loaded = bent().statics.bar(0, 'road')!
    expect(loaded.lowest?.downMm).toBeCloseTo(4.241, 3)
    expect(loaded.moment.nm).toBeCloseTo(122.58, 2)
    expect(loaded.stressMPa).toBeCloseTo(43.9, 2)
  })

  it('an unknown section gives reactions only, and takes no room from under the bar', () => {
    const surveyed = bent({})
    expect(surveyed.statics.bar(0, 'road')).toMatchObject({ stressMPa: undefined, lowest: undefined })
    expect(surveyed.statics.sagMm(0, 0)).toBe(0)
  })

  it('takes room under a clamp and over a sunroof', () => {
    expect(bent().statics.sagMm(0, 0)).toBeCloseTo(4.241, 3)
    const sunroof = {
      kind: 'sunroof',
      id: 'pane',
      name: 'Sunroof',
      openingMm: { fromMm: 300, toMm: 700 },
      widthMm: 700,
      slidesOutside: { travelMm: 300, riseMm: 40 },
    } as const
    const gapTo = (surveyed: ReturnType<typeof bent>) => {
      const plan = { ...surveyed.plan, vehicle: { ...surveyed.plan.vehicle, obstacles: [sunroof] } }
      return survey(plan)
        .fit.panes()
        .find(({ met }) => met.id === 'rack-bar-1')!.gapMm
    }
    expect(gapTo(bent({})) - gapTo(bent())).toBeCloseTo(4.241, 2)
  })

  it('comes and goes with what is only parked', () => {
    const surveyed = survey(ridgeTent)
    expect(surveyed.statics.bar(0, 'parked')!.moment.nm).not.toBeCloseTo(
      surveyed.statics.bar(0, 'road')!.moment.nm,
      1,
    )
    const van = survey(yardVan)
    expect(van.statics.bar(0, 'parked')!.moment.nm).toBe(van.statics.bar(0, 'road')!.moment.nm)
    expect(van.statics.bar(0, 'parked')!.state).toBe('parked')
  })
})
