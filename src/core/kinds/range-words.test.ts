import { expect, it } from 'vitest'
import { phraseText } from '../units/phrase'
import { OPEN_MM, openRangeSchema, rangeEnds } from './mount'
import { rangeWords } from './range-words'

const said = (range: { fromMm?: number; toMm?: number }) => phraseText(rangeWords(...rangeEnds(range)))

it('says both ends of a range, or the one it has', () => {
  expect(said({ fromMm: 600, toMm: 750 })).toBe('600 mm to 750 mm')
  expect(said({ fromMm: 700, toMm: 700 })).toBe('700 mm')
  expect(said({ fromMm: 600 })).toBe('at least 600 mm')
  expect(said({ toMm: 750 })).toBe('at most 750 mm')
  expect(rangeEnds({ fromMm: 600 })).toEqual([600, OPEN_MM])
})

it('needs an end, and ends after it begins', () => {
  const reads = (range: object) => openRangeSchema.safeParse(range).success
  expect([reads({ fromMm: 600 }), reads({ toMm: 600 }), reads({ fromMm: 600, toMm: 600 })]).toEqual([
    true,
    true,
    true,
  ])
  expect([reads({}), reads({ fromMm: 600, toMm: 599 })]).toEqual([false, false])
})
