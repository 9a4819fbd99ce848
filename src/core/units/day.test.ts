import { expect, it } from 'vitest'
import { parseDay } from './day'

it('reads a day by year, month and day, and gives it as ISO 8601 has it (published, from memory)', () => {
  expect(parseDay('2027-06-01')).toEqual({ ok: true, value: '2027-06-01' })
  expect(parseDay(' 2027.6.1 ')).toEqual({ ok: true, value: '2027-06-01' })
  expect(parseDay('2028-02-29')).toEqual({ ok: true, value: '2028-02-29' })
})

it('refuses what is no day, and what may be read two ways', () => {
  for (const text of ['', 'soon', '2027-02-29', '2027-13-01', '06/01/2027', '1.6.27', '2027-06-00'])
    expect(parseDay(text), text).toMatchObject({ ok: false })
})
