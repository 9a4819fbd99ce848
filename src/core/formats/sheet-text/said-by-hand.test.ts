import { expect, it } from 'vitest'
import { readSheet } from './read-sheet'
import { meaningsFor } from './said-by-hand'

const meaningsOf = (text: string) => readSheet(text).amounts.map((amount) => meaningsFor(text, amount))

it('offers for an amount what its dimension can be, in the core’s units and at its place', () => {
  const [meanings = []] = meaningsOf('Thing: 22 lb')
  expect(meanings.map(({ id }) => id)).toContain('weighs')
  expect(meanings.find(({ id }) => id === 'weighs')?.reading).toMatchObject({
    what: 'weight',
    of: 'gear',
    at: 7,
    to: 12,
    words: '22 lb',
    doubtful: false,
  })
  const [weighs] = meanings.flatMap(({ reading }) => (reading.what === 'weight' ? [reading.kg] : []))
  expect(weighs).toBeCloseTo(9.979, 3)
})

it('offers nothing for what is more than one figure, or is no mass, length or torque', () => {
  expect(meaningsOf('1350 x 820 mm')).toEqual([[]])
  expect(meaningsOf('about 12 litres')).toEqual([[]])
  expect(meaningsOf('6 Nm')[0]?.map(({ reading }) => reading)).toMatchObject([
    { what: 'torque', fromNm: 6, toNm: 6 },
  ])
})
