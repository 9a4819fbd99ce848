import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { shownSheets } from './corpus'
import { countsOf, type Offer, scoreSheet } from './score'

/** What the scorer that came with the forty texts makes of a set of answers, many of them wrong on purpose. */
interface Recorded {
  readonly totals: Readonly<Record<string, Readonly<Record<string, readonly [number, number]>>>>
  readonly zero: readonly (readonly [id: string, fault: string, what: string])[]
  readonly lines: readonly string[]
  readonly answers: Readonly<Record<string, readonly Offer[]>>
}
const recorded = JSON.parse(readFileSync(join(import.meta.dirname, 'scored.json'), 'utf8')) as Recorded
const scored = shownSheets().map((sheet) => {
  const offers = recorded.answers[sheet.id] ?? []
  return { sheet, offers, scored: scoreSheet(sheet, offers) }
})

it.each(['easy', 'middling', 'nasty', 'all'])('counts as the scorer of the corpus does: %s', (level) => {
  const counts = countsOf(scored.filter(({ sheet }) => level === 'all' || sheet.level === level))
  const wanted = recorded.totals[level]
  expect(counts.sure).toEqual(wanted?.['figure'])
  expect(counts.words).toEqual(wanted?.['word'])
  expect(counts.source).toEqual(wanted?.['source'])
  expect(counts.sureOrAsked).toEqual(wanted?.['sure or asked'])
  expect(counts.precision).toEqual(wanted?.['precision'])
})

it('names the same faults of zero tolerance, and the same misses', () => {
  const zero = scored.flatMap(({ sheet, scored: each }) =>
    each.zero.map(([fault, { what }]) => `${sheet.id} ${fault} ${what}`),
  )
  expect(zero).toEqual(recorded.zero.map((each) => each.join(' ')))
  for (const cause of ['missed', 'unsupported', 'oversure', 'misfiled'] as const) {
    const ours = scored.flatMap(({ sheet, scored: each }) =>
      each[cause].map(({ what }) => `${sheet.id} ${what}`),
    )
    const theirs = recorded.lines
      .map((line) => line.split(/ +/))
      .filter(([, named]) => named === cause)
      .map(([id, , what]) => `${id} ${what}`)
    expect(ours, cause).toEqual(theirs)
  }
})
