import { describe, expect, it } from 'vitest'
import type { Attachment } from '../../plan/schema/vehicle'
import { barLoads } from '../../survey/statics/landings'
import {
  answers,
  barAt,
  jobOf,
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

describe('a truss rack in bed channels, with cans, tools and a tent', () => {
  const CHANNELS: Attachment = {
    kind: 'bedChannel',
    id: 'channels',
    name: 'Bed channels',
    ratings: manual('channels', { road: 200 }, { counts: 'everything' }),
    gaugeMm: 1400,
    ranges: [{ fromMm: 1850, toMm: 3450 }],
    topZMm: 900,
  }
  const vehicle = vehicleOf(
    'pickup',
    { lengthMm: 5400, widthMm: 1890, heightMm: 1795, noseToScreenMm: 1580, cabWallXMm: 1800 },
    [CHANNELS],
  )
  const ids = ['b1', 'b2', 'b3', 'b4']
  const rack: Rack = {
    id: 'truss',
    kind: 'bed',
    name: 'Truss rack',
    attachmentId: 'channels',
    sideHeightMm: 600,
    bars: [1990, 2290, 2690, 2990].map((x, i) =>
      barAt(ids[i]!, x, 1500, 700, { kind: 'flat', widthMm: 60, heightMm: 35 }, { riseMm: 600 }),
    ),
    parts: [
      part(
        'truss',
        'trusses',
        'Side panels and trusses',
        1,
        38,
        sheet('truss', { road: 250, trail: 140, parked: 360 }),
      ),
      part('bars', 'bars', 'Load bars', 4, 4, {
        by: 'with',
        what: 'Side panels and trusses',
        source: { kind: 'label' },
      }),
    ],
  }
  const at = (id: string, more = {}) => onBars(id, ids, 2490, 0, more)
  const plan = (cans: boolean, sleepers = false) =>
    jobOf(
      vehicle,
      [rack],
      [
        [
          thingOf('Tent', 61, [1200, 1300, 280], {
            kind: 'tent',
            carries: { rated: sheet('tent', { parked: 240 }), places: [] },
          }),
          at('Tent', {
            loads: sleepers
              ? [people('A', 1, 79), people('B', 1, 74), loadOf('Bedding', 8, 'weighed', 'parked')]
              : [],
          }),
        ],
        [thingOf('Boards', 9.2, [1200, 300, 60], { kind: 'board' }, 'weighed'), at('Boards')],
        ...(cans
          ? ([
              [
                thingOf('Water can', 3.1, [350, 200, 450], { kind: 'can' }),
                at('Water can', {
                  loads: [
                    {
                      id: 'water',
                      name: 'Water',
                      when: 'always',
                      what: { kind: 'fluid', fluid: 'water', litres: 20 },
                    },
                  ],
                }),
              ],
              [
                thingOf('Petrol can', 3.4, [350, 200, 450], { kind: 'can' }),
                at('Petrol can', {
                  loads: [
                    {
                      id: 'petrol',
                      name: 'Petrol',
                      when: 'always',
                      what: { kind: 'fluid', fluid: 'petrol', litres: 15 },
                    },
                  ],
                }),
              ],
            ] as const)
          : []),
        [thingOf('Shovel', 2.3, [900, 200, 100], { kind: 'tool' }, 'guess'), at('Shovel')],
        [thingOf('Axe', 1.9, [900, 200, 100], { kind: 'tool' }, 'guess'), at('Axe')],
      ],
    )

  it('is governed by the channels on the road: 33.58 of 200 kg left; the trusses leave 137.58', () => {
    const job = answers(plan(true))
    expect(job.counted('channels', 'road')).toBeCloseTo(166.42, 2)
    expect(job.left('channels', 'road')).toBeCloseTo(33.58, 2)
    expect(job.left('part:truss', 'road')).toBeCloseTo(137.58, 2)
    expect(job.governs('road')).toBe('Bed channels')
    const first = barLoads(job.survey.masses, 0, 'road').loadKg
    expect(first).toBeCloseTo(28.11, 2)
  })

  it('is a Stop on the trail by the channels alone, and without the cans 4.51 kg are left', () => {
    const job = answers(plan(true))
    expect(job.left('part:truss', 'trail')).toBeCloseTo(27.58, 2)
    expect(job.left('channels', 'trail')).toBeCloseTo(-33.09, 2)
    expect(job.states.trail).toBe('stop')
    const off = answers(plan(false))
    expect(off.left('channels', 'trail')).toBeCloseTo(4.51, 2)
    expect(off.left('part:truss', 'trail')).toBeCloseTo(65.18, 2)
  })

  it('asks parked for the channels, with 79 kg left of the tent’s floor and 86.58 of the trusses', () => {
    const job = answers(plan(true, true))
    expect(job.left('carrier:Tent', 'parked')).toBeCloseTo(79, 2)
    expect(job.left('part:truss', 'parked')).toBeCloseTo(86.58, 2)
    expect(job.counted('channels', 'parked')).toBeCloseTo(327.42, 2)
    expect(job.path('parked')).toBe('findOut')
  })

  it('has no room for cans on the panel to whose side the tent opens', () => {
    const tent = thingOf('Tent', 61, [1200, 1300, 280], {
      kind: 'tent',
      opens: { toward: 'left', reachMm: 1200, floorMm: 0 },
    })
    const can = thingOf('Water can', 3.1, [350, 200, 450], { kind: 'can' })
    const onPanel = (zMm: number) => ({
      ...at('Water can'),
      xMm: 2490,
      yMm: -850,
      host: { on: 'panel' as const, rackId: 'truss', side: 'left' as const, zMm },
    })
    const left = answers(
      jobOf(
        vehicle,
        [rack],
        [
          [tent, at('Tent')],
          [can, onPanel(350)],
        ],
      ),
    )
    expect(left.says('tent', 'stop').join(' ')).toMatch(/Tent opens to the left into Water can/)
    const inside = answers(jobOf(vehicle, [rack], [[tent, at('Tent')]]))
    expect(inside.says('tent', 'stop')).toEqual([])
  })
})
