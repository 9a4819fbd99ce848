import { describe, expect, it } from 'vitest'
import type { Expected, Sample } from './expected.testing'
import { FIRST_TWENTY } from './first-twenty.testing'
import { LATER } from './later.testing'
import { readSheet } from './read-sheet'

const SAMPLES: readonly Sample[] = [...FIRST_TWENTY, ...LATER]

/** As it stands, and from centimetres, metres, inches and pounds. */
const IN_CORE_UNITS = [1, 10, 1000, 25.4, 0.45359237]
const NEAR = 1e-4
const alike = (a: unknown, b: unknown): boolean =>
  typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) <= NEAR : a === b

/** Whether a reading is the one expected, but for its words. */
function isThat(reading: object, expected: Expected): boolean {
  const { words: _, ...read } = reading as Record<string, unknown>
  const wanted = expected as Readonly<Record<string, unknown>>
  const keys = new Set([...Object.keys(read), ...Object.keys(wanted)])
  return [...keys].every((key) => alike(read[key], wanted[key]))
}

/** Of one text: what a careful person takes, how much of it is offered, and what is offered besides. */
function scored({ text, takes }: Sample) {
  const left = [...takes]
  const wrong: object[] = []
  for (const reading of readSheet(text).readings) {
    const at = left.findIndex((expected) => isThat(reading, expected))
    if (at < 0) wrong.push(reading)
    else left.splice(at, 1)
  }
  return { wanted: takes.length, missed: left, wrong }
}

it('offers most of what a careful person takes, and next to nothing that is wrong', () => {
  const scores = SAMPLES.map(scored)
  const wanted = scores.reduce((sum, each) => sum + each.wanted, 0)
  const missed = scores.reduce((sum, each) => sum + each.missed.length, 0)
  const wrong = scores.reduce((sum, each) => sum + each.wrong.length, 0)
  const offered = wanted - missed + wrong
  console.log(
    `${SAMPLES.length} texts, ${wanted} to take: ${(1 - missed / wanted).toFixed(3)} offered, ${(wrong / offered).toFixed(3)} of what is offered wrong`,
  )
  expect(SAMPLES.length).toBeGreaterThanOrEqual(60)
  expect(1 - missed / wanted).toBeGreaterThanOrEqual(0.85)
  expect(wrong / offered).toBeLessThanOrEqual(0.02)
})

describe('each text', () => {
  it.each(SAMPLES.map((sample) => [sample.name, sample] as const))('%s', (_, sample) => {
    const { missed, wrong } = scored(sample)
    expect(wrong).toEqual([])
    if (FIRST_TWENTY.includes(sample)) expect(missed).toEqual([])
    const { readings, disagrees } = readSheet(sample.text)
    expect(disagrees).toEqual(sample.disagrees ?? [])
    for (const { words } of readings)
      expect(sample.text.replace(/\s+/g, ' ')).toContain(words.replace(/\s+/g, ' '))
  })
})

it('reads nothing out of nothing, and never a number that is no such thing', () => {
  for (const { text, never = [], takes } of SAMPLES) {
    if (takes.length === 0) expect(readSheet(text).readings).toEqual([])
    const numbers = readSheet(text).readings.flatMap((reading) =>
      Object.values(reading).filter((each): each is number => typeof each === 'number'),
    )
    for (const words of never) {
      expect(text).toContain(words)
      const value = Number.parseFloat(words.replace(',', ''))
      for (const factor of IN_CORE_UNITS)
        expect(numbers.some((each) => Math.abs(each - value * factor) < NEAR)).toBe(false)
    }
  }
})

it('reads any text without an error, however long or broken', () => {
  const pieces = SAMPLES.flatMap(({ text }) => text.split(/(?<=\s)/))
  for (const text of [
    '1 '.repeat(20_000),
    '1,'.repeat(20_000),
    '9'.repeat(30_000),
    '1 1/2 - '.repeat(5_000),
    'max '.repeat(9_000),
    pieces.toReversed().join(' '),
    pieces.map((piece, i) => (i % 3 === 0 ? piece.toUpperCase() : piece.slice(1))).join(''),
  ])
    for (const reading of readSheet(text).readings)
      for (const value of Object.values(reading))
        expect(value).not.toSatisfy((each: unknown) => typeof each === 'number' && !Number.isFinite(each))
})
