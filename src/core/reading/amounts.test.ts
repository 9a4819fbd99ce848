import { expect, it } from 'vitest'
import { amountsIn } from './amounts'
import { plainLetters } from './letters'
import { numberOf } from './numbers'

/** What each amount of a text is, in few words. */
const amounts = (text: string): string[] =>
  amountsIn(plainLetters(text))
    .filter(({ unit }) => unit !== undefined)
    .map(({ values, unit, tolerance, beside, doubtful }) =>
      [
        values.join('|'),
        unit,
        tolerance === undefined ? '' : `±${tolerance}`,
        beside === undefined ? '' : `${beside.agrees ? '=' : '≠'}${beside.value} ${beside.unit}`,
        doubtful ? '?' : '',
      ]
        .filter((each) => each !== '')
        .join(' '),
    )

it.each([
  ['75 kg', '75 kg'],
  ['165 LBS', '165 lb'],
  ['75#', '75 lb'],
  ['1 lb 4 oz', '1.25 lb'],
  ['5\' 9"', '69 in'],
  ['31 1/2"', '31.5 in'],
  ['3-1/2 in', '3.5 in'],
  ['1 350 mm', '1350 mm'],
  ['1,478 mm', '1478 mm'],
  ['1.250 mm', '1250 mm'],
  ['0,98 m', '0.98 m'],
  ['4,5 Nm', '4.5 Nm'],
  ['11 ft-lb', '11 ft-lb'],
  ['18–22 lb-ft', '18|22 ft-lb'],
  ['600 to 900 mm', '600|900 mm'],
  ['between 750 and 1000 mm', '750|1000 mm'],
  ['1350 x 820 x 390 mm', '1350|820|390 mm'],
  ['15 Nm +/- 2', '15 Nm ±2'],
  ['75 kg (165 lb)', '75 kg =165 lb'],
  ['75 kg / 165 lb', '75 kg =165 lb'],
  ['75 kg (180 lb)', '75 kg ≠180 lb'],
  ['0.6 kgf·m (5.9 N·m)', '5.9 Nm'],
  ['75¹ kg', '75 kg'],
  ['80 kg1)', '80 kg'],
])('reads %s as one amount', (text, wanted) => {
  expect(amounts(text)).toEqual([wanted])
})

it.each([
  'XB75-1350-4NM',
  'M8 x 30',
  '4000165000755',
  '4 feet per platform',
  'The 75 in the name',
  '205/55 R16',
])('finds no amount in %s', (text) => {
  expect(amounts(text)).toEqual([])
})

it('doubts a number that can be read two ways, and one of a list with strokes', () => {
  expect(amounts('2.310 kg')).toEqual(['2310 kg ?'])
  expect(amounts('2.310 kg, 0,98 m')).toEqual(['2310 kg', '0.98 m'])
  expect(amounts('80/55/240 kg')).toEqual(['240 kg ?'])
})

it('tells thousands from thousandths by the unit and by the text’s other numbers', () => {
  expect(numberOf('1,355', 'm', undefined)).toEqual({ value: 1.355, doubtful: false })
  expect(numberOf('1,200', 'lb', undefined)).toEqual({ value: 1200, doubtful: false })
  expect(numberOf('1.640', 'kg', ',')).toEqual({ value: 1640, doubtful: false })
  expect(numberOf('1,640', 'kg', ',').doubtful).toBe(true)
  expect(numberOf('1.250,00', undefined, undefined).value).toBe(1250)
})
