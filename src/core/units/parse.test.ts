import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Dimension } from './dimension'
import { formatQuantity } from './format'
import { typedElsewhere, parseQuantity } from './parse'
import { runs } from '@/core/runs.testing'

const value = (dimension: Dimension, text: string, system: 'metric' | 'us' = 'metric') => {
  const read = parseQuantity(dimension, text, system)
  if (!read.ok) throw new Error(read.reason)
  return read.value
}
const reason = (dimension: Dimension, text: string) => {
  const read = parseQuantity(dimension, text)
  return read.ok ? undefined : read.reason
}

describe('lengths as people write them', () => {
  it.each([
    ['31 5/8"', 803.275],
    ['31-5/8 in', 803.275],
    ['31 ⅝ in', 803.275],
    ['31⅝"', 803.275],
    ['2\' 7 5/8"', 803.275],
    ["2'7.625", 803.275],
    ['2 ft 7 5/8 in', 803.275],
    ['705 mm', 705],
    ['705', 705],
    ['70.5cm', 705],
    ['0.705 m', 705],
    ['0,705 m', 705],
    ['1 270 mm', 1270],
    ['\u22125 mm', -5],
    ['- 1/2"', -12.7],
    ['.5 in', 12.7],
    ['36 27/32 in', 935.83125],
  ])('reads %s as %f mm', (text, mm) => {
    expect(value('length', text)).toBeCloseTo(mm, 9)
  })

  it('gives a bare number the unit on screen, and writes it behind what was typed', () => {
    const read = parseQuantity('length', '30', 'us')
    expect(read).toMatchObject({ ok: true, value: 762, typed: '30 in' })
    expect(parseQuantity('length', '30 mm', 'us')).toMatchObject({ value: 30, typed: '30 mm' })
  })

  it.each([
    ['', 'Nothing was typed'],
    ['wide', 'no number'],
    ['12 stone', 'not a unit of length'],
    ['3/0 in', 'cannot have 0 below the line'],
    ['1,270 mm', 'read two ways'],
    ['1.500 mm', 'write 1500 or 1.5'],
    ['2.000', 'write 2000 or 2.0'],
    ['5 mm 3 in', 'after mm'],
    [`${'9'.repeat(59)}9999`, 'too long'],
    ['12 kg', 'not a unit of length'],
    ['9/64', 'write 9/64 in, or 9/64 mm'],
    ['1 ½', 'a fraction without a unit'],
  ])('refuses %j and says how to write it', (text, why) => {
    expect(reason('length', text)).toContain(why)
    expect(reason('length', text)).toContain('31 5/8 in')
  })
})

describe('the other dimensions', () => {
  it.each<[Dimension, string, number]>([
    ['mass', '150 lb', 68.0388555],
    ['mass', '150#', 68.0388555],
    ['mass', '11 lb 8 oz', 5.216312255],
    ['mass', '75 kg', 75],
    ['torque', '18 Nm', 18],
    ['torque', '13 ft-lb', 17.626],
    ['torque', '95 in-lb', 10.7335],
    ['volume', '5 gal', 18.92705892],
    ['speed', '62 mph', 99.779328],
    ['angle', '15°', 15],
    ['areaDensity', '20 kg/m2', 20],
  ])('reads %s %s', (dimension, text, expected) => {
    expect(value(dimension, text)).toBeCloseTo(expected, 3)
  })
})

describe('what was typed in another unit', () => {
  it('is kept as typed; a unit of the core’s own and nothing at all are not', () => {
    expect(typedElsewhere('length', '8 1/4 in')).toBe('8 1/4 in')
    expect(typedElsewhere('length', '243 mm')).toBeUndefined()
    expect(typedElsewhere('length', '')).toBeUndefined()
    expect(typedElsewhere('length', ' ')).toBeUndefined()
  })
})

describe('round trips', () => {
  it('prints and reads back every 1/32 in from 0 to 120 in unchanged', () => {
    for (let n = 0; n <= 120 * 32; n += 1) {
      const mm = (n / 32) * 25.4
      const text = formatQuantity('length', mm, { show: 'us', denominator: 32 })
      expect(value('length', text, 'us')).toBeCloseTo(mm, 9)
    }
  })

  it('reads what was typed to the same value whatever system is on screen', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('mm', 'cm', 'm', 'in', 'ft'),
        fc.integer({ min: -20_000, max: 20_000 }),
        (unit, n) => {
          const text = `${n / 8} ${unit}`
          expect(value('length', text, 'us')).toBe(value('length', text, 'metric'))
        },
      ),
      { numRuns: runs(1000) },
    )
  })

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Dimension>('length', 'mass', 'torque', 'volume', 'speed', 'angle', 'areaDensity'),
        fc.oneof(
          fc.string(),
          fc.string({
            unit: fc.constantFrom(
              '0',
              '3',
              '9',
              ' ',
              '/',
              '.',
              ',',
              "'",
              '"',
              '-',
              'i',
              'n',
              'f',
              't',
              'm',
              'k',
              'g',
              '½',
              '#',
            ),
          }),
        ),
        (dimension, text) => {
          const read = parseQuantity(dimension, text)
          expect(read.ok ? Number.isFinite(read.value) : read.reason.length > 0).toBe(true)
        },
      ),
      { numRuns: runs(5000) },
    )
  })
})
