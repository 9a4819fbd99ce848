import { describe, expect, it } from 'vitest'
import { searchPalette } from './palette-search'

const cars = [
  'Estate, raised rails · F0417 · Sea-boat school',
  'Tall van · KL-22 B · Rental yard',
  'Tall van',
].map((name) => ({ name }))

describe('finding a car', () => {
  it('takes words in any order, however a plate is spaced or cased', () => {
    expect(searchPalette(cars, 'school estate')).toEqual([cars[0]])
    expect(searchPalette(cars, 'kl 22b')).toEqual([cars[1]])
    expect(searchPalette(cars, 'kl-22 b')).toEqual([cars[1]])
    expect(searchPalette(cars, 'VAN')).toEqual([cars[1], cars[2]])
  })
  it('shows all in their order where nothing or only punctuation is typed', () => {
    expect(searchPalette(cars, '')).toEqual(cars)
    expect(searchPalette(cars, ' · ')).toEqual(cars)
  })
})

const JOBS = ['Yard van, 0431', 'Ridge camp, tent for two', 'Wide box under the hatch'].map((name, i) => ({
  id: `${i}`,
  name,
}))

it('finds a job by parts of the words of its name, in any order, and by its number', () => {
  const found = (typed: string) => searchPalette(JOBS, typed).map(({ id }) => id)
  expect(found('')).toEqual(['0', '1', '2'])
  expect(found('tent ridge')).toEqual(['1'])
  expect(found('0431')).toEqual(['0'])
  expect(found('BOX,hat')).toEqual(['2'])
  expect(found('boat')).toEqual([])
})
