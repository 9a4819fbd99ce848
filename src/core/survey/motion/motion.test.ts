import { onAxles } from '../../facts/axles.testing'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS, bedTentJob, boatAndBox } from '@/demo/plans'
import { barsRack, LB, own, planOf, roofOf, thing, vehicleWith, weight } from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import { survey } from '../survey'
import { motionCases } from './cases'
import { recommendedLimit, liftOf } from './lifting'
import {
  frictionLashings,
  limitCounted,
  limitWanted,
  tieDownsByLength,
  UNLABELLED_WEBBING_KG,
} from './securing'
import { BANDS, bandOf, sideSlopeDeg, staticStabilityFactor } from './tip-over'
import { dynamicPressure, kWhPer100Km } from './wind'
import { runs } from '@/core/runs.testing'

const ANY = { road: 500, trail: 500, parked: 500 }
const FT = 304.8
const vehicle = vehicleWith(roofOf(ANY))
const rackOf = (xs?: number[]) =>
  barsRack({ bars: own('bars', ANY), feet: own('feet', ANY), ...(xs ? { xs } : {}) })

describe('rows of the check list: securing', () => {
  it('half the mass as working load limits; over the top counts whole, same side half (published: 49 CFR 393.106(d), memory)', () => {
    expect(limitWanted(100)).toBe(50)
    expect(limitCounted(2, 40, 'over')).toBe(80)
    expect(limitCounted(2, 40, 'sameSide')).toBe(40)
  })

  it.each([
    [5 * FT, 1100 * LB, 1],
    [5 * FT, 1101 * LB, 2],
    [5.1 * FT, 20, 2],
    [10 * FT, 2000, 2],
    [10.1 * FT, 20, 3],
    [20 * FT, 20, 3],
    [20.1 * FT, 20, 4],
  ])('%f mm and %f kg take %i tie-downs (published: 49 CFR 393.110, memory)', (mm, kg, count) => {
    expect(tieDownsByLength(mm, kg)).toBe(count)
  })

  it('webbing without a label: 1750, 2000, 3000 and 4000 lb (published: 49 CFR 393.108, memory)', () => {
    expect(UNLABELLED_WEBBING_KG.map(([inches, kg]) => [inches, Math.round(kg)])).toEqual([
      [1.75, 794],
      [2, 907],
      [3, 1361],
      [4, 1814],
    ])
  })

  it('friction lashing: 100 kg, c 0.8, μ 0.3, 80°, 1000 N, f_s 1.25 take 1.037 (published: EN 12195-1, memory)', () => {
    const lashing = { kg: 100, push: 0.8, friction: 0.3, angleDeg: 80, pullN: 1000 }
    expect(frictionLashings({ ...lashing, safety: 1.25 })).toBeCloseTo(1.037, 3)
    expect(frictionLashings({ ...lashing, push: 0.5, safety: 1.1 })).toBeCloseTo(0.365, 3)
    expect(frictionLashings({ ...lashing, push: 0.3, safety: 1.25 })).toBe(0)
  })

  it('a load 5 m long on the bars wants four by length; the list says how strong each must be', () => {
    const boat = thing('boat', 60, { shape: 'hull', lengthMm: 6200, widthMm: 600 })
    const [tie] = survey(planOf(vehicle, [rackOf()], [[boat, { straps: { count: 1 } }]])).motion.tieDowns()
    expect(tie).toMatchObject({ byLength: 4, wanted: 4, planned: 1, plannedEachKg: undefined, long: true })
    expect(tie!.eachKg).toBeCloseTo(7.5, 9)
  })

  it('what is packed inside, or held by a mount, wants none', () => {
    const clamped = thing('tray', 20, {
      fit: { mount: { kind: 'slat', slotMm: 10 } },
    })
    expect(survey(planOf(vehicle, [rackOf()], [[clamped]])).motion.tieDowns()).toEqual([])
  })
})

describe('rows of the check list: wind', () => {
  it('110 km/h at 1.225 kg/m³: 571.9 Pa; 0.24 m² add 137.2 N and 3.81 kWh per 100 km (handbook)', () => {
    expect(dynamicPressure(110)).toBeCloseTo(571.9, 1)
    expect(dynamicPressure(110) * 0.24).toBeCloseTo(137.2, 1)
    expect(kWhPer100Km(137.2)).toBeCloseTo(3.81, 2)
  })

  it('drag by shape lies where the handbook has it: cube 1.05, long cylinder 1.1 to 1.2, plate 1.17 to 1.28 (handbook: Hoerner, memory)', () => {
    const cd = (shape: 'box' | 'tray') =>
      survey(planOf(vehicle, [], [])).motion.wind().items.length === 0
        ? survey(planOf(vehicle, [rackOf()], [[thing('it', 9, { shape })]]))
            .motion.wind()
            .items.find(({ id }) => id === 'it')!.cd!
        : 0
    const round = barsRack({})
    const tube = { kind: 'round', widthMm: 28, heightMm: 28 } as const
    const bars =
      round.kind === 'bars' ? { ...round, bars: round.bars.map((bar) => ({ ...bar, profile: tube })) } : round
    const cylinder = survey(planOf(vehicle, [bars])).motion.wind().items[0]!.cd!
    expect(cylinder).toBeGreaterThanOrEqual(1.1)
    expect(cylinder).toBeLessThanOrEqual(1.2)
    expect(cd('box')).toBe(1.05)
    expect(cd('tray')).toBeGreaterThanOrEqual(1.17)
    expect(cd('tray')).toBeLessThanOrEqual(1.28)
  })

  it('adds up box by box and bar by bar; a maker’s own drag area goes before shape and size', () => {
    const plan = (rest: object) => planOf(vehicle, [rackOf()], [[thing('it', 9, rest)]])
    const wind = survey(plan({})).motion.wind()
    // 600 × 300 mm of box at 1.05, two shaped bars of 1300 × 30 mm at 0.35.
    expect(wind.cdAM2).toBeCloseTo(0.18 * 1.05 + 2 * 0.039 * 0.35, 9)
    expect(wind.dragN).toBeCloseTo(dynamicPressure(110) * wind.cdAM2, 6)
    const known = survey(plan({ dragAreaM2: 0.1 })).motion.wind()
    expect(known.items.find(({ id }) => id === 'it')).toMatchObject({ cdAM2: 0.1, cd: undefined })
  })

  it('litres by what drives it: 3.81 kWh at 25 % of petrol’s 8.9 kWh/l are 1.71 l', () => {
    const plan: Plan = {
      ...planOf(vehicle, [], []),
      vehicle: { ...vehicle, drive: { energy: 'petrol', efficiencyPercent: 25 } },
    }
    const fuel = (of: Plan) => survey(of).motion.wind().fuelPer100Km
    expect(fuel(plan)).toEqual({ unit: 'L', amount: 0 })
    const boxed = planOf(plan.vehicle, [rackOf()], [[thing('it', 9, { dragAreaM2: 0.2127 })]])
    expect(fuel(boxed)!.amount).toBeCloseTo(1.71, 2)
    expect(fuel(planOf(vehicle, [rackOf()], []))).toBeUndefined()
  })
})

describe('rows of the check list: standing', () => {
  it('1650 kg at 620 mm, track 1560; 85 kg at 1750 mm on it: 1.258 → 1.155, 51.5° → 49.1° (published: NHTSA, memory)', () => {
    expect(staticStabilityFactor(1560, 620)).toBeCloseTo(1.258, 3)
    expect(sideSlopeDeg(staticStabilityFactor(1560, 620))).toBeCloseTo(51.5, 1)
    const bare = {
      ...vehicle,
      kerbKg: 1650,
      trackMm: { front: 1560, rear: 1560 },
      centreOfGravity: { known: 'position', xMm: 700, heightMm: 620 } as const,
    }
    const seat = survey(planOf(bare, [rackOf()], [[thing('load', 85)]])).thingById.get('load')!.box.z0
    const load = thing('load', 85, { centreOfGravity: { xMm: 0, yMm: 0, zMm: 1750 - seat } })
    const { bare: before, loaded, own } = survey(planOf(bare, [rackOf()], [[load]])).motion.standing()
    expect(own.estimated).toEqual([])
    expect(before.factor).toBeCloseTo(1.258, 3)
    expect(loaded.factor).toBeCloseTo(1.155, 3)
    expect(loaded.slopeDeg).toBeCloseTo(49.1, 1)
  })

  it('NHTSA’s bands after rounding to two places (published 2001, memory)', () => {
    const band = (factor: number) => BANDS[bandOf(factor)]!.name
    expect([1.446, 1.444, 1.245, 1.244, 1.13, 1.124, 1.04, 1.034].map(band)).toEqual([
      '1.45 or more',
      '1.25 to 1.44',
      '1.25 to 1.44',
      '1.13 to 1.24',
      '1.13 to 1.24',
      '1.04 to 1.12',
      '1.04 to 1.12',
      '1.03 or less',
    ])
  })

  it('says what is only estimated, and brackets it', () => {
    const { own, loaded, loadedBetween } = survey(
      planOf(vehicle, [rackOf()], [[thing('load', 60)]]),
    ).motion.standing()
    expect(own.estimated).toEqual(['kerb mass', 'height of the centre of gravity', 'track'])
    expect(loadedBetween.least.factor).toBeLessThan(loaded.factor)
    expect(loadedBetween.most.factor).toBeGreaterThan(loaded.factor)
  })

  it('axles: the lever rule over the wheelbase, and all of it together (handbook)', () => {
    const known = {
      ...vehicle,
      kerbKg: 1500,
      axleLimitKg: { front: 1400, rear: 1500 },
      centreOfGravity: { known: 'stability', frontShare: 0.6, staticStabilityFactor: 1.3 } as const,
    }
    const front = known.frontOverhangMm - known.noseToScreenMm
    const xMm = front + known.wheelbaseMm / 4
    const { front: onFront, rear } = onAxles(
      planOf(known, [rackOf()], [[thing('load', 80), { xMm }]]),
      'road',
    )
    expect([onFront, rear].map((kg) => Number(kg?.toFixed(6)))).toEqual([960, 620])
    expect(onAxles(planOf(vehicle, [rackOf()], []), 'road')).toEqual({})
  })
})

describe('rows of the check list: load cases', () => {
  it('0.8 g forward, 0.5 g rearward and to each side; slopes as parts of gravity (published: 49 CFR 393.102, EN 12195-1, memory)', () => {
    const cases = motionCases({
      roadKmH: 110,
      trailKmH: 30,
      trailPitchDeg: 30,
      trailRollDeg: 0,
      snowKgPerM2: 0,
      occupants: [],
    })
    expect(
      cases
        .slice(0, 5)
        .map(({ id, along, across, down }) => [
          id,
          ...[along, across, down].map((each) => Number(each.toFixed(4)) + 0),
        ]),
    ).toEqual([
      ['brake', -0.8, 0, 1],
      ['pull', 0.5, 0, 1],
      ['left', 0, 0.5, 1],
      ['right', 0, -0.5, 1],
      ['noseDown', -0.5, 0, 0.866],
    ])
  })

  it('braking at 0.8 g: 70 kg at 350 mm over the feet on a spread of 800 move 24.5 kg to the front pair (handbook)', () => {
    const at = survey(planOf(vehicle, [rackOf([500, 1300])], [[thing('load', 70), { xMm: 900 }]]))
    const seat = at.feet[0]!.seatZMm
    const load = thing('load', 70, {
      centreOfGravity: { xMm: 0, yMm: 0, zMm: seat + 350 - at.thingById.get('load')!.box.z0 },
    })
    const surveyed = survey(planOf(vehicle, [rackOf([500, 1300])], [[load, { xMm: 900 }]]))
    const braked = surveyed.motion.feet().filter(({ state }) => state === 'road')
    const kg = (corner: string) =>
      braked
        .find(({ footIndex }) => surveyed.feet[footIndex]!.corner === corner)!
        .cases.find((each) => each.case.id === 'brake')!.kg
    expect(kg('LHF') + kg('RHF')).toBeCloseTo(35 + 24.5, 6)
    expect(kg('LHR') + kg('RHR')).toBeCloseTo(35 - 24.5, 6)
  })

  it('a bend moves a·h / gauge across, and a slope takes the cosine of the weight', () => {
    const plan = {
      ...planOf(vehicle, [rackOf()], [[thing('load', 40)]]),
    }
    const surveyed = survey({ ...plan, use: { ...plan.use, trailRollDeg: 30, trailPitchDeg: 0 } })
    const height = surveyed.thingById.get('load')!.centre.z - surveyed.feet[0]!.seatZMm
    const rows = surveyed.motion.feet()
    const side = (state: 'road' | 'trail', id: string, which: 'left' | 'right') =>
      rows
        .filter((row) => row.state === state && surveyed.feet[row.footIndex]!.side === which)
        .reduce((sum, row) => sum + row.cases.find((each) => each.case.id === id)!.kg, 0)
    expect(side('road', 'left', 'right')).toBeCloseTo(20 + (40 * 0.5 * height) / 1000, 6)
    const trail = side('trail', 'rollRight', 'left') + side('trail', 'rollRight', 'right')
    expect(trail).toBeCloseTo(40 * Math.cos(Math.PI / 6), 6)
    expect(side('trail', 'rollRight', 'right')).toBeCloseTo(
      20 * Math.cos(Math.PI / 6) + (40 * Math.sin(Math.PI / 6) * height) / 1000,
      6,
    )
  })

  it('loses no load on the level, and mirrors: left-hand bends of a plan are right-hand bends of its mirror image', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DEMO_PLANS),
        fc.double({ min: -300, max: 300, noNaN: true }),
        (demo, dy) => {
          const moved = (sign: number): Plan => ({
            ...demo,
            placements: demo.placements
              .filter(({ host }) => host.on !== 'panel' && host.on !== 'place' && host.on !== 'ladder')
              .map((each) => ({ ...each, yMm: sign * (each.yMm + dy), loads: [] })),
            gear: demo.gear.map(({ centreOfGravity: _, outlineMm: __, ...gear }) => gear),
          })
          const [a, b] = [survey(moved(1)), survey(moved(-1))]
          const sums = a.motion.feet().reduce<number[]>((sum, { cases }) => {
            cases.forEach((each, i) => (sum[i] = (sum[i] ?? 0) + (each.case.state === 'road' ? each.kg : 0)))
            return sum
          }, [])
          for (const sum of sums.slice(1)) expect(sum).toBeCloseTo(sums[0]!, 6)
          const corner = (of: typeof a, index: number) => of.feet[index]!
          for (const row of a.motion.feet()) {
            const foot = corner(a, row.footIndex)
            const twin = b.motion
              .feet()
              .find(
                (each) =>
                  each.state === row.state &&
                  corner(b, each.footIndex).barIndex === foot.barIndex &&
                  Math.abs(corner(b, each.footIndex).yMm + foot.yMm) < 1e-9,
              )
            if (!twin) continue
            const of = (cases: typeof row.cases, id: string) =>
              cases.find((each) => each.case.id === id)?.kg ?? 0
            expect(of(twin.cases, 'right')).toBeCloseTo(of(row.cases, 'left'), 6)
            expect(of(twin.cases, 'brake')).toBeCloseTo(of(row.cases, 'brake'), 6)
            expect(of(twin.cases, 'rollLeft')).toBeCloseTo(of(row.cases, 'rollRight'), 6)
          }
        },
      ),
      { numRuns: runs(200) },
    )
  })

  it('a load on a side panel tips onto the other side’s feet in a bend', () => {
    const rack = rackOf()
    const panels = { ...rack, parts: [...rack.parts] }
    const plan = planOf(
      vehicle,
      [panels],
      [[thing('board', 10), { host: { on: 'panel', rackId: 'rack', side: 'left', zMm: 200 }, yMm: -600 }]],
    )
    const surveyed = survey(plan)
    const height = surveyed.thingById.get('board')!.centre.z - surveyed.feet[0]!.seatZMm
    const right = surveyed.motion
      .feet()
      .filter(({ state, footIndex }) => state === 'road' && surveyed.feet[footIndex]!.side === 'right')
      .reduce((sum, row) => sum + row.cases.find((each) => each.case.id === 'left')!.kg, 0)
    expect(right).toBeCloseTo((10 * 0.5 * height) / 1000, 6)
  })
})

describe('rows of the check list: lifting', () => {
  /** NIOSH's own press-stock example rounds its factors: 5 % is allowed. In inches and pounds as it gives them. */
  const inch = (value: number) => value * 2.54
  it('NIOSH 94-110, first worked example: 15.7 lb at the origin, 13.9 lb at the destination (published, memory)', () => {
    const origin = recommendedLimit({ outCm: inch(23), heightCm: inch(15) }, inch(48), 'fair') / LB
    const destination = recommendedLimit({ outCm: inch(23), heightCm: inch(63) }, inch(48), 'fair') / LB
    expect(origin).toBeCloseTo(15.7, 1)
    expect(destination).toBeCloseTo(13.9, 1)
    expect(Math.abs(origin / 16.3 - 1)).toBeLessThan(0.05)
    expect(Math.abs(destination / 14.5 - 1)).toBeLessThan(0.05)
  })

  it('is 23 kg at its best, and nothing above 175 cm or past 63 cm out (published, memory)', () => {
    expect(recommendedLimit({ outCm: 25, heightCm: 75 }, 25, 'good')).toBe(23)
    expect(recommendedLimit({ outCm: 25, heightCm: 175.1 }, 100, 'good')).toBe(0)
    expect(recommendedLimit({ outCm: 63.1, heightCm: 75 }, 25, 'good')).toBe(0)
    expect(recommendedLimit({ outCm: 20, heightCm: 75 }, 10, 'poor')).toBeCloseTo(20.7, 9)
    expect(recommendedLimit({ outCm: 25, heightCm: 75 }, 25, 'good', 90)).toBeCloseTo(23 * 0.712, 9)
  })

  it('advises one, two, two on a step, a platform, or a loader', () => {
    const size = { depth: 400, height: 400 }
    const by = (kg: number, toMm: number) => liftOf(kg, size, toMm).advice.by
    expect(by(5, 1500)).toBe('one')
    expect(by(18, 1500)).toBe('two')
    expect(by(18, 1900)).toBe('stepTwo')
    expect(by(18, 2600)).toBe('platform')
    expect(by(60, 1500)).toBe('loader')
  })

  it('takes a box up empty first, then what goes into it in pieces; a can with its fluid in one', () => {
    const lifts = survey(boatAndBox).motion.lifts()
    const box = lifts.filter(({ thing: { gear } }) => gear.id === 'long-box')
    expect(box.map(({ name, kg }) => [name, kg])).toEqual([
      ['Long box', 18],
      ['Box contents into Long box', 25.7],
    ])
    expect(box[1]!.pieces).toBe(3)
    const can = thing('can', 4)
    const petrol = weight('petrol', 0, {
      what: { kind: 'fluid', fluid: 'water', litres: 10 },
    })
    const [lift] = survey(planOf(vehicle, [rackOf()], [[can, { loads: [petrol] }]])).motion.lifts()
    expect(lift!.kg).toBe(14)
  })
})

describe('sleepers', () => {
  it('bear at their worst no less than as they are placed, wherever they are placed', () => {
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 400 }), fc.integer({ min: -200, max: 200 }), (xMm, yMm) => {
        const placed: Plan = {
          ...bedTentJob,
          placements: bedTentJob.placements.map((each) => ({
            ...each,
            loads: each.loads.map((load) => ({ ...load, atMm: { xMm, yMm } })),
          })),
        }
        for (const foot of survey(placed).motion.sleepers()) {
          expect(foot.mostKg).toBeGreaterThanOrEqual(foot.asPlacedKg - 1e-9)
          expect(foot.leastKg).toBeLessThanOrEqual(foot.asPlacedKg + 1e-9)
        }
      }),
      { numRuns: runs(200) },
    )
  })

  it('move the feet’s figures with where they are placed, their sum never', () => {
    const at = (xMm: number) =>
      survey({
        ...bedTentJob,
        placements: bedTentJob.placements.map((each) => ({
          ...each,
          loads: each.loads.map((load) => ({ ...load, atMm: { xMm, yMm: 0 } })),
        })),
      }).footLoads.map((each) => each.loadKg.parked)
    const sum = (list: readonly number[]) => list.reduce((total, each) => total + each, 0)
    expect(at(-200)[0]).toBeGreaterThan(at(200)[0]!)
    expect(sum(at(-200))).toBeCloseTo(sum(at(200)), 9)
  })
})

describe('the nose of a long load', () => {
  it('is held by its weight behind, and let go by speed and a bump', () => {
    const boat = (kmH: number) => {
      const plan = planOf(
        vehicle,
        [rackOf()],
        [[thing('boat', 25, { shape: 'hull', lengthMm: 5000, widthMm: 600 }), { xMm: 900 }]],
      )
      return survey({ ...plan, use: { ...plan.use, roadKmH: kmH } }).motion.noseUps()[0]!
    }
    // 25 kg, 500 mm ahead of the rear bar at 1400.
    expect(boat(110).holdsNm).toBeCloseTo((25 * 9.80665 * 500) / 1000, 6)
    expect(boat(0).upNm).toBeCloseTo(boat(0).holdsNm / 2, 6)
    expect(boat(110).upNm).toBeGreaterThan(boat(0).upNm)
  })
})
