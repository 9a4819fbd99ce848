import { expect, it } from 'vitest'
import { readText } from './read'

/** Each figure as a person would say it: what it is, its value and unit, in which state, of how many, and whether it is asked. */
const said = (text: string): string[] =>
  readText(text)
    .filter(({ unit }) => unit !== null)
    .map(({ what, value, unit, state, per, sure }) =>
      [what, value, unit, state, per, sure ? undefined : 'asked']
        .filter((each) => each !== undefined)
        .join(' '),
    )

it('keeps a parked limit apart from the road’s', () => {
  expect(said('Roof load: driving 75 kg, parked 225 kg')).toEqual([
    'roof.rating 75 kg road',
    'roof.rating 225 kg parked',
  ])
  expect(said('Static load of the rack 240 kg')).toEqual(['rack.rating 240 kg parked'])
})

it('leaves the state open where the text does not say it', () => {
  expect(said('Roof rack. Max. load 60 kg')).toEqual(['rack.rating 60 kg'])
})

it('takes what must not be done for no limit', () => {
  expect(said('Basket. Do not put 70 kg or above on it.')).toEqual([])
  expect(said('Rack. Never over 90 kg. Load max. 60 kg driving.')).toEqual(['rack.rating 60 kg road'])
})

it('takes no limit of a jack, a trailer, a tow ball or a test for the roof’s', () => {
  expect(said('The jack carries 1200 kg.')).toEqual([])
  expect(said('Trailer load, braked: 1500 kg\nLoad on the tow ball: 75 kg')).toEqual([])
  expect(said('Crash tested with 225 kg.')).toEqual([])
})

it('asks which of two columns is the vehicle’s', () => {
  const columns = '                 saloon    estate\nMax. roof load (kg)   60        80'
  expect(said(columns)).toEqual(['roof.rating 60 kg asked', 'roof.rating 80 kg asked'])
})

it('reads pounds and ounces, and feet and inches, as one figure', () => {
  expect(said('Cradle. Weight 1 lb 4 oz')).toEqual(['gear.mass 1.25 lb'])
  expect(said('Kayak. Length 12\' 6"')).toEqual(['gear.length 150 in'])
})

it('keeps the weight of a set from the weight of each', () => {
  expect(said('Feet\nWeight 0.9 kg each, 3.6 kg per set')).toEqual([
    'feet.mass 0.9 kg each',
    'feet.mass 3.6 kg set',
  ])
})

it('reads wheelbase, kerb weight, thousands and a product of three sizes', () => {
  expect(said('Saloon\nWheelbase 2,780 mm\nKerb weight 1,478 kg')).toEqual([
    'vehicle.wheelbase 2780 mm',
    'vehicle.mass.kerb 1478 kg',
  ])
  expect(said('Roof box\nOutside 1350 x 820 x 390 mm')).toEqual([
    'gear.length 1350 mm',
    'gear.width 820 mm',
    'gear.height 390 mm',
  ])
})

it('takes neither of two units that disagree', () => {
  const [claim] = readText('Rack. Dynamic load 75 kg (180 lb)')
  expect(claim).toMatchObject({ sure: false, disagrees: true })
})

it('keeps a limit for one kind of thing, or up to one speed, apart', () => {
  const [bikes, box, rest] = readText(
    'Roof load, driving\nBikes: 45 kg\nBox: 60 kg\nAnything else: 75 kg up to 80 km/h',
  )
  expect(bikes).toMatchObject({ value: 45, for: 'bike' })
  expect(box).toMatchObject({ value: 60, for: 'box' })
  expect(rest).toMatchObject({ value: 75, upToKmH: 80 })
})

it('never offers a limit for one kind of thing as one for all', () => {
  const [bikes] = readText('Estate\nBikes: 45 kg driving').filter(({ unit }) => unit === 'kg')
  expect(bikes).toMatchObject({ what: 'roof.rating', value: 45, for: 'bike' })
  expect(said('Bikes: 45 kg driving')).toEqual(['rack.rating 45 kg road asked'])
})

it('asks about a number in two pieces, and about what somebody supposes', () => {
  expect(said('The dynamic load of the rack is 7\n5 kg including the feet.')).toEqual([
    'rack.rating 75 kg road asked',
  ])
  expect(said('Roof tent, weight about 60 kg')).toEqual(['gear.mass 60 kg asked'])
})

it('reads to the end of a long text', () => {
  const filler = 'Keep this sheet with the vehicle.\n'.repeat(1500)
  expect(said(`${filler}Roof rack. Dynamic load 75 kg`)).toEqual(['rack.rating 75 kg road'])
})
