import fc from 'fast-check'
import { expect, it } from 'vitest'
import { runs } from '../src/core/runs.testing'
import type { Claim } from '../src/core/reading/claim'
import { plainLetters } from '../src/core/reading/letters'
import { readText } from '../src/core/reading/read'
import { unwrapped } from '../src/core/reading/unwrap'
import { ownSheets, shownSheets } from './corpus'

const texts = [...shownSheets(), ...ownSheets()].map(({ text }) => text)
const aText = fc.constantFrom(...texts)

/** What is said of each figure, without its place: the places move when letters do. */
const said = (claims: readonly Claim[]): string[] =>
  claims.map(({ at: _, ...claim }) => JSON.stringify(claim)).toSorted((a, b) => a.localeCompare(b))
const figures = (claims: readonly Claim[]): string[] => said(claims.filter(({ unit }) => unit !== null))

it('reads any letters of any length without a fault, and offers words that stand in the text', () => {
  const pieces = fc.array(fc.oneof(fc.string({ unit: 'binary' }), fc.string(), aText), { maxLength: 6 })
  fc.assert(
    fc.property(pieces, (all) => {
      const text = all.join('\n')
      for (const { at, value, unit } of readText(text)) {
        expect(text.slice(...at)).not.toBe('')
        expect(at[1]).toBeLessThanOrEqual(text.length)
        if (unit !== null) expect(Number.isFinite(value)).toBe(true)
      }
    }),
    { numRuns: runs(2000) },
  )
})

it('reads the same with other line ends, other spaces and trailing blanks', () => {
  const changes = fc.constantFrom<(text: string) => string>(
    (text) => text.replaceAll('\r', '').replaceAll('\n', '\r\n'),
    (text) => text.replaceAll(/(?<=\S) (?=\S)/g, '\u00a0'),
    (text) => text.replaceAll(/(\d) (?=[a-zA-Z])/g, '$1\u2009'),
    (text) => text.replaceAll('\r', '').replaceAll('\n', '  \n'),
    (text) => text.replaceAll('-', '\u2011'),
    (text) => `\ufeff${text}\n\n`,
  )
  fc.assert(
    fc.property(aText, changes, (text, change) => {
      expect(said(readText(change(text)))).toEqual(said(readText(text)))
    }),
    { numRuns: runs(3000) },
  )
})

it('reads the same figures in capitals', () => {
  const whole = texts.filter((text) => {
    const letters = plainLetters(text)
    return unwrapped(letters).plain.split('\n').length === letters.plain.split('\n').length
  })
  for (const text of whole)
    expect(figures(readText(text.toUpperCase())), text).toEqual(figures(readText(text)))
})

it('reads the same figures behind the marks of a list', () => {
  const plain = texts.filter((text) => !/^\s|[\t|>]| {2}|-\n|^[a-z\d]/m.test(text))
  fc.assert(
    fc.property(fc.constantFrom(...plain), fc.constantFrom('- ', '• ', '* '), (text, mark) => {
      const list = text.replaceAll(/^(?=\S)/gm, mark)
      expect(figures(readText(list))).toEqual(figures(readText(text)))
    }),
    { numRuns: runs(2000) },
  )
})

it('reads the same behind a sentence that speaks of something else', () => {
  const sentence = fc.constantFrom(
    'Thank you for your call.',
    'Here is what I found this morning.',
    'Please read all of it before you begin.',
    'Keep this sheet in a dry place.',
  )
  fc.assert(
    fc.property(aText, sentence, (text, before) => {
      expect(figures(readText(`${before}\n\n${text}`))).toEqual(figures(readText(text)))
    }),
    { numRuns: runs(3000) },
  )
})

it('reads a limit in either system of units, in each state', () => {
  const words = { road: 'driving', trail: 'off-road', parked: 'parked' } as const
  const states = fc.constantFrom('road' as const, 'trail' as const, 'parked' as const)
  fc.assert(
    fc.property(
      fc.integer({ min: 5, max: 990 }),
      states,
      fc.constantFrom('kg', 'lb', 'lbs', 'KG'),
      (value, state, unit) => {
        const [claim, ...more] = readText(`Roof rack. Maximum load, ${words[state]}: ${value} ${unit}`)
        expect(more).toEqual([])
        expect(claim).toMatchObject({
          what: 'rack.rating',
          value,
          state,
          unit: unit === 'KG' ? 'kg' : unit.slice(0, 2),
        })
      },
    ),
    { numRuns: runs(2000) },
  )
})
