import { describe, expect, it } from 'vitest'
import type { Attachment } from '../../plan/schema/vehicle'
import { chooseBars } from '../../survey/bars/spread'
import { barLoads } from '../../survey/statics/landings'
import {
  AERO,
  answers,
  barAt,
  IN,
  jobOf,
  manual,
  NO_FIGURE,
  onBars,
  part,
  sheet,
  thingOf,
  vehicleOf,
  WITH_ROOF,
  type Rack,
} from './worked.testing'

describe('a bed rack, cab bars and two platforms on a pickup', () => {
  const CAB: Attachment = {
    kind: 'roofChannel',
    id: 'channels',
    name: 'Roof channels',
    rated: WITH_ROOF,
    gaugeMm: 1122,
    ranges: [{ fromMm: 0, toMm: 1500 }],
  }
  const BED: Attachment = {
    kind: 'bedRail',
    id: 'bed',
    name: 'Bed rails',
    ratings: [],
    gaugeMm: 1448,
    ranges: [
      { fromMm: 2060, toMm: 2300, bar: 'front' },
      { fromMm: 2840, toMm: 3360, bar: 'rear' },
    ],
    topZMm: 1300,
  }
  const vehicle = vehicleOf(
    'pickup',
    {
      heightMm: 1950,
      widthMm: 2050,
      lengthMm: 5890,
      wheelbaseMm: 3670,
      frontOverhangMm: 960,
      noseToScreenMm: 1620,
      roofFigures: manual('roof', { road: 75 }, { counts: 'everything' }),
      roofToXMm: 1500,
      roof: {
        fromXMm: 0,
        toXMm: 1500,
        halfWidthFrontMm: 640,
        halfWidthRearMm: 640,
        crownMm: 12,
        skinZMm: 1938,
        ratings: [],
      },
      cabWallXMm: 1800,
    },
    [CAB, BED],
  )
  const cab: Rack = {
    id: 'cab',
    kind: 'bars',
    name: 'Cab bars',
    attachmentId: 'channels',
    bars: [300, 300 + 26.75 * IN].map((x, i) =>
      barAt(i === 0 ? 'cab-front' : 'cab-rear', x, 1330, 561, AERO, { riseMm: 75 }),
    ),
    parts: [
      part('cab-bars', 'bars', 'Bars', 2, 3.1, sheet('cab-bars', { road: 80 })),
      part('cab-feet', 'feet', 'Towers', 4, 1.2, sheet('cab-feet', { road: 85 })),
    ],
  }
  const bed: Rack = {
    id: 'bedrack',
    kind: 'bed',
    name: 'Bed rack',
    attachmentId: 'bed',
    sideHeightMm: 580,
    bars: [2150, 3150].map((x, i) =>
      barAt(
        i === 0 ? 'bed-front' : 'bed-rear',
        x,
        62 * IN,
        724,
        { kind: 'flat', widthMm: 60, heightMm: 35 },
        { riseMm: 580 },
      ),
    ),
    parts: [
      part('bed-bars', 'bars', 'Heavy bars', 2, 6.4, sheet('bed-bars', { road: 190 })),
      part('bed-towers', 'legs', 'Bed towers', 4, 6.5, NO_FIGURE),
    ],
  }
  const platform = (
    id: string,
    kg: number,
    heightMm: number,
    fromMm: number,
    toMm: number,
    likesMm?: number,
  ) =>
    thingOf(id, kg, [1200, 1100, heightMm], {
      kind: 'platform',
      fit: {
        mount: { kind: 'strap' },
        spreadMm: { fromMm, toMm },
        ...(likesMm === undefined ? {} : { likesMm }),
      },
      carries: { rated: NO_FIGURE, places: [] },
    })
  const A = platform('Platform A', 23.5, 62, 31.5 * IN, 39.375 * IN, 33 * IN)
  const B = platform('Platform B', 18.2, 58, 600, 720)
  const onCab = ['cab-front', 'cab-rear']
  const onBed = ['bed-front', 'bed-rear']
  const fairing = thingOf('Fairing', 2.4, [100, 1000, 40])
  const plan = jobOf(
    vehicle,
    [cab, bed],
    [
      [A, onBars('Platform A', onBed, 2650, 0)],
      [B, onBars('Platform B', onCab, 640, 0)],
      [fairing, onBars('Fairing', ['cab-front'], 300, 0)],
    ],
    { clearances: [{ id: 'garage', name: 'Garage', heightMm: 84 * IN }] },
  )
  const job = answers(plan)

  it('has the spread that its platform leaves, by the school of the house', () => {
    const spreads = job.survey.fit.spreads()
    const spreadOf = (choice: 'wide' | 'nominal') => {
      const xs = chooseBars(spreads, choice) ?? []
      return (xs[3] ?? 0) - (xs[2] ?? 0)
    }
    expect(spreadOf('wide')).toBeCloseTo(1000.1, 0)
    expect(spreadOf('nominal')).toBeCloseTo(838.2, 0)
    expect(job.says('spread').join(' ')).toMatch(
      /679.4 mm between cab-front and cab-rear; Platform B needs 600 mm to 720 mm; 40.5 mm to spare/,
    )
  })

  it('charges the cab with what is on the cab: 31.6 of 75 kg, 43.4 left', () => {
    expect(job.counted('roof', 'road')).toBeCloseTo(31.6, 1)
    expect(job.left('roof', 'road')).toBeCloseTo(43.4, 1)
    expect(job.left('cab-bars', 'road')).toBeCloseTo(59.4, 1)
    expect(job.left('cab-feet', 'road')).toBeCloseTo(64.4, 1)
  })

  it('is never clear on the bed, whose rail has no figure: at most 166.5 kg', () => {
    expect(job.counted('attachment:bed', 'road')).toBeCloseTo(62.3, 1)
    expect(job.limit('attachment:bed', 'road')).toBeUndefined()
    const may = job.may('bedrack', 'road')
    expect(may).toMatchObject({ kind: 'unknown' })
    expect(may?.kind === 'unknown' && may.atMostKg).toBeCloseTo(166.5, 1)
    for (const state of ['road', 'trail', 'parked'] as const) expect(job.states[state]).not.toBe('clear')
  })

  it('does not pass the garage: 17.4 mm are missing', () => {
    expect(job.says('height-clearance', 'stop')[0]).toMatch(
      /leaves 32.6 mm of the 50 mm wanted; 17.4 mm short/,
    )
  })

  it('is over the cab and the bed with a boat: 15.81 kg in front, 13.19 behind, and asks for lines', () => {
    const boat = thingOf('Boat', 29, [5000, 600, 400], {
      kind: 'boat',
      shape: 'hull',
      fit: { mount: { kind: 'strap' } },
      centreOfGravity: { xMm: 0, yMm: 0, zMm: 200 },
    })
    const wide = { ...bed, bars: bed.bars.map((each, i) => ({ ...each, xMm: i === 0 ? 2150 : 2938.2 })) }
    const boats = answers(
      jobOf(vehicle, [cab, wide], [[boat, onBars('Boat', ['cab-front', 'bed-rear'], 1500, 0)]]),
    )
    const load = (id: string) =>
      barLoads(
        boats.survey.masses,
        boats.survey.bars.findIndex(({ bar }) => bar.id === id),
        'road',
      ).loadKg
    expect(load('cab-front')).toBeCloseTo(15.81, 2)
    expect(load('bed-rear')).toBeCloseTo(13.19, 2)
    expect(boats.says('lines', 'mind')).toEqual(['Boat: plan bow and stern lines.'])
  })

  it('leaves a boat that asks for 1100 mm and the platform no spread: 99.9 mm are missing', () => {
    const boat = thingOf('Boat', 29, [5000, 600, 400], {
      kind: 'boat',
      shape: 'hull',
      fit: { mount: { kind: 'strap' }, spreadMm: { fromMm: 1100, toMm: 1300 } },
    })
    const both = jobOf(
      vehicle,
      [bed],
      [
        [A, onBars('Platform A', onBed, 2650, 0)],
        [boat, onBars('Boat', onBed, 2650, 0)],
      ],
    )
    expect(answers(both).says('spread', 'stop')).toContain(
      'No spread suits Platform A and Boat together: 99.9 mm are missing. One of them has to give way.',
    )
  })
})
