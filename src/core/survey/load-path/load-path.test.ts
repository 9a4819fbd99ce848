import { bar, part } from '../../plan/starting/templates'
import { figuresSay } from '../../review/checks/findings.testing'
import { describe, expect, it } from 'vitest'
import {
  at,
  barsRack,
  carrier,
  LB,
  own,
  planOf,
  RAILS,
  roofOf,
  thing,
  vehicleWith,
  weight,
} from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import type { Rack } from '../../plan/schema/rack'
import type { State } from '../../units/scalars'
import { review } from '../../review/review'
import { barEnds, sharedWidth, spreadBehind } from '../bars/bar-ends'
import { survey } from '../survey'

const cell = (plan: Plan, layerId: string, state: State) => {
  const found = survey(plan).loadPath.cellAt(layerId, state)
  if (!found) throw new Error(`no cell ${layerId} ${state}`)
  return found
}
const governing = (plan: Plan, state: State) => survey(plan).loadPath.governing[state]
const allowance = (plan: Plan, state: State) => {
  const found = survey(plan).allowances.find((each) => each.state === state)
  if (!found) throw new Error('no allowance')
  return found.kind === 'unknown' ? found : { kind: found.kind, kg: found.kg, by: found.binding.layer.name }
}
const pounds = (kg: number | undefined) => (kg ?? Number.NaN) / LB

/** Roomy enough never to rule. */
const ROOF = roofOf({ road: 900, trail: 900, parked: 900 })
const ANY = { road: 500, trail: 500, parked: 500 }

describe('rows of the check list: load path', () => {
  it('bars rated 210 lb on feet rated 150 lb make a rack of 150 lb (common practice, no source)', () => {
    const plan = planOf(
      vehicleWith(ROOF),
      [barsRack({ bars: own('bars', { road: 210 * LB }), feet: own('feet', { road: 150 * LB }) })],
      [[thing('load', 1)]],
    )
    expect(governing(plan, 'road')?.layer.name).toBe('Feet')
    const kg = survey({ ...plan, placements: [] }).allowances.find((each) => each.state === 'road')
    expect(kg?.kind === 'known' ? pounds(kg.kg) : undefined).toBeCloseTo(150, 9)
  })

  it('a 150 lb rack with a 36 lb box on it leaves 114 lb for contents (common practice, no source)', () => {
    const plan = planOf(
      vehicleWith(ROOF),
      [barsRack({ bars: own('bars', { road: 150 * LB }), feet: own('feet', { road: 150 * LB }) })],
      [[carrier('box', 36 * LB, ANY)]],
    )
    const found = allowance(plan, 'road')
    expect('kg' in found ? pounds(found.kg) : undefined).toBeCloseTo(114, 9)
    const full = planOf(plan.vehicle, plan.racks, [
      [carrier('box', 36 * LB, ANY), { loads: [weight('contents', 114 * LB)] }],
    ])
    expect(figuresSay(full).road).toBe('clear')
    const over = planOf(plan.vehicle, plan.racks, [
      [carrier('box', 36 * LB, ANY), { loads: [weight('contents', 115 * LB)] }],
    ])
    expect(figuresSay(over).road).toBe('stop')
  })

  it('a 240 lb rack on a 150 lb roof gains 7 lb over a 143 lb rack, not 97 (common practice, no source)', () => {
    const roof = roofOf({ road: 150 * LB })
    const rack = (kg: number) =>
      barsRack({ bars: own('bars', { road: kg }), feet: own('feet', { road: kg }) })
    const weak = allowance(planOf(vehicleWith(roof), [rack(143 * LB)]), 'road')
    const strong = allowance(planOf(vehicleWith(roof), [rack(240 * LB)]), 'road')
    expect(strong).toMatchObject({ by: 'Roof' })
    expect('kg' in strong && 'kg' in weak ? pounds(strong.kg - weak.kg) : undefined).toBeCloseTo(7, 9)
  })

  it('500 lb road, 300 trail, 800 parked: a tent with two sleepers is clear in all; 330 lb stops on trail only', () => {
    // Practice (limits), invented (loads).
    const figures = { road: 500 * LB, trail: 300 * LB, parked: 800 * LB }
    const racks = [barsRack({ bars: own('bars', figures), feet: own('feet', figures) })]
    const tent = carrier('tent', 190 * LB, { road: 500, trail: 500, parked: 500 }, { kind: 'tent' })
    const people = {
      id: 'sleepers',
      name: 'Sleepers',
      when: 'parked' as const,
      what: { kind: 'people' as const, count: 2, each: { kg: 180 * LB, basis: 'weighed' as const } },
    }
    const camp = planOf(vehicleWith(ROOF), racks, [
      [tent, { loads: [people, weight('bedding', 20 * LB, { when: 'parked' })] }],
    ])
    expect(
      (['road', 'trail', 'parked'] as const).map((state) =>
        pounds(cell(camp, 'part:rack-bars', state).countedKg),
      ),
    ).toEqual([expect.closeTo(190, 9), expect.closeTo(190, 9), expect.closeTo(570, 9)])
    expect(figuresSay(camp)).toMatchObject({ road: 'clear', trail: 'clear', parked: 'clear' })
    const heavy = planOf(vehicleWith(ROOF), racks, [[thing('load', 330 * LB)]])
    expect(figuresSay(heavy)).toMatchObject({ road: 'clear', trail: 'stop', parked: 'clear' })
  })

  it('a hatch of 200 lb governs a ladder rated more; a helper of 170 lb fits between (common practice, no source)', () => {
    const vehicle = vehicleWith(ROOF, [
      { kind: 'hatchSeam', id: 'hatch', name: 'Hatch', xMm: 2400, ratings: roofOf({ parked: 200 * LB }) },
    ])
    const ladder: Rack = {
      id: 'ladder',
      kind: 'ladder',
      name: 'Ladder',
      attachmentId: 'hatch',
      when: 'parked',
      topZMm: 1500,
      bottomZMm: 600,
      xMm: 2700,
      yMm: 0,
      widthMm: 300,
      parts: [part('ladder-ladder', 'ladder', 'Ladder', 1, 15 * LB, own('ladder', { parked: 250 * LB }))],
    }
    const helper = (kg: number) =>
      planOf(
        vehicle,
        [ladder],
        [
          [
            thing('helper', kg, { kind: 'person', when: 'parked' }),
            { host: { on: 'ladder', rackId: 'ladder' }, when: 'parked' },
          ],
        ],
      )
    const plan = helper(170 * LB)
    expect(governing(plan, 'parked')?.layer.name).toBe('Hatch')
    expect(pounds(cell(plan, 'attachment:hatch', 'parked').countedKg)).toBeCloseTo(185, 9)
    expect(figuresSay(plan).parked).toBe('clear')
    expect(figuresSay(helper(190 * LB)).parked).toBe('stop')
    expect(survey(plan).loadPath.layers.some((layer) => layer.id === 'roof')).toBe(false)
  })

  it('a pair of tool clamps rated 18 lb together stops at two tools of 10 lb (common practice, no source)', () => {
    const clamps = carrier(
      'clamps',
      1,
      { road: 18 * LB, trail: 18 * LB, parked: 18 * LB },
      {
        kind: 'carrier',
        carries: {
          rated: own('clamps', { road: 18 * LB, trail: 18 * LB, parked: 18 * LB }, { counts: 'load' }),
          places: [
            { id: 'left', name: 'Left', kind: 'clamp', xMm: 0, yMm: -60, zMm: 40 },
            { id: 'right', name: 'Right', kind: 'clamp', xMm: 0, yMm: 60, zMm: 40 },
          ],
        },
      },
    )
    const tools = (kg: number) =>
      planOf(
        vehicleWith(ROOF),
        [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
        [
          [clamps],
          [
            thing('axe', kg, { widthMm: 90 }),
            { host: { on: 'place', placementId: 'clamps', placeId: 'left' }, xMm: 0 },
          ],
          [
            thing('shovel', kg, { widthMm: 90 }),
            { host: { on: 'place', placementId: 'clamps', placeId: 'right' }, xMm: 0 },
          ],
        ],
      )
    expect(
      review(survey(tools(10 * LB))).findings.filter((finding) => finding.severity === 'stop'),
    ).toHaveLength(3)
    expect(figuresSay(tools(9 * LB)).all).toBe('clear')
  })

  it('what reaches both bars has the usable width of the narrower: 45 1/2 and 40 3/4 in give 40 3/4 (common practice)', () => {
    const front = {
      ...bar('f', 'Front', 0, 1300, 500, 60, { kind: 'aero', widthMm: 80, heightMm: 30 }),
      usableMm: 45.5 * 25.4,
    }
    const rear = { ...front, id: 'r', usableMm: 40.75 * 25.4 }
    expect(sharedWidth([front, rear]) / 25.4).toBeCloseTo(40.75, 9)
  })

  it('a bar runs (length − tower spacing) / 2 past each foot; 5 in more length is 2 1/2 in at each end (common practice)', () => {
    const short = bar('b', 'Bar', 0, 1270, 500, 60, { kind: 'aero', widthMm: 80, heightMm: 30 })
    expect(barEnds(short)).toEqual({ leftMm: 135, rightMm: 135 })
    const long = { ...short, lengthMm: 1270 + 127 }
    expect(barEnds(long).leftMm - barEnds(short).leftMm).toBeCloseTo(63.5, 9)
    expect(barEnds(long).rightMm - barEnds(short).rightMm).toBeCloseTo(63.5, 9)
  })

  it('a spread outside 600 to 900 mm is no finding: the liking of most gear is a hint, never a rule (common practice)', () => {
    for (const spread of [500, 760, 1300]) {
      const racks = [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY), xs: [500, 500 + spread] })]
      const plan = planOf(vehicleWith(ROOF), racks, [
        [thing('load', 20, { lengthMm: 1400 }), { xMm: 500 + spread / 2 }],
      ])
      expect(figuresSay(plan).all).toBe('clear')
      expect(spreadBehind(survey(plan), 'rack-bar-1')).toBe(spread)
      expect(spreadBehind(survey(plan), 'rack-bar-2')).toBeUndefined()
    }
  })
})

describe('an adapter', () => {
  it('weighs on bars and roof, lifts what stands on it, and has a figure of its own for what it holds', () => {
    const adapter = {
      id: 'saddle',
      name: 'Saddle',
      kg: 1.5,
      heightMm: 24,
      mount: { kind: 'strap' },
      gives: { kind: 'section', widthMm: 70, heightMm: 24, roomMm: 30 },
      rated: own('saddle', { road: 25, trail: 25, parked: 25 }, { counts: 'load' }),
    } as const
    const of = (fitted: boolean) =>
      planOf(
        vehicleWith(ROOF),
        [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
        [[thing('load', 30), fitted ? { fitting: { adapter } } : {}]],
      )
    const [without, fitted] = [survey(of(false)), survey(of(true))]
    const counted = (surveyed: typeof fitted, layer: string) =>
      surveyed.loadPath.cellAt(layer, 'road')?.countedKg
    expect(counted(fitted, 'part:rack-bars')).toBeCloseTo(31.5, 9)
    expect(counted(fitted, 'roof')).toBeCloseTo((counted(without, 'roof') ?? 0) + 1.5, 9)
    expect(counted(fitted, 'adapter:load')).toBeCloseTo(30, 9)
    expect(fitted.things[0]!.box.z0 - without.things[0]!.box.z0).toBe(24)
    expect(review(fitted).findings[0]).toMatchObject({
      severity: 'stop',
      subject: { layerId: 'adapter:load' },
    })
  })
})

describe('what each kind of rack loads', () => {
  const masses = (plan: Plan, layerId: string) => cell(plan, layerId, 'road').countedKg

  it('bars on feet on rails: bars and feet count what stands on them, the roof counts the rack too', () => {
    const plan = planOf(
      vehicleWith(ROOF),
      [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY), eachKg: 2 })],
      [[thing('load', 30)]],
    )
    expect(masses(plan, 'part:rack-bars')).toBeCloseTo(30, 9)
    expect(masses(plan, 'part:rack-feet')).toBeCloseTo(30, 9)
    expect(masses(plan, 'roof')).toBeCloseTo(30 + 2 * 2 + 4 * 2, 9)
  })

  it('a roof that counts only the load leaves the rack out; silent, the house rule says', () => {
    const racks = [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY), eachKg: 2 })]
    const said = planOf(vehicleWith(roofOf({ road: 900 }, { counts: 'load' })), racks, [[thing('load', 30)]])
    expect(masses(said, 'roof')).toBeCloseTo(30, 9)
    const silent = planOf(vehicleWith(roofOf({ road: 900 }, {})), racks, [[thing('load', 30)]])
    expect(masses(silent, 'roof')).toBeCloseTo(42, 9)
    expect(masses({ ...silent, rules: { ...silent.rules, roofCounts: 'load' } }, 'roof')).toBeCloseTo(30, 9)
  })

  it('a bare roof: feet clamp the door frames, and their points are judged one by one', () => {
    const doors = {
      kind: 'bareRoof' as const,
      id: 'rails',
      name: 'Door frames',
      rated: own('doors', { road: 25 }, { per: 'each', counts: 'everything' }),
      doorPositions: [{ xMm: 500, yMm: 500 }],
    }
    const plan = planOf(
      vehicleWith(ROOF, [doors]),
      [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
      [[thing('load', 40), { yMm: 250 }]],
    )
    const found = cell(plan, 'attachment:rails', 'road')
    expect(found.per).toBe('each')
    expect(found.countedKg).toBeCloseTo(15, 9)
    expect(found.layer.units[found.unit]).toMatch(/^RH/)
    expect(found.addableKg).toBeCloseTo((25 - 15) * 4, 9)
  })

  it('a platform as gear on bars, with a box on it, is three levels: contents, deck, bars', () => {
    const deck = carrier(
      'deck',
      20,
      { road: 60 },
      {
        kind: 'platform',
        carries: {
          rated: own('deck', { road: 60 }, { counts: 'load' }),
          places: [{ id: 'top', name: 'Top', kind: 'deck', xMm: 0, yMm: 0, zMm: 50 }],
        },
      },
    )
    const plan = planOf(
      vehicleWith(ROOF),
      [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
      [
        [deck],
        [
          carrier('box', 12, { road: 40 }),
          {
            host: { on: 'place', placementId: 'deck', placeId: 'top' },
            xMm: 0,
            loads: [weight('contents', 25)],
          },
        ],
      ],
    )
    expect(masses(plan, 'carrier:box')).toBeCloseTo(25, 9)
    expect(masses(plan, 'carrier:deck')).toBeCloseTo(37, 9)
    expect(masses(plan, 'part:rack-bars')).toBeCloseTo(57, 9)
    const order = survey(plan).loadPath.layers.map((layer) => layer.id)
    expect(order).toEqual(['carrier:box', 'carrier:deck', 'part:rack-bars', 'part:rack-feet', 'roof'])
  })

  it('a frame rack ends at the frame and leaves the roof unloaded', () => {
    const frame = {
      kind: 'framePoint' as const,
      id: 'rails',
      name: 'Frame',
      ratings: roofOf({ road: 300 }),
      points: [{ xMm: 0, yMm: 800 }],
    }
    const rack = {
      ...barsRack({ bars: own('bars', ANY), feet: own('feet', ANY), eachKg: 5 }),
      kind: 'frame' as const,
    }
    const plan = planOf(vehicleWith(ROOF, [frame]), [rack as Rack], [[thing('load', 50)]])
    const { layers } = survey(plan).loadPath
    expect(layers.map((layer) => layer.id)).not.toContain('roof')
    expect(masses(plan, 'attachment:rails')).toBeCloseTo(50 + 2 * 5 + 4 * 5, 9)
  })

  it('a bed rack ends at the bed rail; gear over two racks gives each its reaction', () => {
    const bed = {
      kind: 'bedRail' as const,
      id: 'bed',
      name: 'Bed rails',
      ratings: roofOf({ road: 400 }),
      gaugeMm: 1400,
      ranges: [{ fromMm: 1500, toMm: 3000 }],
      topZMm: 1100,
    }
    const cab = barsRack({ bars: own('bars', ANY), feet: own('feet', ANY), xs: [0, 900] })
    const bedRack: Rack = {
      ...barsRack({ id: 'bedrack', bars: own('bars2', ANY), feet: own('feet2', ANY), xs: [1800, 2700] }),
      kind: 'bed',
      sideHeightMm: 400,
      attachmentId: 'bed',
    } as Rack
    const plan = planOf(
      vehicleWith(ROOF, [RAILS, bed]),
      [cab, bedRack],
      [
        [
          thing('boat', 40, { lengthMm: 5000 }),
          { host: { on: 'bars', barIds: ['rack-bar-2', 'bedrack-bar-1'] }, xMm: 1200 },
        ],
      ],
    )
    // Lever rule between bars at 900 and 1800 with the centre of gravity at 1200: 2/3 and 1/3.
    expect(masses(plan, 'part:rack-bars')).toBeCloseTo(26.667, 3)
    expect(masses(plan, 'part:bedrack-bars')).toBeCloseTo(13.333, 3)
    expect(masses(plan, 'roof')).toBeCloseTo(26.667, 3)
    expect(masses(plan, 'attachment:bed')).toBeCloseTo(13.333, 3)
    expect(survey(plan).onRackKg(0, 'road') + survey(plan).onRackKg(1, 'road')).toBeCloseTo(40, 9)
  })

  it('a thing on a side panel loads that side only, and no bar', () => {
    const bedRack = {
      ...barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) }),
      kind: 'bed' as const,
      sideHeightMm: 400,
    }
    bedRack.parts.push(
      part('panels', 'panels', 'Panels', 2, 0, own('panels', { road: 30 }, { per: 'each', counts: 'load' })),
    )
    const plan = planOf(
      vehicleWith(ROOF),
      [bedRack as Rack],
      [[thing('boards', 12), { host: { on: 'panel', rackId: 'rack', side: 'left', zMm: 100 }, yMm: -560 }]],
    )
    expect(cell(plan, 'part:rack-bars', 'road').idle).toBe(true)
    const panels = cell(plan, 'part:panels', 'road')
    expect([panels.countedKg, panels.layer.units[panels.unit]]).toEqual([12, 'left'])
    expect(survey(plan).footLoads.map((foot) => Math.round(foot.loadKg.road * 10) / 10)).toEqual([6, 0, 6, 0])
  })

  it('payload counts everything and everyone, driving only', () => {
    const vehicle = { ...vehicleWith(ROOF), kerbKg: 1500, grossKg: 1700 }
    const base = planOf(
      vehicle,
      [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY), eachKg: 1 })],
      [[thing('load', 50)]],
    )
    const plan = {
      ...base,
      use: {
        ...base.use,
        occupants: [{ id: 'driver', name: 'Driver', mass: { kg: 75, basis: 'weighed' as const } }],
      },
    }
    const found = cell(plan, 'payload', 'road')
    expect([found.countedKg, found.limit.kind === 'missing' ? 0 : found.limit.kg]).toEqual([50 + 6 + 75, 200])
    expect(survey(plan).loadPath.cellAt('payload', 'parked')).toBeUndefined()
  })
})

describe('states and margins', () => {
  const racks = [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })]

  it('counts a thing only when it is on board, wet always, snow parked only', () => {
    const base = planOf(vehicleWith(ROOF), racks, [
      [thing('load', 20, { wetKg: 3, lengthMm: 1000, widthMm: 1000 }), { when: 'driving' }],
    ])
    const plan = { ...base, use: { ...base.use, snowKgPerM2: 10 } }
    expect(cell(plan, 'part:rack-bars', 'road').countedKg).toBeCloseTo(23, 9)
    // Two bare bars of 1300 × 80 mm lie open to the snow: 0.208 m² of 10 kg each.
    expect(cell(plan, 'part:rack-bars', 'parked').countedKg).toBeCloseTo(2.08, 9)
    const always = { ...plan, placements: [at('load')] }
    expect(cell(always, 'part:rack-bars', 'road').countedKg).toBeCloseTo(23, 9)
    // A square metre on the load, and what runs past it of either bar: 0.3 m × 80 mm, twice.
    expect(cell(always, 'part:rack-bars', 'parked').countedKg).toBeCloseTo(33.48, 9)
  })

  it('fluids weigh by volume and carry no margin; a guess carries the house margin', () => {
    const petrol = {
      id: 'petrol',
      name: 'Petrol',
      when: 'always' as const,
      what: { kind: 'fluid' as const, fluid: 'petrol' as const, litres: 20 },
    }
    const plan = planOf(vehicleWith(ROOF), racks, [
      [thing('can', 5), { loads: [petrol, weight('tools', 10, {}, 'guess')] }],
    ])
    // 20 l of petrol at 0.74 kg/l (handbook, from memory) is 14.8 kg; 10 kg guessed count as 11.
    expect(cell(plan, 'part:rack-bars', 'road').countedKg).toBeCloseTo(5 + 14.8 + 11, 9)
    expect(cell(plan, 'part:rack-bars', 'road').kg).toBeCloseTo(5 + 14.8 + 10, 9)
    const taken = { ...plan, rules: { ...plan.rules, guess: { school: 'takeIt' as const } } }
    expect(cell(taken, 'part:rack-bars', 'road').countedKg).toBeCloseTo(29.8, 9)
  })

  it('a layer that holds nothing is idle and governs nothing', () => {
    const plan = planOf(vehicleWith(roofOf({ road: 50 })), racks)
    expect(cell(plan, 'roof', 'road').idle).toBe(true)
    expect(governing(plan, 'road')).toBeUndefined()
  })

  it('has no allowance with an unrated link, only what the others leave at most', () => {
    const plan = planOf(
      vehicleWith(roofOf({ road: 60 })),
      [barsRack({ bars: own('bars', ANY) })],
      [[thing('load', 20)]],
    )
    expect(allowance(plan, 'road')).toMatchObject({ kind: 'unknown', atMostKg: 40 })
  })

  it('says at least where a driving figure stands in for a parked one', () => {
    const plan = planOf(vehicleWith(roofOf({ road: 60 })), racks, [[thing('load', 20)]])
    expect(allowance(plan, 'parked')).toMatchObject({ kind: 'atLeast', kg: 40, by: 'Roof' })
  })
})
