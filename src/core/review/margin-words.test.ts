import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '@/core/runs.testing'
import { atLeast, atMost, fails, overBy, spareOf } from '../facts/comparison'
import { parseQuantity } from '../units/parse'
import { kg, mm, phraseText } from '../units/phrase'
import { marginWords } from './margin-words'

const US = { show: 'us', denominator: 16 } as const
const words = (compared: Parameters<typeof marginWords>[0], choice?: typeof US) =>
  phraseText(marginWords(compared), choice)

describe('what is to spare or missing', () => {
  it('is told to the tenth, and as an exact fit where it is one', () => {
    expect(words(atMost(720.5, 800))).toBe('; 79.5 mm to spare.')
    expect(words(atLeast(15.93, 20))).toBe('; 4.1 mm short.')
    expect(words(atMost(91, 85))).toBe('; 6 mm too much.')
    expect(words(atMost(35.4375 * 25.4, 900.1125))).toBe('; nothing to spare.')
    expect(phraseText(marginWords(atMost(81.4, 75, 'mass'), kg))).toBe('; 6.4 kg too much.')
  })

  it('is rounded down where it is to spare and up where it is missing: 9.45 missing is not 9.4', () => {
    expect(words(atLeast(90.55, 100))).toBe('; 9.5 mm short.')
    expect(words(atMost(90.51, 100))).toBe('; 9.4 mm to spare.')
    expect(words(atLeast(98, 100), US)).toBe('; 1/8 in short.')
    expect(words(atMost(98, 100), US)).toBe('; 1/16 in to spare.')
  })

  it('never says more to spare than there is, nor less missing, in either system', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.boolean(),
        fc.boolean(),
        (measure, limit, most, us) => {
          const compared = (most ? atMost : atLeast)(measure, limit)
          const text = words(compared, us ? US : undefined)
          if (text.includes('nothing')) {
            expect(Math.abs(overBy(compared))).toBeLessThan(0.1)
            return
          }
          const parsed = parseQuantity(
            'length',
            /; (.*) (to spare|short|too much)\./.exec(text)![1]!,
            us ? 'us' : 'metric',
          )
          if (!parsed.ok) throw new Error(text)
          const step = us ? 25.4 / 16 : 0.1
          if (fails(compared)) {
            expect(parsed.value).toBeGreaterThanOrEqual(overBy(compared) - 1e-3)
            expect(parsed.value).toBeLessThan(overBy(compared) + step + 1e-3)
          } else {
            expect(parsed.value).toBeLessThanOrEqual(Math.max(0, spareOf(compared)) + 1e-3)
            expect(parsed.value).toBeGreaterThan(spareOf(compared) - step - 1e-3)
          }
        },
      ),
      { numRuns: runs(20_000) },
    )
    expect(mm(1).round).toBeUndefined()
  })
})
