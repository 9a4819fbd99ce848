import * as z from './schema'

const isoDay = z.iso.date()

/** A day as people type it, `2027-6-1` as well as `2027-06-01`; why it is none otherwise. */
export function parseDay(
  text: string,
): { readonly ok: true; readonly value: string } | { readonly ok: false; readonly reason: string } {
  const [, year, month = '', day = ''] = /^(\d{4})[-./](\d{1,2})[-./](\d{1,2})$/.exec(text.trim()) ?? []
  const value = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`
  return isoDay.safeParse(value).success
    ? { ok: true, value }
    : { ok: false, reason: 'Write the day as year, month, day: 2027-06-01.' }
}
