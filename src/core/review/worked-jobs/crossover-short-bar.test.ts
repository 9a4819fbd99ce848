import { describe, expect, it } from 'vitest'
import type { Attachment } from '../../plan/schema/vehicle'
import { barLoads } from '../../survey/statics/landings'
import {
  AERO,
  answers,
  barAt,
  IN,
  jobOf,
  LB,
  onBars,
  part,
  sheet,
  thingOf,
  vehicleOf,
  WITH_ROOF,
  type Rack,
} from './worked.testing'

describe('a rear bar shorter than the front one, under a boat and a bag', () => {
  const POINTS: Attachment = {
    kind: 'hookPoint',
    id: 'hooks',
    name: 'Hook points',
    rated: WITH_ROOF,
    points: [420, 420 + 34.625 * IN].map((xMm) => ({ xMm, yMm: 470 })),
  }
  const vehicle = vehicleOf(
    'estate',
    {
      lengthMm: 4370,
      widthMm: 1860,
      heightMm: 1600,
      wheelbaseMm: 2700,
      frontOverhangMm: 830,
      noseToScreenMm: 1480,
      roofToXMm: 1950,
    },
    [POINTS],
  )
  const rack: Rack = {
    id: 'rack',
    kind: 'bars',
    name: 'Maker’s rack',
    attachmentId: 'hooks',
    bars: [420, 420 + 34.625 * IN].map((x, i) =>
      barAt(i === 0 ? 'front' : 'rear', x, i === 0 ? 1180 : 1080, 470, AERO, {
        usableMm: (i === 0 ? 43.625 : 39.125) * IN,
        end: i === 0 ? 'front' : 'rear',
      }),
    ),
    parts: [
      part('feet', 'feet', 'Feet', 4, 0.45, sheet('feet', { road: 158 * LB })),
      part('bars', 'bars', 'Bars', 2, 4, { by: 'with', what: 'Feet', source: { kind: 'sheet' } }),
    ],
  }
  const on = ['front', 'rear']
  const cradle = thingOf('Cradle', 4.1, [900, 17 * IN, 200], {
    kind: 'carrier',
    carries: {
      rated: sheet('cradle', { road: 35 }),
      places: [{ id: 'cradle', name: 'Cradle', kind: 'cradle', xMm: 0, yMm: 0, zMm: 100 }],
    },
  })
  const kayak = thingOf('Kayak', 26.5, [4700, 420, 610], { kind: 'boat', shape: 'hull' }, 'weighed')
  const bag = thingOf('Board bag', 14.3, [2000, 14.5 * IN, 200], { kind: 'bag' }, 'weighed')
  const onEdge = jobOf(
    vehicle,
    [rack],
    [
      [cradle, onBars('Cradle', on, 980, -275)],
      [
        kayak,
        { ...onBars('Kayak', on, 0, 0), host: { on: 'place', placementId: 'Cradle', placeId: 'cradle' } },
      ],
      [bag, onBars('Board bag', on, 820, 240)],
    ],
  )

  it('keeps 15.9 of the 20 mm between boat and bag laid flat, and 173.7 mm are left with it on edge', () => {
    const flat = jobOf(
      vehicle,
      [rack],
      [
        [{ ...kayak, widthMm: 24 * IN, heightMm: 420 }, onBars('Kayak', on, 980, -275)],
        [bag, onBars('Board bag', on, 820, 240)],
      ],
    )
    expect(answers(flat).says('side-by-side', 'mind')[0]).toMatch(
      /997.9 mm .* 993.8 mm; 4.2 mm too much. Side by side they have 15.8 mm/,
    )
    expect(answers(flat).says('side-by-side', 'clear')[0]).toMatch(/110.1 mm to spare/)
    expect(answers(flat).says('usable-width', 'stop').length).toBeGreaterThan(0)
    expect(answers(onEdge).says('side-by-side')[1]).toMatch(/173.6 mm to spare/)
  })

  it('has 26.8 kg left of the rack on the road, 8.5 of the cradle, and no figure of the roof', () => {
    const job = answers(onEdge)
    expect(job.left('feet', 'road')).toBeCloseTo(26.8, 1)
    expect(job.left('carrier:Cradle', 'road')).toBeCloseTo(8.5, 1)
    expect(job.counted('roof', 'road')).toBeCloseTo(54.7, 1)
    expect(job.limit('roof', 'road')).toBeUndefined()
    const may = job.may('rack', 'road')
    expect(may?.kind === 'unknown' && may.atMostKg).toBeCloseTo(26.8, 1)
  })

  it('bears 18.9 and 26.0 kg on its bars, and 10.7, 8.2, 17.0 and 9.0 on its feet', () => {
    const job = answers(onEdge)
    const load = (i: number) => barLoads(job.survey.masses, i, 'road').loadKg
    expect(load(0)).toBeCloseTo(18.9, 1)
    expect(load(1)).toBeCloseTo(26.0, 1)
    const feet = job.survey.feet.map(({ index }) => job.survey.footLoads[index]!.loadKg.road)
    for (const [i, kg] of [10.7, 8.2, 17.0, 9.0].entries()) expect(feet[i]).toBeCloseTo(kg, 1)
  })

  it('is a Stop on the trail by the cradle: 3.2 kg over two thirds', () => {
    const job = answers(onEdge)
    expect(job.left('carrier:Cradle', 'trail')).toBeCloseTo(-3.17, 1)
    expect(job.left('feet', 'trail')).toBeCloseTo(2.9, 1)
    expect(job.states.trail).toBe('stop')
    expect(job.path('parked')).toBe('findOut')
  })

  it('names bars that were exchanged', () => {
    const swapped = { ...rack, bars: rack.bars.map((bar, i) => ({ ...bar, xMm: rack.bars[1 - i]!.xMm })) }
    expect(
      answers(jobOf(vehicle, [swapped], []))
        .says('bar-seat', 'stop')
        .join(' '),
    ).toMatch(/is marked for the rear and stands at the other end/)
  })

  it('runs 440 mm past the rear, on a span of 19 % of its length', () => {
    const job = answers(onEdge)
    expect(job.says('load-overhang').join(' ')).toMatch(
      /Kayak runs 440 mm behind the vehicle.* Nothing runs in front of it\.$/,
    )
    expect(job.says('support-span').join(' ')).toMatch(
      /Kayak is 4 700 mm long and held over 879.5 mm \(18.7 %\)/,
    )
  })
})
