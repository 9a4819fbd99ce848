import { onAxles } from '../facts/axles.testing'
import { describe, expect, it } from 'vitest'
import { at, barsRack, carrier, own, planOf, RAILS, roofOf, thing, vehicleWith } from '../plan/plans.testing'
import type { Gear } from '../plan/schema/gear'
import type { Plan } from '../plan/schema/plan'
import { barSchema, partSchema, withRise, type Bar, type Rack } from '../plan/schema/rack'
import type { Obstacle, Vehicle } from '../plan/schema/vehicle'
import { barSeat } from '../review/checks/bar-seat'
import { hatch as hatchCheck } from '../review/checks/hatch'
import { heightClearance } from '../review/checks/height-clearance'
import { overRoof } from '../review/checks/over-roof'
import { spread as spreadCheck } from '../review/checks/spread'
import { run, sentences } from '../review/checks/findings.testing'
import { mountMatch } from '../review/checks/mount-match'
import { fittedOf } from '../bay/fitted'
import { NOTHING_DONE } from '../log/record'
import { chooseBars } from './bars/spread'
import { kitPoints } from './mounting/kit'
import { survey } from './survey'

const rack = barsRack({ bars: own('bars', { road: 100 }), eachKg: 2 }) as Extract<Rack, { kind: 'bars' }>
const onRoof = roofOf({ road: 100 })
const with_ = (vehicle: Partial<Vehicle>, things: readonly Gear[] = []): Plan =>
  planOf(
    { ...vehicleWith(onRoof), ...vehicle },
    [rack],
    things.map((each) => [each] as const),
  )
const bars = (change: (bar: Bar, i: number) => Partial<Bar>): Rack => ({
  ...rack,
  bars: rack.bars.map((bar, i) => ({ ...bar, ...change(bar, i) })),
})
const cellKg = (plan: Plan, layerId: string, state: 'road' | 'parked' = 'road') =>
  survey(plan).loadPath.cells.find(({ layer, state: at }) => layer.id === layerId && at === state)?.kg

describe('what hangs at the tail', () => {
  const tail = [
    { id: 'ball', name: 'Nose weight', mass: { kg: 75, basis: 'maker' as const }, xMm: 3000, zMm: 450 },
  ]
  const weighed = { kerbKg: 1500, grossKg: 2000, axleLimitKg: { front: 1000, rear: 1000 } }
  const balance = { centreOfGravity: { known: 'position' as const, xMm: 600, heightMm: 600 } }

  it('counts against the payload while driving, never on the roof', () => {
    const [bare, towing] = [with_(weighed), with_({ ...weighed, tail })]
    expect(cellKg(towing, 'payload')).toBeCloseTo((cellKg(bare, 'payload') ?? 0) + 75, 6)
    expect(cellKg(towing, 'roof')).toBe(cellKg(bare, 'roof'))
  })

  it('loads the rear axle and lifts the front one, by the lever rule about the axles', () => {
    const limits = { axleLimitKg: { front: 1400, rear: 1500 } }
    const load = (plan: Plan) => onAxles(plan, 'road')
    const [bare, towing] = [
      load(with_({ ...weighed, ...balance, ...limits })),
      load(with_({ ...weighed, ...balance, ...limits, tail })),
    ]
    const { wheelbaseMm, frontOverhangMm, noseToScreenMm } = vehicleWith([])
    const behind = 3000 - (frontOverhangMm - noseToScreenMm)
    const rear = (75 * behind) / wheelbaseMm
    expect(towing.rear! - bare.rear!).toBeCloseTo(rear, 6)
    expect(towing.front! - bare.front!).toBeCloseTo(75 - rear, 6)
    expect(75 - rear).toBeLessThan(0)
  })

  it('with a size stands in the way of a hatch, which is minded', () => {
    const hatch: Obstacle = {
      kind: 'hatch',
      id: 'hatch',
      name: 'Hatch',
      hinge: { xMm: 2430, zMm: 1450 },
      panel: [
        { xMm: 2430, zMm: 1450 },
        { xMm: 2900, zMm: 900 },
      ],
      halfWidthMm: 500,
      opensDeg: 85,
    }
    const box = { lengthMm: 300, widthMm: 900, heightMm: 900 }
    const plan = with_({
      obstacles: [hatch],
      tail: [{ ...tail[0]!, name: 'Bike carrier', zMm: 1000, xMm: 3100, box }],
    })
    const met = run(hatchCheck, plan).find(({ sentence }) => sentence.join('').includes('Bike carrier'))
    expect(met?.severity).toBe('mind')
    expect(sentences(hatchCheck, plan).join(' ')).toContain('Remove it or swing it away')
  })
})

describe('the height of the centre of gravity alone (E7)', () => {
  it('is taken for tipping; where it sits between the axles stays unknown', () => {
    const limits = { axleLimitKg: { front: 1400, rear: 1500 } }
    const plan = with_({ kerbKg: 1500, centreOfGravity: { known: 'height', heightMm: 700 }, ...limits })
    const { own: balance } = survey(plan).motion.standing()
    expect(balance).toMatchObject({ heightMm: 700, behindFrontAxleMm: undefined })
    expect(balance.estimated).not.toContain('height of the centre of gravity')
    expect(onAxles(plan, 'road')).toEqual({})
  })
})

describe('a bar', () => {
  it('with a mass of its own weighs that, and the others of the set as before', () => {
    const heavy = planOf(vehicleWith(onRoof), [
      bars((_, i) => (i === 0 ? { kg: 9, known: { kg: { by: 'weighed' } } } : {})),
    ])
    const own = survey(heavy).masses.filter(({ of, id }) => of === 'part' && id.startsWith('rack-bars/'))
    expect(own.map(({ kg, basis }) => [kg, basis])).toEqual([
      [9, 'weighed'],
      [2, 'maker'],
    ])
  })

  it('whose top was taped keeps top and underside a profile apart', () => {
    const [bar] = rack.bars
    expect(barSchema.safeParse({ ...bar, topMm: 90 }).success).toBe(true)
    expect(barSchema.safeParse({ ...bar, topMm: 95 }).error?.issues[0]?.message).toContain(
      'profile’s height apart',
    )
    expect(withRise({ ...bar!, topMm: 90 }, 70)).toEqual({ ...bar, riseMm: 70 })
  })

  it('may stand only where its end of the rails lets it: ranges for the foremost and the rearmost', () => {
    const ranges = [
      { fromMm: 400, toMm: 700, bar: 'front' as const },
      { fromMm: 1500, toMm: 1900, bar: 'rear' as const },
    ]
    const plan = with_({ attachments: [{ ...RAILS, ranges } as typeof RAILS] })
    expect(run(barSeat, plan).map(({ severity }) => severity)).toEqual(['clear', 'stop'])
    expect(sentences(barSeat, plan)[1]).toMatch(/they go from 1.500 mm to 1.900 mm/)
  })

  it('stands clear of a cleat that stays in the channel, and not of one that comes out', () => {
    const channel = (stays: boolean) => {
      const { riseMm: _, ...rest } = RAILS as Extract<typeof RAILS, { kind: 'raisedRail' }>
      return with_({
        attachments: [{ ...rest, kind: 'roofChannel', inside: [{ what: 'Cleat', xMm: 510, stays }] }],
      })
    }
    expect(run(barSeat, channel(true)).map(({ severity }) => severity)).toEqual(['stop', 'clear'])
    expect(run(barSeat, channel(false)).map(({ severity }) => severity)).toEqual(['clear', 'clear'])
  })
})

describe('a deck', () => {
  const platform = (from?: 'barUnderside'): Plan => {
    const deck = { xMm: 950, yMm: 0, lengthMm: 1300, widthMm: 1100, heightMm: 45, ...(from ? { from } : {}) }
    return planOf(vehicleWith(onRoof), [{ ...rack, kind: 'platform', deck }])
  }
  it('lies on its bars, or has them in it: its thickness is from their tops or their undersides', () => {
    const top = (plan: Plan) => survey(plan).racks[0]?.topZMm ?? 0
    const bar = survey(platform()).bars[0]?.box
    expect(top(platform()) - (bar?.z1 ?? 0)).toBe(45)
    expect(top(platform('barUnderside')) - (bar?.z0 ?? 0)).toBe(45)
  })
})

describe('what hangs under a thing or stands over it', () => {
  it('counts in the height, and meets the roof', () => {
    const plain = thing('boat', 20, { heightMm: 300 })
    const plan = (more: Partial<Gear>) => with_({}, [{ ...plain, ...more }])
    const top = (of: Plan) => survey(of).heights.road.topMm
    expect(top(plan({ risesMm: 120 })) - top(plan({}))).toBe(120)
    const doors = {
      ...plan({ risesMm: 120 }),
      clearances: [{ id: 'd', name: 'Door', heightMm: top(plan({})) + 60 }],
    }
    expect(run(heightClearance, doors)[0]?.severity).toBe('stop')
    expect(run(overRoof, plan({ hangsMm: 20 }))[0]?.severity).toBe('clear')
    expect(run(overRoof, plan({ hangsMm: 200 }))[0]?.severity).toBe('stop')
  })

  it('lies sideways when it is set on edge', () => {
    const plan = with_({}, [thing('board', 9, { onEdge: true, risesMm: 80 })])
    const edged = { ...plan, placements: plan.placements.map((each) => ({ ...each, onEdge: true })) }
    const { outer, box } = survey(edged).things[0]!
    expect(outer).toBe(box)
  })
})

describe('what is in the bed already', () => {
  it('keeps bars and things out of its room', () => {
    const chest = (topZMm: number): Obstacle => ({
      kind: 'inBed',
      id: 'chest',
      name: 'Tool chest',
      fromXMm: 1300,
      toXMm: 1600,
      halfWidthMm: 600,
      topZMm,
    })
    expect(sentences(overRoof, with_({ obstacles: [chest(1000)] }))).toEqual([])
    expect(sentences(overRoof, with_({ obstacles: [chest(1600)] }))[0]).toContain(
      'Bar 2 stands in Tool chest',
    )
    const load = with_({ obstacles: [chest(1700)] }, [thing('crate', 10)])
    expect(run(overRoof, load).map(({ severity }) => severity)).toContain('stop')
  })
})

describe('several spreads', () => {
  const suits = (fit: Partial<Gear['fit']>) =>
    with_({}, [thing('box', 10, { fit: { mount: { kind: 'strap' }, ...fit } })])
  it('any of them will do, and the nearest is named where none does', () => {
    const two = { spreadMm: { fromMm: 500, toMm: 600 }, otherSpreadsMm: [{ fromMm: 850, toMm: 950 }] }
    expect(run(spreadCheck, suits(two)).map(({ severity }) => severity)).toEqual(['clear'])
    const far = { ...two, otherSpreadsMm: [{ fromMm: 700, toMm: 800 }] }
    expect(sentences(spreadCheck, suits(far))[0]).toContain(
      'needs 700 mm to 800 mm, the nearest of its spreads',
    )
    expect(run(spreadCheck, suits(far))[0]?.severity).toBe('stop')
  })
})

describe('the spread a thing likes best', () => {
  it('is where the nominal school puts the bars, within what it may have', () => {
    const fit = { mount: { kind: 'strap' as const }, spreadMm: { fromMm: 700, toMm: 1100 } }
    const nominal = (likesMm?: number) => {
      const plan = with_({}, [
        thing('box', 10, { fit: { ...fit, ...(likesMm === undefined ? {} : { likesMm }) } }),
      ])
      const xs = chooseBars(survey(plan).fit.spreads(), 'nominal') ?? []
      return (xs[1] ?? 0) - (xs[0] ?? 0)
    }
    expect(nominal()).toBeCloseTo(900, 3)
    expect(nominal(1050)).toBeCloseTo(1050, 3)
    expect(nominal(1500)).toBeCloseTo(1100, 3)
  })
})

describe('what goes in a carrier', () => {
  const chest = carrier('chest', 5, { road: 50 }, { heightMm: 300, lengthMm: 1500, widthMm: 800 })
  const inside = (more: Partial<Gear>): Plan => ({
    ...with_({}, [chest, thing('rod', 4, { heightMm: 250, ...more })]),
    placements: [
      at('chest'),
      at('rod', { host: { on: 'place', placementId: 'chest', placeId: 'inside' }, xMm: 0 }),
    ],
  })
  it('is too high for its room with what stands over it', () => {
    const said = (plan: Plan) => sentences(mountMatch, plan).join(' ')
    expect(said(inside({}))).not.toContain('too high')
    expect(
      run(mountMatch, inside({ risesMm: 90 })).filter(({ severity }) => severity === 'stop').length,
    ).toBe(run(mountMatch, inside({})).filter(({ severity }) => severity === 'stop').length + 1)
  })

  it('is named on the sheet with what holds it there', () => {
    const fit = { mount: { kind: 'none' as const }, inCarrier: 'two wheel straps' }
    expect(fittedOf(survey(inside({ fit })), [], NOTHING_DONE).lines).toContain(
      'rod: in chest, held by two wheel straps',
    )
  })
})

describe('a bed rail', () => {
  it('has a shape that a kit may ask for, with its adapter', () => {
    const bed = {
      kind: 'bedRail' as const,
      id: 'bed',
      name: 'Bed rails',
      ratings: [],
      gaugeMm: 1300,
      ranges: [{ fromMm: 1300, toMm: 2600 }],
      topZMm: 1000,
    }
    const part = { ...rack.parts[1]!, kit: { railShapes: [{ shape: 'Capped', adapter: 'Cap plate' }] } }
    const points = (shape?: string) =>
      kitPoints(part, rack, vehicleWith([]), [{ ...bed, ...(shape === undefined ? {} : { shape }) }]).map(
        ({ kind, message }) => `${kind}: ${message}`,
      )
    expect(points()).toEqual(['findOut: rails that are Capped: look at the rail'])
    expect(points('round')).toEqual(['refused: no rail that is round'])
    expect(points('capped')[0]).toContain('only with Cap plate')
  })
})

describe('a kit that is drilled', () => {
  it('is refused with a pilot over the final size, of the set or of one hole', () => {
    const part = { ...rack.parts[1]!, kit: { drills: { holes: 4, reversible: false } } }
    const drilled = (more: object) =>
      partSchema.safeParse({ ...part, kit: { drills: { ...part.kit.drills, ...more } } })
    expect(drilled({ pilotMm: 3, finalMm: 9 }).success).toBe(true)
    expect(drilled({ pilotMm: 9, finalMm: 3 }).error?.issues[0]?.message).toBe(
      'A pilot is smaller than the final hole.',
    )
    expect(drilled({ each: [{ name: 'Point 1, left', pilotMm: 9, finalMm: 3 }] }).success).toBe(false)
  })
})
