import { expect, it } from 'vitest'
import { readText } from '../src/core/reading/read'
import { ownSheets, type Sheet, shownSheets } from './corpus'
import { offersOf } from './offers'
import { countsOf, scoreSheet } from './score'

const read = (sheets: readonly Sheet[]) =>
  sheets.map((sheet) => {
    const offers = offersOf(readText(sheet.text))
    return { sheet, offers, scored: scoreSheet(sheet, offers) }
  })
const corpora = { given: read(shownSheets()), own: read(ownSheets()) }
const share = ([part, whole]: readonly [number, number]): number => part / whole

/** Least shares of the figures a careful person takes: sure, and sure or asked. */
const LEAST = { easy: [0.92, 0.95], middling: [0.8, 0.88], nasty: [0.55, 0.7] } as const
const MOST_WRONG = 0.02
const MOST_QUESTIONS = 1 / 3

it.each(Object.keys(corpora) as (keyof typeof corpora)[])(
  'reads the texts within every bound: %s',
  (name) => {
    const all = corpora[name]
    for (const [level, [sure, asked]] of Object.entries(LEAST)) {
      const counts = countsOf(all.filter(({ sheet }) => sheet.level === level))
      expect(share(counts.sure), level).toBeGreaterThanOrEqual(sure)
      expect(share(counts.sureOrAsked), level).toBeGreaterThanOrEqual(asked)
    }
    const counts = countsOf(all)
    expect(1 - share(counts.precision)).toBeLessThanOrEqual(MOST_WRONG)
    expect(share(counts.questions)).toBeLessThanOrEqual(MOST_QUESTIONS)
    expect(counts.askedNever).toBe(0)
    expect(all.flatMap(({ sheet, scored }) => scored.zero.map((each) => [sheet.id, ...each]))).toEqual([])
  },
)

it('offers nothing whose words do not stand in the text', () => {
  for (const { sheet, offers } of [...corpora.given, ...corpora.own])
    for (const { at } of offers) {
      expect(at[0]).toBeGreaterThanOrEqual(0)
      expect(at[1]).toBeLessThanOrEqual(sheet.text.length)
      expect(sheet.text.slice(...at).trim()).not.toBe('')
    }
})
