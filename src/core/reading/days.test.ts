import { expect, it } from 'vitest'
import { DAY, saidDay } from './days'

it('reads a day that can be read one way only', () => {
  expect(saidDay('2025-11-03')).toBe('2025-11-03')
  expect(saidDay('12 March 2025')).toBe('2025-03-12')
  expect(saidDay('March 4, 2026')).toBe('2026-03-04')
  expect(new RegExp(`^(?:${DAY})$`).test('03/04/2026')).toBe(false)
})

it('reads no day that the calendar has not', () => {
  expect(saidDay('2025-02-30')).toBeUndefined()
  expect(saidDay('31 June 2025')).toBeUndefined()
  expect(saidDay('2025-13-01')).toBeUndefined()
})
