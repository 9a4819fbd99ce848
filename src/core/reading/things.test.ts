import { expect, it } from 'vitest'
import { standsAtThing, thingAround, thingsNamed } from './things'

it.each([
  [
    'a 9 kg box, a 1.8 m box, 2 x tent',
    [
      ['box', 1],
      ['tent', 2],
    ],
  ],
  ['two of our long boats', [['boat', 1]]],
  [
    'two bikes and a roof box',
    [
      ['bike', 2],
      ['box', 1],
    ],
  ],
  ['a bike carrier and a kayak cradle', [['carrier', 1]]],
  [
    '3 kayaks, the tent',
    [
      ['boat', 3],
      ['tent', 1],
    ],
  ],
  ['no box, without the tent, never bikes', []],
  ['We sold the box. A basket now.', [['basket', 1]]],
  [
    'two of my surfboards, 4 jerry cans',
    [
      ['board', 2],
      ['can', 4],
    ],
  ],
  ['a ski box', [['box', 1]]],
] as const)('%s', (text, named) => {
  expect(thingsNamed(text).map(({ thing, count }) => [thing, count])).toEqual(named)
})

const ROUND = { before: '', after: '', row: '', column: '', sentence: '', headings: [], earlier: '' }

it('finds the nearest that is named: the last before a figure, the first after it', () => {
  expect(thingAround({ ...ROUND, before: 'the tent and two bikes, ', after: ' in the box' })).toBe('bike')
  expect(thingAround({ ...ROUND, after: ' in the box' })).toBe('box')
  expect(thingAround({ ...ROUND, earlier: 'Two bikes. The box is long. ', headings: ['Tent'] })).toBe('box')
  expect(thingAround({ ...ROUND, headings: ['Limits', 'Tent'] })).toBe('tent')
  expect(thingAround({ ...ROUND, row: 'no box' })).toBeUndefined()
})

it.each([
  ['two bikes, ', ' each', true],
  ['our kayaks (', ' each)', true],
  ['a ', ' box', true],
  ['the box takes ', ' on the road', false],
  ['up to ', ' box', false],
])('%s14 kg%s stands at a thing: %s', (before, after, is) => {
  expect(standsAtThing({ before, after })).toBe(is)
})
