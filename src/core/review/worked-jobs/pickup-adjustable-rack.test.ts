import { describe, expect, it } from 'vitest'
import type { Attachment } from '../../plan/schema/vehicle'
import { chooseBars } from '../../survey/bars/spread'
import { barLoads } from '../../survey/statics/landings'
import {
  answers,
  barAt,
  fixesOf,
  IN,
  jobOf,
  LB,
  loadOf,
  manual,
  onBars,
  part,
  people,
  sheet,
  thingOf,
  vehicleOf,
  type Rack,
} from './worked.testing'

describe('an adjustable bed rack under a tent, lumber and a ladder', () => {
  const BED: Attachment = {
    kind: 'bedRail',
    id: 'bed',
    name: 'Bed rail',
    ratings: manual('bed', { road: 550 * LB }, { counts: 'everything' }),
    gaugeMm: 58.5 * IN,
    ranges: [
      { fromMm: 1950, toMm: 2400, bar: 'front' },
      { fromMm: 2800, toMm: 3450, bar: 'rear' },
    ],
    topZMm: 1300,
  }
  const vehicle = vehicleOf(
    'pickup',
    {
      lengthMm: 5950,
      widthMm: 2030,
      heightMm: 1990,
      wheelbaseMm: 4060,
      frontOverhangMm: 970,
      noseToScreenMm: 1900,
      cabWallXMm: 1780,
    },
    [BED],
  )
  const rack: Rack = {
    id: 'rack',
    kind: 'bed',
    name: 'Bed rack',
    attachmentId: 'bed',
    sideHeightMm: 500,
    bars: [1950, 3450].map((x, i) =>
      barAt(
        i === 0 ? 'front' : 'rear',
        x,
        64 * IN,
        29.25 * IN,
        { kind: 'flat', widthMm: 60, heightMm: 35 },
        { riseMm: 600 },
      ),
    ),
    parts: [
      part(
        'bases',
        'legs',
        'Bases and uprights',
        1,
        96 * LB,
        sheet('rack', { road: 420 * LB, trail: 260 * LB, parked: 700 * LB }),
      ),
      part('bars', 'bars', 'Crossbars', 2, 11 * LB, {
        by: 'with',
        what: 'Bases and uprights',
        source: { kind: 'sheet' },
      }),
    ],
  }
  const on = ['front', 'rear']
  const can = (id: string) =>
    [
      thingOf(id, 2.2, [400, 300, 200], { kind: 'can' }),
      onBars(id, on, 2700, 0, {
        loads: [
          {
            id: `${id} water`,
            name: 'Water',
            when: 'always',
            what: { kind: 'fluid', fluid: 'water', litres: 11 },
          },
        ],
      }),
    ] as const
  const night = (sleepers: boolean) =>
    jobOf(
      vehicle,
      [rack],
      [
        [
          thingOf('Tent', 148 * LB, [1300, 1400, 300], {
            kind: 'tent',
            fit: { mount: { kind: 'strap' }, spreadMm: { fromMm: 36 * IN, toMm: 60 * IN } },
            carries: { rated: sheet('tent', { parked: 500 * LB }), places: [] },
          }),
          onBars('Tent', on, 2700, 0, {
            loads: sleepers
              ? [
                  people('A', 1, 168 * LB),
                  people('B', 1, 142 * LB),
                  people('Child', 1, 61 * LB),
                  loadOf('Dog', 47 * LB, 'weighed', 'parked'),
                  loadOf('Bedding', 18 * LB, 'weighed', 'parked'),
                ]
              : [],
          }),
        ],
        [thingOf('Boards', 19 * LB, [1500, 300, 60], { kind: 'board' }), onBars('Boards', on, 2700, 0)],
        can('Can one'),
        can('Can two'),
      ],
    )
  const lb = (kg: number | undefined) => (kg ?? Number.NaN) / LB

  it('has 118 lb of its own, and on the road 194.8 lb left of the rack, which governs', () => {
    const job = answers(night(true))
    expect(lb(job.left('part:bases', 'road'))).toBeCloseTo(194.8, 1)
    expect(lb(job.left('attachment:bed', 'road'))).toBeCloseTo(206.8, 1)
    expect(job.governs('road')).toBe('Bases and uprights')
  })

  it('leaves 34.8 lb of the rack and 23.5 of the rail on the trail, and asks for the rail parked', () => {
    const job = answers(night(true))
    expect(lb(job.left('part:bases', 'trail'))).toBeCloseTo(34.8, 1)
    expect(lb(job.left('attachment:bed', 'trail'))).toBeCloseTo(23.5, 1)
    expect(lb(job.left('carrier:Tent', 'parked'))).toBeCloseTo(64, 1)
    expect(lb(job.left('part:bases', 'parked'))).toBeCloseTo(38.8, 1)
    expect(lb(job.counted('attachment:bed', 'parked'))).toBeCloseTo(779.2, 1)
    expect(job.limit('attachment:bed', 'parked')).toBeUndefined()
  })

  it('is bound below by the tent and above by the rail: 914.4 to 1500 mm', () => {
    const { survey } = answers(night(false))
    const spreads = survey.fit.spreads()
    const between = spreads.solution()?.between(0, 1)
    expect(between?.[0]?.[0]).toBeCloseTo(914.4, 1)
    expect(between?.at(-1)?.[1]).toBeCloseTo(1500, 1)
    const xs = chooseBars(spreads, 'wide') ?? []
    expect((xs[1] ?? 0) - (xs[0] ?? 0)).toBeCloseTo(1500, 1)
  })

  it('lets lumber run 1150 mm behind, and 1450 with a longer one: beyond 4 ft that is asked about', () => {
    const lumber = (lengthMm: number) =>
      answers(
        jobOf(
          vehicle,
          [rack],
          [
            [
              thingOf('Lumber', 88, [lengthMm, 300, 150], { kind: 'lumber' }, 'guess'),
              onBars('Lumber', on, 1000 + lengthMm / 2, 0),
            ],
          ],
        ),
      )
    const short = lumber(4200)
    expect(lb(short.left('part:bases', 'road'))).toBeCloseTo(206.6, 0)
    expect(lb(short.left('attachment:bed', 'road'))).toBeCloseTo(218.6, 0)
    expect(short.says('load-overhang')[0]).toMatch(/runs 1 150 mm behind the vehicle/)
    expect(lumber(4500).says('load-overhang')[0]).toMatch(/runs 1 450 mm behind the vehicle/)
  })

  it('has its front bar lifted by a ladder with its weight behind: 1.17 kg, forward by 80 mm', () => {
    const ladder = thingOf(
      'Ladder',
      22,
      [3000, 400, 100],
      { kind: 'ladder', centreOfGravity: { xMm: 0, yMm: 0, zMm: 50 } },
      'weighed',
    )
    const plan = jobOf(vehicle, [rack], [[ladder, onBars('Ladder', on, 3530, 0)]])
    const job = answers(plan)
    const load = (i: number) => barLoads(job.survey.masses, i, 'road').loadKg
    expect(load(0)).toBeCloseTo(-1.17, 2)
    expect(load(1)).toBeCloseTo(23.17, 2)
    expect(fixesOf(plan, 'uplift')[0]).toMatch(/^Move Ladder forward 80 mm/)
  })
})
