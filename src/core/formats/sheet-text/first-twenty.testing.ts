import type { Sample } from './expected.testing'

/** Written before there was a grammar, and not changed since. All of it is invented. */
export const FIRST_TWENTY: readonly Sample[] = [
  {
    name: 'one line with most of it',
    text: 'max. load 68 kg / 150 lb incl. rack, crossbar distance 600-900 mm, tighten to 4 Nm, p. 12',
    takes: [
      { what: 'limit', kg: 68, state: 'road', per: 'set', counts: 'everything' },
      { what: 'spread', fromMm: 600, toMm: 900 },
      { what: 'torque', fromNm: 4, toNm: 4 },
      { what: 'page', page: '12' },
    ],
  },
  {
    name: 'a manual by states',
    text: `Roof load
Maximum roof load while driving, roof rack included: 75 kg
Maximum roof load, vehicle parked: 300 kg
Off-road: 50 kg
page 214`,
    takes: [
      { what: 'limit', kg: 75, state: 'road', per: 'set', counts: 'everything' },
      { what: 'limit', kg: 300, state: 'parked', per: 'set' },
      { what: 'limit', kg: 50, state: 'trail', per: 'set' },
      { what: 'page', page: '214' },
    ],
  },
  {
    name: 'what a vehicle weighs is no roof load',
    text: 'Kerb weight 1430 kg. Gross vehicle weight 1980 kg. Braked trailer 1500 kg, nose weight 75 kg.',
    takes: [],
    never: ['1430', '1980', '1500', '75'],
  },
  {
    name: 'a label of a box in two unit systems',
    text: `MAX 50 kg (110 lb)
Empty weight 18.5 kg (40.8 lb)
Bar spacing 600 - 900 mm (23 5/8 - 35 7/16 in)
Do not exceed 130 km/h (80 mph)`,
    takes: [
      { what: 'limit', kg: 50, state: 'road', per: 'set' },
      { what: 'weight', kg: 18.5 },
      { what: 'spread', fromMm: 600, toMm: 900 },
      { what: 'speed', kmH: 130 },
    ],
  },
  {
    name: 'pounds and inches alone',
    text: 'Load rating: 150 lb on road, 110 lb off road. Spread between crossbars 25 in to 35 in. Torque 35 in-lb.',
    takes: [
      { what: 'limit', kg: 68.038856, state: 'road', per: 'set' },
      { what: 'limit', kg: 49.895161, state: 'trail', per: 'set' },
      { what: 'spread', fromMm: 635, toMm: 889 },
      { what: 'torque', fromNm: 3.954469, toNm: 3.954469 },
    ],
  },
  {
    name: 'a chat',
    text: 'hi, are you open on saturday? i will bring the car round about 10 and we can have a look at it, 2 coffees please',
    takes: [],
    never: ['10', '2'],
  },
  {
    name: 'two units that do not agree',
    text: 'Maximum load 75 kg (180 lb). Weight of the rack 8.6 kg (19 lb).',
    takes: [{ what: 'weight', kg: 8.6 }],
    disagrees: ['75 kg (180 lb)'],
  },
  {
    name: 'a range of torque and a bare one',
    text: 'Tighten the clamps to 4-6 N·m. Tighten the end caps to 2 N·m.',
    takes: [
      { what: 'torque', fromNm: 4, toNm: 6 },
      { what: 'torque', fromNm: 2, toNm: 2 },
    ],
  },
  {
    name: 'each foot',
    text: 'Each foot: max. 25 kg. The set of four carries 90 kg.',
    takes: [
      { what: 'limit', kg: 25, state: 'road', per: 'each' },
      { what: 'limit', kg: 90, state: 'road', per: 'set' },
    ],
  },
  {
    name: 'sizes of a tent',
    text: 'Closed size: length 2140 mm, width 1300 mm, height 330 mm. Weight 62 kg. Static load 300 kg.',
    takes: [
      { what: 'length', mm: 2140 },
      { what: 'width', mm: 1300 },
      { what: 'height', mm: 330 },
      { what: 'weight', kg: 62 },
      { what: 'limit', kg: 300, state: 'parked', per: 'set' },
    ],
  },
  {
    name: 'an invoice',
    text: 'Invoice 20417 of 12.03.2026: 2 bars at 129.00, 4 feet at 32.50, fitting 1.5 h. Total 481.00',
    takes: [],
    never: ['20417', '129.00', '32.50', '481.00', '1.5'],
  },
  {
    name: 'a German comma',
    text: 'Max. load 4,5 kg per hook; weight 0,8 kg',
    takes: [
      { what: 'limit', kg: 4.5, state: 'road', per: 'each' },
      { what: 'weight', kg: 0.8 },
    ],
  },
  {
    name: 'two ways to read a number',
    text: 'Maximum dynamic load: 1,200 kg',
    takes: [],
    never: ['1,200'],
  },
  {
    name: 'dynamic and static',
    text: 'Dynamic load capacity 80 kg, static load capacity 240 kg, weight of the platform not included.',
    takes: [
      { what: 'limit', kg: 80, state: 'road', per: 'set', counts: 'load' },
      { what: 'limit', kg: 240, state: 'parked', per: 'set', counts: 'load' },
    ],
  },
  {
    name: 'a spread in prose',
    text: 'The distance between the bars must be at least 700 mm and at most 1100 mm.',
    takes: [{ what: 'spread', fromMm: 700, toMm: 1100 }],
  },
  {
    name: 'a least distance alone',
    text: 'Minimum distance between the bars: 700 mm.',
    takes: [],
    never: ['700'],
  },
  {
    name: 'bolts and keys',
    text: 'Supplied: 8 bolts M6 x 16, hex key 5 mm, 4 washers. Tightening torque M6: 8 Nm.',
    takes: [{ what: 'torque', fromNm: 8, toNm: 8 }],
    never: ['16', '5'],
  },
  {
    name: 'a date and a page',
    text: 'Fitting instructions, edition of 12 March 2025, page 7: permissible roof load 100 kg including the carrier.',
    takes: [
      { what: 'limit', kg: 100, state: 'road', per: 'set', counts: 'everything' },
      { what: 'page', page: '7' },
      { what: 'day', on: '2025-03-12' },
    ],
  },
  {
    name: 'what must not be done',
    text: 'Never load more than 30 kg. Do not use with loads of 45 kg or more.',
    takes: [{ what: 'limit', kg: 30, state: 'road', per: 'set' }],
    never: ['45'],
  },
  {
    name: 'a message from a customer',
    text: "The box is about 25 kg I think, maybe 30. We are four people and the dog weighs 20 kg. The van's roof is 2.6 m high.",
    takes: [],
    never: ['25', '30', '20', '2.6'],
  },
]
