import { expect, it } from 'vitest'
import { DEMO_PLANS } from '../../../demo/plans'
import { gearSchema } from '../../plan/schema/gear'
import { partSchema } from '../../plan/schema/rack'
import { vehicleSchema } from '../../plan/schema/vehicle'
import { phraseText } from '../../units/phrase'
import { readSheet } from './read-sheet'
import { gearTakes, gearWith, partTakes, partWith, readingWords, vehicleWith } from './take-readings'

const [plan] = DEMO_PLANS
const { vehicle } = plan!
const box = plan!.gear.find(({ carries }) => carries)!
const read = (text: string) => readSheet(text).readings

it('enters figures for a roof beside what stands there, with the words, page and day they were read from', () => {
  const all = read(
    'Edition of 12 March 2025, page 7.\nMaximum roof load 68 kg including the rack, off-road 44 kg.',
  )
  const after = vehicleWith(vehicle, all, all, 'manual')
  expect(vehicleSchema.safeParse(after).success).toBe(true)
  expect(after.roof.ratings.slice(0, vehicle.roof.ratings.length)).toEqual(vehicle.roof.ratings)
  expect(after.roof.ratings.slice(vehicle.roof.ratings.length)).toMatchObject([
    { state: 'road', kg: 68, counts: 'everything', source: { kind: 'manual', page: '7', on: '2025-03-12' } },
    {
      state: 'trail',
      kg: 44,
      source: { text: 'Maximum roof load 68 kg including the rack, off-road 44 kg.' },
    },
  ])
  expect(vehicleWith(after, all, all, 'manual').roof.ratings).toEqual(after.roof.ratings)
})

it('enters what a box weighs, asks for and carries, and what was typed before goes', () => {
  const all = read('Weight 19.2 kg. Max. load 48 kg. Bar spacing 640-860 mm. Length 2.05 m')
  const before = {
    ...box,
    mass: { ...box.mass, typed: { kg: '40 lb' } },
    typed: { lengthMm: '6 ft', widthMm: '3 ft' },
  }
  const after = gearWith(before, all, all, 'sheet')
  expect(gearSchema.safeParse(after).success).toBe(true)
  expect(after.mass).toMatchObject({ kg: 19.2, basis: 'maker', by: 'Weight 19.2 kg.' })
  expect(after.mass.typed).toBeUndefined()
  expect(after.fit.spreadMm).toEqual({ fromMm: 640, toMm: 860 })
  expect(after).toMatchObject({
    lengthMm: 2050,
    known: { lengthMm: { by: 'sheet' } },
    typed: { widthMm: '3 ft' },
  })
  const rated = after.carries?.rated
  expect(rated?.by === 'own' && rated.ratings.some(({ kg }) => kg === 48)).toBe(true)
})

it('enters a torque at a joint that has none of its own, and leaves a part without a joint as it is', () => {
  const [part] = plan!.racks[0]!.parts.filter(({ fasteners }) => fasteners?.length)
  const all = read('Tighten the bolts to 5-7 Nm. Each foot: max. 25 kg.')
  const after = partWith(part!, all, all, 'label')
  expect(partSchema.safeParse(after).success).toBe(true)
  expect(after.fasteners?.[0]).toMatchObject({ torqueNm: { from: 5, to: 7 }, torqueFrom: { kind: 'label' } })
  const { fasteners: _, ...bare } = part!
  expect(partWith(bare, all, all, 'label').fasteners).toBeUndefined()
})

it('has a place for what a thing can keep, and for no more', () => {
  expect(gearTakes(box)).toContain('limit')
  const { carries: _, ...bare } = box
  expect(gearTakes(bare)).not.toContain('limit')
  const [part] = plan!.racks[0]!.parts
  expect(partTakes({ ...part!, fasteners: [] })).not.toContain('torque')
  expect(
    partTakes({ ...part!, rated: { by: 'with', what: 'the feet', source: { kind: 'sheet' } } }),
  ).not.toContain('limit')
})

it('says each reading in words with its unit', () => {
  const words = read(
    'Max load 75 kg incl. rack, bars 600-900 mm apart; tighten bolts to 4 Nm; max. speed 110 km/h; page 3',
  ).map((each) => phraseText(readingWords(each)))
  expect(words).toEqual([
    'May carry 75 kg, on the road, the rack counted',
    'Bars apart 600 mm to 900 mm',
    'Tightened to 4 N·m',
    'Up to 110 km/h',
    'Page 3',
  ])
})
