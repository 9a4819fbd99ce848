import { describe, expect, it } from 'vitest'
import type { Attachment } from '../../plan/schema/vehicle'
import { barLoads } from '../../survey/statics/landings'
import {
  AERO,
  answers,
  barAt,
  fixesOf,
  IN,
  jobOf,
  loadOf,
  manual,
  NO_FIGURE,
  onBars,
  part,
  people,
  sheet,
  thingOf,
  vehicleOf,
  type Rack,
} from './worked.testing'

describe('latched crossbars, a roof tent with ladder and cover', () => {
  const SOCKETS: Attachment = {
    kind: 'bedSocket',
    id: 'sockets',
    name: 'Bed sockets',
    ratings: manual('sockets', { road: 150 }, { counts: 'everything' }),
    topZMm: 900,
    points: [2050, 2500, 2950].map((xMm) => ({ xMm, yMm: 690 })),
  }
  const vehicle = vehicleOf(
    'pickup',
    {
      lengthMm: 5350,
      widthMm: 1930,
      heightMm: 1830,
      wheelbaseMm: 3280,
      frontOverhangMm: 920,
      noseToScreenMm: 1600,
      cabWallXMm: 1820,
    },
    [SOCKETS],
  )
  const rackWith = (bars: Parameters<typeof part>[5]): Rack => ({
    id: 'rack',
    kind: 'bed',
    name: 'Latched bars',
    attachmentId: 'sockets',
    sideHeightMm: 200,
    bars: [2050, 2950].map((x, i) =>
      barAt(i === 0 ? 'front' : 'rear', x, 1500, 690, AERO, { usableMm: 1300, riseMm: 200 }),
    ),
    parts: [part('bars', 'bars', 'Latch-in bars', 2, 6.5, bars)],
  })
  const tent = thingOf('Tent', 62, [1200, 1450, 280], {
    kind: 'tent',
    fit: {
      mount: { kind: 'bracket', spacingMm: { fromMm: 35.4375 * IN, toMm: 35.4375 * IN }, direction: 'along' },
    },
    opens: { toward: 'left', reachMm: 1200, floorMm: 0, coverGapMm: 120 },
    carries: { rated: sheet('tent', { parked: 280 }), places: [], sleeps: 2 },
  })
  const ladder = thingOf('Ladder', 7.5, [1200, 300, 60], { kind: 'ladder' })
  const planWith = (
    sleepers: boolean,
    xMm = 2500,
    rack = rackWith(sheet('bars', { road: 130, parked: 320 })),
  ) =>
    jobOf(
      vehicle,
      [rack],
      [
        [
          tent,
          onBars('Tent', ['front', 'rear'], xMm, 0, {
            loads: sleepers
              ? [people('One', 1, 82), people('Other', 1, 67), loadOf('Bedding', 9, 'weighed', 'parked')]
              : [],
          }),
        ],
        [ladder, onBars('Ladder', ['front', 'rear'], xMm, 0)],
      ],
    )

  it('is governed by the bars on the road: 60.5 of 130 kg left, and clear', () => {
    const job = answers(planWith(false))
    expect(job.left('bars', 'road')).toBeCloseTo(60.5, 2)
    expect(job.left('sockets', 'road')).toBeCloseTo(67.5, 2)
    expect(job.governs('road')).toBe('Latch-in bars')
    expect(job.left('bars', 'trail')).toBeCloseTo(17.17, 2)
    expect(job.left('sockets', 'trail')).toBeCloseTo(17.5, 2)
  })

  it('asks parked for the sockets’ figure with people in it; by the rule of three 209.5 kg are left', () => {
    const job = answers(planWith(true))
    expect(job.left('bars', 'parked')).toBeCloseTo(92.5, 2)
    expect(job.left('carrier:Tent', 'parked')).toBeCloseTo(122, 2)
    expect(job.counted('sockets', 'parked')).toBeCloseTo(240.5, 2)
    expect(job.limit('sockets', 'parked')).toBeUndefined()
    expect(job.path('parked')).toBe('findOut')
    const three = answers({ ...job.plan, rules: { ...job.plan.rules, parkedMissing: 'ruleOfThree' } })
    expect(three.left('sockets', 'parked')).toBeCloseTo(209.5, 2)
  })

  it('has a bar nowhere but in a socket', () => {
    const rack = rackWith(NO_FIGURE)
    const off =
      rack.kind === 'bed'
        ? { ...rack, bars: rack.bars.map((each, i) => (i === 1 ? { ...each, xMm: 2600 } : each)) }
        : rack
    expect(answers(planWith(false, 2500, off)).says('bar-seat', 'stop')[0]).toBe(
      'rear stands at 2 600 mm, where its feet cannot: they go at 2 050 mm, at 2 500 mm or at 2 950 mm; 100 mm off.',
    )
  })

  it('stands 80 mm behind the cab where its cover takes 120: it moves 40 mm back, and then bears 31.7 and 37.8 kg', () => {
    const plan = planWith(false)
    expect(answers(plan).says('tent', 'mind').join(' ')).toMatch(
      /stands 80 mm behind the cab; reaching its cover takes 120 mm; 40 mm short/,
    )
    expect(fixesOf(plan, 'tent')[0]).toBe('Move Tent rearward 40 mm')
    const back = answers(planWith(false, 2540))
    const load = (i: number) => barLoads(back.survey.masses, i, 'road').loadKg
    expect(load(0)).toBeCloseTo(31.66, 1)
    expect(load(1)).toBeCloseTo(37.84, 1)
  })
})
