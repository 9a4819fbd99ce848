import { readSheet, vehicleAsks } from '@/core/api/files'
import { expect, it } from 'vitest'
import { countsOf, type Deeds, figuresOf, textMarks, NO_DEEDS, type PlaceOf } from './figures'

const TEXT = 'Estate\nLength 4700 mm, page 3\nRoof load 75 kg\nThe box weighs 18 kg\nIt took 12 kg of sand'
const onVehicle: PlaceOf = (reading) => {
  const asks = vehicleAsks(reading)
  return asks && { group: 'vehicle', asks }
}
const READ = readSheet(TEXT, 'vehicle')
const now = (deeds: Deeds = NO_DEEDS) => figuresOf(READ.readings, onVehicle, deeds)
const wordsOf = (deeds?: Deeds) =>
  textMarks(READ, now(deeds)).map(({ at, to, state }) => [TEXT.slice(at, to), state])

it('marks every amount of a text once by what became of it', () => {
  expect(wordsOf()).toEqual([
    ['4700 mm', 'taken'],
    ['page 3', 'source'],
    ['75 kg', 'asked'],
    ['18 kg', 'elsewhere'],
    ['12 kg', 'left'],
  ])
  expect(countsOf(textMarks(READ, now()))).toEqual({ taken: 1, source: 1, asked: 1, elsewhere: 1, left: 1 })
})

it('takes what is answered, leaves what a person leaves, and takes what a person says', () => {
  const [length, limit] = now()
  const answered = { ...NO_DEEDS, answers: { [limit!.key]: { state: 'road' as const } } }
  expect(now(answered).map(({ open }) => open)).toEqual([[], []])
  expect(wordsOf(answered)[2]).toEqual(['75 kg', 'taken'])
  expect(wordsOf({ ...NO_DEEDS, left: new Set([length!.key]) })[0]).toEqual(['4700 mm', 'left'])
  const at = TEXT.indexOf('12 kg')
  const said = { what: 'kerb', kg: 12, words: '12 kg', at, to: at + 5, doubtful: false } as const
  expect(wordsOf({ ...NO_DEEDS, said: [said] }).at(-1)).toEqual(['12 kg', 'taken'])
})

it('keeps the question of a figure in sight after it is answered, so that the answer can be changed', () => {
  const [, limit] = now()
  const [, after] = now({ ...NO_DEEDS, answers: { [limit!.key]: { state: 'parked' } } })
  expect(after).toMatchObject({ asked: ['state'], open: [], reading: { state: 'parked' } })
})
