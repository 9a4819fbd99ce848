import { describe, expect, it } from 'vitest'
import type { Attachment } from '../../plan/schema/vehicle'
import {
  answers,
  barAt,
  IN,
  jobOf,
  LB,
  manual,
  part,
  sheet,
  vehicleOf,
  WITH_ROOF,
  type Rack,
} from './worked.testing'

const SQUARE = { kind: 'square', widthMm: 30, heightMm: 20 } as const

describe('square bars in the door openings of a saloon', () => {
  const DOORS: Attachment = {
    kind: 'bareRoof',
    id: 'doors',
    name: 'Door openings',
    rated: WITH_ROOF,
    doorPositions: [310, 310 + 28.375 * IN].map((xMm) => ({ xMm, yMm: 431 })),
  }
  const vehicle = vehicleOf(
    'saloon',
    {
      roofFigures: manual('roof', { road: 70 }),
      doors: 4,
      years: { from: 2014, to: 2014 },
      roofToXMm: 1350,
    },
    [DOORS],
  )
  const rack: Rack = {
    id: 'rack',
    kind: 'bars',
    name: 'Square bars',
    attachmentId: 'doors',
    bars: [310, 310 + 28.375 * IN].map((x, i) => barAt(i === 0 ? 'front' : 'rear', x, 1180, 431, SQUARE)),
    parts: [
      part('bars', 'bars', 'Bars', 2, 2.9, sheet('bars', { road: 180 * LB })),
      part('feet', 'feet', 'Feet', 4, 0.95, sheet('feet', { road: 68 })),
      {
        ...part('kit', 'fitKit', 'Fit kit', 1, 0.6, {
          by: 'with',
          what: 'the feet',
          source: { kind: 'sheet' },
        }),
        kit: { bodies: ['saloon'], doors: [4], years: { from: 2012, to: 2018 } },
      },
    ],
  }
  const job = answers(jobOf(vehicle, [rack], []))

  it('may carry what the roof leaves over its own rack: 59.8 of 70 kg on the road', () => {
    expect(job.counted('roof', 'road')).toBeCloseTo(10.2, 6)
    expect(job.left('roof', 'road')).toBeCloseTo(59.8, 6)
    expect(job.left('feet', 'road')).toBeCloseTo(68, 6)
    expect(job.left('part:bars', 'road')).toBeCloseTo(81.65, 1)
    expect(job.governs('road')).toBe('Roof')
    expect(job.may('rack', 'road')).toMatchObject({ kind: 'known' })
    expect(job.says('layer-limit', 'clear')[0]).toMatch(
      /59.8 kg left of 70 kg, .*not counting the rack, 70 kg/,
    )
  })

  it('may carry 68 kg where the house rule is that a silent roof does not count the rack', () => {
    const off = answers({ ...job.plan, rules: { ...job.plan.rules, roofCounts: 'load' } })
    expect(off.left('roof', 'road')).toBeCloseTo(70, 6)
    expect(off.may('rack', 'road')).toMatchObject({ kind: 'known', binding: { layer: { name: 'Feet' } } })
  })

  it('is judged on the trail by two thirds, and parked by nothing that anybody gave', () => {
    expect(job.left('roof', 'trail')).toBeCloseTo(36.5, 1)
    expect(job.states.trail).toBe('mind')
    expect(job.limit('feet', 'trail')).toBeCloseTo(45.3, 1)
    // Within its driving figure the bare rack holds parked: at least.
    expect(job.may('rack', 'parked')).toMatchObject({ kind: 'atLeast' })
  })

  it('is for its years and doors', () => {
    const other = (more: Partial<typeof vehicle>) =>
      answers(jobOf({ ...vehicle, ...more }, [rack], [])).says('kit-fit', 'stop')
    expect(other({ years: { from: 2019, to: 2019 } })).toEqual([
      'Fit kit: for 2012 to 2018; the vehicle is of 2019.',
    ])
    expect(other({ doors: 2 })).toEqual(['Fit kit: for 4 doors; the vehicle has 2.'])
  })
})
