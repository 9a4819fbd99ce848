import { expect, it } from 'vitest'
import { DEMO_PLANS } from '../../../demo/plans'
import { gearSchema } from '../../plan/schema/gear'
import { partSchema } from '../../plan/schema/rack'
import { vehicleSchema } from '../../plan/schema/vehicle'
import { phraseText } from '../../units/phrase'
import { withAnswers, type ReadingOf } from './reading'
import { readSheet } from './read-sheet'
import {
  gearAsks,
  gearWith,
  partAsks,
  partFor,
  partWith,
  readingWords,
  vehicleAsks,
  vehicleWith,
} from './take-readings'

const [plan] = DEMO_PLANS
const { vehicle } = plan!
const box = plan!.gear.find(({ carries }) => carries)!
const read = (text: string, of: ReadingOf = 'vehicle') => readSheet(text, of).readings

it('enters figures for a roof beside what stands there, with the words, page and day they were read from', () => {
  const all = read(
    'Edition of 12 March 2025, page 7.\nMaximum roof load, driving: 68 kg including the rack, off-road 44 kg.',
  )
  const after = vehicleWith(vehicle, all, all, 'manual')
  expect(vehicleSchema.safeParse(after).success).toBe(true)
  expect(after.roof.ratings.slice(0, vehicle.roof.ratings.length)).toEqual(vehicle.roof.ratings)
  expect(after.roof.ratings.slice(vehicle.roof.ratings.length)).toMatchObject([
    { state: 'road', kg: 68, counts: 'everything', source: { kind: 'manual', page: '7', on: '2025-03-12' } },
    {
      state: 'trail',
      kg: 44,
      source: { text: 'Maximum roof load, driving: 68 kg including the rack, off-road 44 kg.' },
    },
  ])
  expect(vehicleWith(after, all, all, 'manual').roof.ratings).toEqual(after.roof.ratings)
})

it('enters what a box weighs, asks for and carries, and what was typed before goes', () => {
  const all = read('Weight 19.2 kg. Max. load driving 48 kg. Bar spacing 640-860 mm. Length 2.05 m', 'gear')
  const before = {
    ...box,
    mass: { ...box.mass, typed: { kg: '40 lb' } },
    typed: { lengthMm: '6 ft', widthMm: '3 ft' },
  }
  const after = gearWith(before, all, all, 'sheet')
  expect(gearSchema.safeParse(after).success).toBe(true)
  expect(after.mass).toMatchObject({
    kg: 19.2,
    basis: 'maker',
    by: expect.stringContaining('Weight 19.2 kg.'),
  })
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

it('enters a torque at a joint that has none of its own, and leaves a part whose bolts nobody counted as it is', () => {
  const [part] = plan!.racks[0]!.parts.filter(({ fasteners }) => fasteners?.length)
  const all = read('Tighten the bolts to 5-7 Nm. Each foot: max. 25 kg driving.', 'rack')
  const after = partWith(part!, all, all, 'label')
  expect(partSchema.safeParse(after).success).toBe(true)
  expect(after.fasteners?.[0]).toMatchObject({ torqueNm: { from: 5, to: 7 }, torqueFrom: { kind: 'label' } })
  const { fasteners: _, ...bare } = part!
  expect(partWith(bare, all, all, 'label').fasteners).toBeUndefined()
})

it('has a place for what a thing can keep, and for no more', () => {
  const [limit] = read('Roof box. Max. load driving 48 kg.', 'gear')
  expect(gearAsks(box, limit!)).toEqual([])
  const { carries: _, ...bare } = box
  expect(gearAsks(bare, limit!)).toBeUndefined()
  expect(vehicleAsks(limit!)).toBeUndefined()
  const [part] = plan!.racks[0]!.parts
  const [torque] = read('Torque 6 Nm', 'rack')
  expect(partAsks({ ...part!, fasteners: [] }, torque!)).toBeUndefined()
  const [bars] = read('Crossbars: max. load driving 75 kg per pair', 'rack')
  const ratedWith = { by: 'with', what: 'the feet', source: { kind: 'sheet' } } as const
  expect(partAsks({ ...part!, rated: ratedWith }, bars!)).toBeUndefined()
})

it('asks in which state a limit holds where the text does not say, and enters it in no state before', () => {
  const [limit, ...more] = read('Roof load 61 kg')
  expect(more).toEqual([])
  expect(vehicleAsks(limit!)).toEqual(['state'])
  expect(vehicleWith(vehicle, [limit!], [limit!], 'manual').roof.ratings).toEqual(vehicle.roof.ratings)
  const parked = withAnswers(limit!, { state: 'parked' })
  expect(vehicleAsks(parked)).toEqual([])
  expect(vehicleWith(vehicle, [parked], [parked], 'manual').roof.ratings.at(-1)).toMatchObject({
    state: 'parked',
    kg: 61,
  })
})

it('keeps the figures of one part of a rack from another', () => {
  const [bar] = plan!.racks[0]!.parts.filter(({ role }) => role === 'bars')
  const [foot] = plan!.racks[0]!.parts.filter(({ role }) => role === 'feet')
  const [ofFeet] = read('Clamp foot, set of four. Load driving 80 kg per set', 'rack')
  expect(partAsks(bar!, ofFeet!)).toBeUndefined()
  expect(partAsks({ ...foot!, rated: { by: 'own', ratings: [] } }, ofFeet!)).toEqual([])
  expect(phraseText(readingWords(ofFeet!))).toBe('Feet: may carry 80 kg, on the road')
})

it('asks whether a figure is so where the text only supposes it', () => {
  const guess = read('Roof tent: weight about 62 kg', 'gear').find(({ what }) => what === 'weight')
  expect(gearAsks(box, guess!)).toEqual(['doubt'])
  expect(gearAsks(box, withAnswers(guess!, { doubt: 'so' }))).toEqual([])
})

it('takes the weight of a set for all of it, and asks where the text does not say of how many', () => {
  const [part] = plan!.racks[0]!.parts.filter(({ role }) => role === 'feet')
  const four = { ...part!, count: 4 }
  const [ofSet] = read('Foot set. Weight of the set: 3.6 kg per set', 'rack')
  expect(partAsks(four, ofSet!)).toEqual([])
  expect(partWith(four, [ofSet!], [ofSet!], 'sheet').eachKg).toBeCloseTo(0.9, 9)
  const [unsaid] = read('Clamp foot. Weight 3.6 kg', 'rack')
  expect(partAsks(four, unsaid!)).toEqual(['per'])
  expect(partWith(four, [withAnswers(unsaid!, { per: 'each' })], [], 'sheet').eachKg).toBe(3.6)
  const [pair] = read('Foot. Weight 1.8 kg per pair', 'rack')
  expect(partAsks(four, pair!)).toBeUndefined()
  expect(partWith({ ...part!, count: 2 }, [pair!], [], 'sheet').eachKg).toBeCloseTo(0.9, 9)
})

it('enters a limit for one kind of thing, or up to one speed, as that alone', () => {
  const all = read('Roof load, driving\nBikes: 45 kg\nBox: 60 kg\nAnything else: 75 kg up to 80 km/h')
  const after = vehicleWith(vehicle, all, all, 'manual').roof.ratings.slice(vehicle.roof.ratings.length)
  expect(after.map(({ kg, gearKind, upToKmH }) => [kg, gearKind, upToKmH])).toEqual([
    [45, 'bike', undefined],
    [60, 'box', undefined],
    [75, undefined, 80],
  ])
})

it('enters wheelbase and masses of a vehicle, and what was typed there before goes', () => {
  const all = read('Saloon\nWheelbase 2780 mm\nKerb weight 1495 kg\nGross weight 2010 kg')
  const after = vehicleWith({ ...vehicle, typed: { wheelbaseMm: '109 in' } }, all, all, 'manual')
  expect(vehicleSchema.safeParse(after).success).toBe(true)
  expect(after).toMatchObject({ wheelbaseMm: 2780, kerbKg: 1495, grossKg: 2010, typed: {} })
  expect(after.known).toMatchObject({ wheelbaseMm: { by: 'manual' }, kerbKg: { by: 'manual' } })
})

it('says each reading in words with its unit', () => {
  const words = read(
    'Rack. Max load driving 75 kg incl. rack; bars 600-900 mm apart; tighten bolts to 4 Nm; max. speed 110 km/h; page 3',
    'rack',
  ).map((each) => phraseText(readingWords(each)))
  expect(words).toEqual([
    'May carry 75 kg, on the road, the rack counted',
    'Bars apart 600 mm to 900 mm',
    'Tightened to 4 N·m',
    'Up to 110 km/h',
    'Page 3',
  ])
})

it('leaves both figures where two units of one do not agree', () => {
  const { readings, disagrees } = readSheet('Roof load, driving: 75 kg (180 lb)', 'vehicle')
  expect(readings).toEqual([])
  expect(disagrees).toEqual(['75 kg (180 lb)'])
})

it('gives a figure of a rack to the part that its words name, and asks how many bolts a new joint has', () => {
  const [bars, feet] = ['bars', 'feet'].map((role) =>
    plan!.racks[0]!.parts.find((each) => each.role === role)!,
  )
  const { fasteners: _, ...bare } = { ...feet!, count: 4 }
  const parts = [bars!, bare]
  const [weight, torque] = read('Weight of the foot 0.95 kg each\nTighten the M6 bolts to 6 Nm', 'rack')
  expect(partFor(parts, bars!.id, weight!)).toMatchObject({ part: { id: feet!.id }, asks: [] })
  const without = parts.map((part) => ({ ...part, fasteners: [] }))
  expect(partFor(without, bars!.id, torque!)).toMatchObject({ part: { id: feet!.id }, asks: ['bolts'] })
  const answered = withAnswers(torque!, { bolts: '2' })
  expect(partFor(without, bars!.id, answered)?.asks).toEqual([])
  expect(partWith(bare, [answered], [answered], 'manual').fasteners).toEqual([
    {
      thread: 'M6',
      count: 8,
      torqueNm: { from: 6, to: 6 },
      torqueFrom: { kind: 'manual', text: 'Tighten the M6 bolts to 6 Nm' },
    },
  ])
  const [ofRack] = read('Rack. Weight 12 kg', 'rack')
  expect(partFor([], 'none', ofRack!)).toBeUndefined()
})

it('keeps the years and doors of a car, and the speed of a thing with the lowest of two', () => {
  const ofCar = read('Estate, 5 doors\nBuilt 2015-2019', 'vehicle')
  expect(ofCar.map((each) => phraseText(readingWords(each)))).toEqual(['5 doors', 'Built from 2015 to 2019'])
  expect(vehicleWith(vehicle, ofCar, ofCar, 'sheet')).toMatchObject({
    doors: 5,
    years: { from: 2015, to: 2019 },
  })
  const ofBox = read('Roof box. Max. speed 130 km/h. With bikes do not exceed 110 km/h.', 'gear')
  const fast = { ...box, maxKmH: 150, typed: { maxKmH: '150' } }
  expect(gearWith(fast, ofBox, ofBox, 'label')).toMatchObject({ maxKmH: 110, typed: {} })
})

it('asks before it takes what a text says of another of its things', () => {
  const all = read('Hello, we have a tent of 58 kg and a roof box. The box weighs 19 kg.', 'gear')
  const weights = all.filter(({ what }) => what === 'weight')
  expect(weights.map((each) => gearAsks(box, each))).toEqual([['thing'], []])
  expect(gearAsks(box, withAnswers(weights[0]!, { thing: 'this' }))).toEqual([])
  // Of the one thing of a text nobody asks: the sheet may not say yet what kind it is.
  const [alone] = read('Hello, our tent weighs 58 kg.', 'gear')
  expect(gearAsks(box, alone!)).toEqual([])
})

it('knows the page on which a figure stands', () => {
  const { readings } = readSheet('Roof load, driving: 75 kg\fLength 4700 mm\fWidth 1800 mm', 'vehicle')
  expect(readings.map(({ page }) => page)).toEqual(['1', '2', '3'])
  const named = readSheet('Page 7\nLength 4700 mm\npage 9\nWidth 1800 mm', 'vehicle').readings
  expect(named.flatMap((each) => (each.what === 'page' ? [] : [each.page]))).toEqual(['7', '9'])
})

it('puts a figure that stood there already beside the new one, but what a form filled in', () => {
  const [length] = read('Saloon. Overall length 4720 mm', 'vehicle')
  const after = (by: 'measured' | 'start') =>
    vehicleWith(
      { ...vehicle, lengthMm: 4700, known: { lengthMm: { by } }, typed: { lengthMm: '4.7 m' } },
      [length!],
      [],
      'manual',
    )
  expect(after('measured')).toMatchObject({
    lengthMm: 4720,
    known: { lengthMm: { by: 'manual', others: [{ value: 4700, by: 'measured', typed: '4.7 m' }] } },
    typed: {},
  })
  expect(after('start').known).toEqual({ lengthMm: { by: 'manual' } })
  const [weight] = read('Roof box. Weight 21 kg', 'gear')
  const weighed = { ...box, mass: { kg: 19, basis: 'weighed', by: 'scale' } } as const
  expect(gearWith(weighed, [weight!], [], 'sheet').mass).toEqual({
    kg: 21,
    basis: 'maker',
    by: 'Roof box. Weight 21 kg',
    others: [{ kg: 19, basis: 'weighed', by: 'scale' }],
  })
  const unknown = { ...box, mass: { kg: 0, basis: 'unknown' } } as const
  expect(gearWith(unknown, [weight!], [], 'sheet').mass.others).toBeUndefined()
})

it('drops none of two weights that were taken for one thing', () => {
  const all = read('Roof box. Weight 19 kg. It weighs 21 kg on the scale.', 'gear').filter(
    ({ what }) => what === 'weight',
  )
  expect(all).toHaveLength(2)
  expect(gearWith({ ...box, mass: { kg: 0, basis: 'unknown' } }, all, all, 'told').mass).toMatchObject({
    kg: 21,
    others: [{ kg: 19, basis: 'told' }],
  })
  const feet = read('Clamp foot. Weight 0.9 kg each. Weight 1.1 kg each', 'rack')
  const [part] = plan!.racks[0]!.parts.filter(({ role }) => role === 'feet')
  const known = { eachKg: { by: 'start' } } as const
  expect(partWith({ ...part!, known }, feet, feet, 'label')).toMatchObject({
    eachKg: 1.1,
    known: { eachKg: { by: 'label', others: [{ value: 0.9, by: 'label' }] } },
  })
})
