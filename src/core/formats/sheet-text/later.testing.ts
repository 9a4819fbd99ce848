import type { Sample } from './expected.testing'

/** Written after the grammar read the first twenty, and before it was tried on any of these; of the 95 readings wanted then it offered 0.926, and 0.054 of what it offered was wrong. All of it is invented. */
export const LATER: readonly Sample[] = [
  {
    name: 'a bar',
    text: 'Steel crossbar, length 1270 mm, weight 2.4 kg each. Max load of the pair 100 kg.',
    takes: [
      { what: 'length', mm: 1270 },
      { what: 'weight', kg: 2.4 },
      { what: 'limit', kg: 100, state: 'road', per: 'set' },
    ],
  },
  {
    name: 'a table with pipes',
    text: `Dynamic load | 90 kg
Static load | 270 kg
Own weight | 31 kg
Torque of the clamp bolts | 8 Nm`,
    takes: [
      { what: 'limit', kg: 90, state: 'road', per: 'set' },
      { what: 'limit', kg: 270, state: 'parked', per: 'set' },
      { what: 'weight', kg: 31 },
      { what: 'torque', fromNm: 8, toNm: 8 },
    ],
  },
  {
    name: 'a list with points',
    text: `• Maximum load: 60 kg
• Maximum speed with load: 110 km/h
• Retighten after 50 km`,
    takes: [
      { what: 'limit', kg: 60, state: 'road', per: 'set' },
      { what: 'speed', kmH: 110 },
    ],
    never: ['50 km'],
  },
  {
    name: 'off road in a bracket',
    text: 'Load capacity: 100 kg (off road 70 kg)',
    takes: [
      { what: 'limit', kg: 100, state: 'road', per: 'set' },
      { what: 'limit', kg: 70, state: 'trail', per: 'set' },
    ],
  },
  {
    name: 'pounds first',
    text: 'MAXIMUM LOAD 150 LBS (68 KG) EVENLY DISTRIBUTED',
    takes: [{ what: 'limit', kg: 68.038856, state: 'road', per: 'set' }],
  },
  {
    name: 'a spread in inches with fractions',
    text: 'Crossbar spread: 23 5/8" - 35 7/16"',
    takes: [{ what: 'spread', fromMm: 600.075, toMm: 900.1125 }],
  },
  {
    name: 'a spread in inches spelt out',
    text: 'Distance between crossbars 24 to 32 inches.',
    takes: [{ what: 'spread', fromMm: 609.6, toMm: 812.8 }],
  },
  {
    name: 'a torque in foot pounds',
    text: 'Torque the mounting bolts to 13 ft-lb (18 N·m).',
    takes: [{ what: 'torque', fromNm: 17.625621, toNm: 17.625621 }],
  },
  {
    name: 'a torque whose units disagree',
    text: 'Tighten all bolts to 8 Nm (12 ft-lb).',
    takes: [],
    disagrees: ['8 Nm (12 ft-lb)'],
  },
  {
    name: 'several pages of a manual',
    text: 'See page 88 for towing. Roof: maximum permitted load 100 kg including the roof rack (page 91). Maximum trailer mass 2000 kg.',
    takes: [
      { what: 'page', page: '88' },
      { what: 'limit', kg: 100, state: 'road', per: 'set', counts: 'everything' },
      { what: 'page', page: '91' },
    ],
    never: ['2000'],
  },
  {
    name: 'an American date',
    text: 'Revision of March 4, 2026. Weight limit 50 lb per cradle.',
    takes: [
      { what: 'day', on: '2026-03-04' },
      { what: 'limit', kg: 22.679619, state: 'road', per: 'each' },
    ],
  },
  {
    name: 'a date that can be read two ways',
    text: 'Issue 03/04/2026. Carries up to 45 kg.',
    takes: [{ what: 'limit', kg: 45, state: 'road', per: 'set' }],
    never: ['03/04/2026'],
  },
  {
    name: 'bikes',
    text: 'Upright bike carrier. Bike weight max. 20 kg. Carrier weight 4.2 kg. Frame tube 22-80 mm, wheel base up to 1230 mm.',
    takes: [
      { what: 'limit', kg: 20, state: 'road', per: 'set' },
      { what: 'weight', kg: 4.2 },
    ],
    never: ['22', '80', '1230'],
  },
  {
    name: 'a clamp for bars of a size',
    text: 'Fits bars 20-80 mm wide and up to 35 mm high. Tightening torque 3 Nm.',
    takes: [{ what: 'torque', fromNm: 3, toNm: 3 }],
    never: ['20', '80', '35'],
  },
  {
    name: 'gutter height',
    text: 'Gutter feet, height 180 mm. Load rating of the set of six: 150 kg on road, 100 kg off-road, 300 kg static.',
    takes: [
      { what: 'height', mm: 180 },
      { what: 'limit', kg: 150, state: 'road', per: 'set' },
      { what: 'limit', kg: 100, state: 'trail', per: 'set' },
      { what: 'limit', kg: 300, state: 'parked', per: 'set' },
    ],
  },
  {
    name: 'a customer who weighed it',
    text: 'We put the basket on the scale: it weighs 17.2 kg.',
    takes: [{ what: 'weight', kg: 17.2 }],
  },
  {
    name: 'a customer who guesses',
    text: 'the tent weighs around 60 kg and the ladder is probably 6 kg',
    takes: [],
    never: ['60', '6'],
  },
  {
    name: 'people in the tent',
    text: 'Sleeps 3 persons, up to 300 kg of people. Mattress 70 mm thick. Weight: 58 kg.',
    takes: [{ what: 'weight', kg: 58 }],
    never: ['300', '70'],
  },
  {
    name: 'what is needed of the car',
    text: 'Your crossbars must be rated for a dynamic load of at least 75 kg.',
    takes: [],
    never: ['75'],
  },
  {
    name: 'a shipping note',
    text: 'Parcel 1 of 2: 1350 x 320 x 210 mm, 14.6 kg. Shipping weight 15 kg.',
    takes: [],
    never: ['1350', '320', '210', '14.6', '15'],
  },
  {
    name: 'excluding the rack',
    text: 'Permissible roof load 80 kg excluding the rack.',
    takes: [{ what: 'limit', kg: 80, state: 'road', per: 'set', counts: 'load' }],
  },
  {
    name: 'load and rack apart',
    text: 'Rack weight 22 kg, load on the rack max. 78 kg.',
    takes: [
      { what: 'weight', kg: 22 },
      { what: 'limit', kg: 78, state: 'road', per: 'set' },
    ],
  },
  {
    name: 'wind',
    text: 'Tested in gusts of 110 km/h. Do not drive faster than 100 km/h with the tent closed.',
    takes: [{ what: 'speed', kmH: 100 }],
    never: ['110'],
  },
  {
    name: 'a van with points',
    text: 'Fixing points in the roof: 6. Max. 50 kg per pair of points, 150 kg in total.',
    takes: [{ what: 'limit', kg: 150, state: 'road', per: 'set' }],
    never: ['50'],
  },
  {
    name: 'a torque range in both',
    text: 'Tightening torque of the foot bolts: 6-8 Nm (53-71 in-lb)',
    takes: [{ what: 'torque', fromNm: 6, toNm: 8 }],
  },
  {
    name: 'passes',
    text: 'Tighten in two passes: first 3 Nm, then 6 Nm.',
    takes: [],
    never: ['3', '6'],
  },
  {
    name: 'a wrench',
    text: 'Wrench 5-25 Nm, key for M6 and M8 bolts included.',
    takes: [],
    never: ['5', '25'],
  },
  {
    name: 'a length of the boat',
    text: 'Sea boat: length 5.20 m, width 58 cm, weight 24.5 kg.',
    takes: [
      { what: 'length', mm: 5200 },
      { what: 'width', mm: 580 },
      { what: 'weight', kg: 24.5 },
    ],
  },
  {
    name: 'feet and inches',
    text: 'Length: 17 ft. Weight: 54 lb.',
    takes: [
      { what: 'length', mm: 5181.6 },
      { what: 'weight', kg: 24.493988 },
    ],
  },
  {
    name: 'small print',
    text: 'The maximum load of the roof given by the vehicle maker must never be exceeded. Our basket carries 75 kg.',
    takes: [{ what: 'limit', kg: 75, state: 'road', per: 'set' }],
  },
  {
    name: 'the lesser of two',
    text: 'Max. load 100 kg, or the roof load of the vehicle if it is lower.',
    takes: [{ what: 'limit', kg: 100, state: 'road', per: 'set' }],
  },
  {
    name: 'gravel',
    text: 'Roof load on paved roads 85 kg; on gravel 55 kg; when parked 280 kg.',
    takes: [
      { what: 'limit', kg: 85, state: 'road', per: 'set' },
      { what: 'limit', kg: 55, state: 'trail', per: 'set' },
      { what: 'limit', kg: 280, state: 'parked', per: 'set' },
    ],
  },
  {
    name: 'an oven',
    text: 'Bake at 180 degrees for 25 min, serves 4. 500 g flour, 2 eggs.',
    takes: [],
    never: ['180', '25', '500'],
  },
  {
    name: 'nothing at all',
    text: '   \n\n ',
    takes: [],
  },
  {
    name: 'a garage',
    text: 'Garage height 2.10 m. Door 2.4 m wide.',
    takes: [],
    never: ['2.10', '2.4'],
  },
  {
    name: 'bed rack',
    text: `BED RACK, fitting sheet rev. 2025-11-03
Rated 180 kg driving, 110 kg off road, 360 kg stationary (load only, rack not included).
Rack weight: 38 kg. Clamp bolts: 25 Nm. Bar spacing 650...1100 mm.`,
    takes: [
      { what: 'day', on: '2025-11-03' },
      { what: 'limit', kg: 180, state: 'road', per: 'set', counts: 'load' },
      { what: 'limit', kg: 110, state: 'trail', per: 'set', counts: 'load' },
      { what: 'limit', kg: 360, state: 'parked', per: 'set', counts: 'load' },
      { what: 'weight', kg: 38 },
      { what: 'torque', fromNm: 25, toNm: 25 },
      { what: 'spread', fromMm: 650, toMm: 1100 },
    ],
  },
  {
    name: 'between this and that',
    text: 'Supports must stand between 750 and 1000 mm apart.',
    takes: [{ what: 'spread', fromMm: 750, toMm: 1000 }],
  },
  {
    name: 'bars that have gone missing',
    text: 'Strap length 3 m, breaking strength 600 kg. Lashing capacity 250 kg.',
    takes: [],
    never: ['600'],
  },
  {
    name: 'thousands with a space',
    text: 'Overall length 4 650 mm, overall width 1 830 mm.',
    takes: [
      { what: 'length', mm: 4650 },
      { what: 'width', mm: 1830 },
    ],
  },
  {
    name: 'a sheet in capitals',
    text: 'MAX. ROOF LOAD 50 KG. ROOF RACK INCLUDED. MAX. SPEED 120 KM/H.',
    takes: [
      { what: 'limit', kg: 50, state: 'road', per: 'set' },
      { what: 'speed', kmH: 120 },
    ],
  },
  {
    name: 'rails',
    text: 'Roof rails: 75 kg max. Bars may stand 700 mm to 950 mm apart.',
    takes: [
      { what: 'limit', kg: 75, state: 'road', per: 'set' },
      { what: 'spread', fromMm: 700, toMm: 950 },
    ],
  },
  {
    name: 'a telephone number',
    text: 'Call 555 0142 before 18:00. Order 75 kg of sand.',
    takes: [],
    never: ['75', '555'],
  },
]
