import { expect, it } from 'vitest'
import { moneyText } from './money'

it('gives two decimals, and the currency behind them where the house has named one', () => {
  expect(moneyText(385, 'EUR')).toBe('385.00 EUR')
  expect(moneyText(17.456, '$')).toBe('17.46 $')
  expect(moneyText(0, undefined)).toBe('0.00')
})
