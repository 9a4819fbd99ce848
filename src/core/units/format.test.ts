import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STANDARD_GRAVITY, UNITS, unitOf } from './dimension'
import { amountIn, formatPrecise, formatQuantity, inchParts } from './format'
import { parseQuantity } from './parse'
import { runs } from '@/core/runs.testing'

/** Published: NIST SP 811, Guide for the Use of the SI, appendix B (from memory). Expected figures are literals. */
describe('conversion factors', () => {
  it.each([
    ['length', 'in', 25.4, 12],
    ['mass', 'lb', 0.45359237, 12],
    ['torque', 'lbf·ft', 1.355818, 6],
    ['torque', 'lbf·in', 0.1129848, 7],
    ['speed', 'mph', 1.609344, 12],
  ] as const)('one %s in %s is %f', (dimension, symbol, factor, digits) => {
    expect(unitOf(dimension, symbol).factor).toBeCloseTo(factor, digits)
  })

  it('takes standard gravity as 9.80665 m/s², exact by definition', () => {
    expect(STANDARD_GRAVITY).toBe(9.80665)
  })

  it('gives 18 N·m as 13.276 lbf·ft (NIST SP 811, from memory)', () => {
    expect(18 / unitOf('torque', 'lbf·ft').factor).toBeCloseTo(13.276, 3)
    expect(amountIn('torque', 15, 'lbf·ft', 0)).toBe('11')
  })

  it('gives 33 13/16 in as 858.84 mm and 31 5/8 in as 803.28 mm, 3 mm from the 806 that a sheet may print', () => {
    expect((33 + 13 / 16) * unitOf('length', 'in').factor).toBeCloseTo(858.84, 2)
    expect(31.625 * unitOf('length', 'in').factor).toBeCloseTo(803.275, 9)
    expect(Math.round(707 - 27.75 * unitOf('length', 'in').factor)).toBe(2)
  })

  it('has no spelling that two units of one dimension share', () => {
    for (const units of Object.values(UNITS)) {
      const spellings = units.flatMap((unit) => unit.spellings)
      expect(new Set(spellings).size).toBe(spellings.length)
    }
  })
})

describe('printing', () => {
  it('sets inches to the nearest part asked for and reduces the fraction', () => {
    expect(inchParts(803.275, 16)).toEqual({ negative: false, whole: 31, numerator: 5, denominator: 8 })
    expect(formatQuantity('length', 935.83125, { show: 'us', denominator: 32 })).toBe('36 27/32 in')
    expect(formatQuantity('length', 935.83125, { show: 'us', denominator: 8 })).toBe('36 7/8 in')
    expect(formatQuantity('length', -12.7, { show: 'us', denominator: 16 })).toBe('\u22121/2 in')
    expect(formatQuantity('length', 25.39, { show: 'us', denominator: 8 })).toBe('1 in')
  })

  it('groups thousands with a thin space and drops empty decimals', () => {
    expect(formatQuantity('length', 12_345.4)).toBe('12\u202f345.4 mm')
    expect(formatQuantity('length', 12_345.04)).toBe('12\u202f345 mm')
    expect(formatQuantity('mass', 75)).toBe('75 kg')
    expect(formatQuantity('mass', -6.4)).toBe('\u22126.4 kg')
    expect(formatQuantity('mass', -0.01)).toBe('0 kg')
    expect(formatQuantity('angle', 15)).toBe('15°')
  })

  it('gives a torque three significant figures in every unit', () => {
    expect(formatQuantity('torque', 4)).toBe('4 N·m')
    expect(formatQuantity('torque', 4.2031)).toBe('4.2 N·m')
    expect(formatQuantity('torque', 12.345)).toBe('12.3 N·m')
    expect(formatQuantity('torque', 196.21)).toBe('196 N·m')
    expect(formatQuantity('torque', 0.4567)).toBe('0.457 N·m')
    expect(amountIn('torque', 4, 'lbf·ft')).toBe('2.95')
    expect(amountIn('torque', 4, 'lbf·in')).toBe('35.4')
  })

  it('rounds to the side that is asked for, but for what arithmetic leaves behind', () => {
    expect(formatQuantity('length', 9.45, undefined, 'up')).toBe('9.5 mm')
    expect(formatQuantity('length', 9.45, undefined, 'down')).toBe('9.4 mm')
    expect(formatQuantity('length', 0.1 + 0.2, undefined, 'up')).toBe('0.3 mm')
    expect(formatQuantity('length', 79.49999999, undefined, 'down')).toBe('79.5 mm')
    const us = { show: 'us', denominator: 16 } as const
    expect(formatQuantity('length', 26, us, 'up')).toBe('1 1/16 in')
    expect(formatQuantity('length', 26.9, us, 'down')).toBe('1 in')
    expect(formatQuantity('length', 25.4, us, 'up')).toBe('1 in')
  })

  it('shows both systems, the metric one first', () => {
    expect(formatQuantity('mass', 68.0388555, { show: 'both', denominator: 16 })).toBe('68 kg (150 lb)')
    expect(formatQuantity('angle', 4, { show: 'both', denominator: 16 })).toBe('4°')
  })

  it('prints for editing so that reading back changes nothing a tape or a scale could see', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -9999, max: 9999, noNaN: true }),
        fc.constantFrom('metric' as const, 'us' as const),
        (number, system) => {
          for (const dimension of ['length', 'mass'] as const) {
            const read = parseQuantity(dimension, formatPrecise(dimension, number, system), system)
            expect(read.ok && Math.abs(read.value - number) < 0.015).toBe(true)
          }
        },
      ),
      { numRuns: runs(2000) },
    )
    expect(formatPrecise('length', 803.275, 'us')).toBe('31 5/8 in')
    expect(formatPrecise('length', 812.8, 'metric')).toBe('812.8 mm')
  })
})
