import { expect, it } from 'vitest'
import { jobsFound } from './job-picker'

const JOBS = ['Yard van, 0431', 'Ridge camp, tent for two', 'Wide box under the hatch'].map((name, i) => ({
  id: `${i}`,
  name,
}))

it('finds a job by parts of the words of its name, in any order, and by its number', () => {
  const found = (typed: string) => jobsFound(JOBS, typed).map(({ id }) => id)
  expect(found('')).toEqual(['0', '1', '2'])
  expect(found('tent ridge')).toEqual(['1'])
  expect(found('0431')).toEqual(['0'])
  expect(found('BOX,hat')).toEqual(['2'])
  expect(found('boat')).toEqual([])
})
