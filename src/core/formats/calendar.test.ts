import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import type { Due } from '../bay/due'
import { calendarFile } from './calendar'

const of = { vehicle: 'Estate; raised, rails', jobId: 'demo-job', madeAt: '2026-11-25T09:30:00Z' }
const dues: Due[] = [
  {
    id: 'first wing',
    on: '2027-03-26',
    what: 'Aero bars on rail feet',
    why: 're-tighten after the first trip',
    km: 160,
  },
  {
    id: 'season x',
    on: '2027-12-31',
    what: 'Ski clamps, with a name so long that its line has to be folded by every rule of the format',
    why: 'take off',
    km: undefined,
  },
]

describe('the calendar file (RFC 5545), read back by another parser', () => {
  const text = calendarFile(dues, of)
  const events = new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each))

  it('has each due on its own whole day, with commas and semicolons as they were', () => {
    expect(events.map(({ summary }) => summary)).toEqual(dues.map(({ what }) => `${of.vehicle}: ${what}`))
    expect(events.map(({ startDate }) => startDate.toString())).toEqual(['2027-03-26', '2027-12-31'])
    expect(events.map(({ startDate }) => startDate.isDate)).toEqual([true, true])
    expect(events.map(({ endDate }) => endDate.toString())).toEqual(['2027-03-27', '2028-01-01'])
    expect(events[0]?.description).toContain('or after 160 km')
  })

  it('folds by octets, inside no character, and loses none (B20)', () => {
    const name = 'Träger für Boote über die Längsträger, größer als üblich, für Übergaben '.repeat(3).trim()
    const file = calendarFile([{ ...dues[0]!, what: name }], of)
    for (const line of file.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
    const [event] = new ICAL.Component(ICAL.parse(file) as unknown[]).getAllSubcomponents('vevent')
    expect(new ICAL.Event(event).summary).toBe(`${of.vehicle}: ${name}`)
  })

  it('repeats what the house repeats (B20)', () => {
    const file = calendarFile(
      [{ ...dues[0]!, repeats: { from: '2027-06-26', months: 3, why: 're-tighten, every 3 months' } }],
      of,
    )
    const [, again] = new ICAL.Component(ICAL.parse(file) as unknown[]).getAllSubcomponents('vevent')
    const event = new ICAL.Event(again)
    expect(event.isRecurring()).toBe(true)
    const days = event.iterator()
    expect([days.next(), days.next(), days.next()].map((day) => day.toString())).toEqual([
      '2027-06-26',
      '2027-09-26',
      '2027-12-26',
    ])
  })

  it('keeps a due’s identity from one file to the next', () => {
    const again = calendarFile(dues, { ...of, madeAt: '2027-01-01T00:00:00Z' })
    const uids = (file: string) => [...file.matchAll(/^UID:(.*)$/gm)].map(([, uid]) => uid)
    expect(uids(again)).toEqual(uids(text))
    expect(new Set(uids(text)).size).toBe(2)
    expect(calendarFile(dues, of)).toBe(text)
  })

  it('has CRLF at each line’s end and no line over 75 octets', () => {
    const lines = text.split('\r\n')
    expect(text.replaceAll('\r\n', '')).not.toContain('\n')
    for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
    expect(text).toContain('BEGIN:VALARM')
  })

  it('with nothing due is still a calendar', () => {
    expect(
      new ICAL.Component(ICAL.parse(calendarFile([], of)) as unknown[]).getAllSubcomponents('vevent'),
    ).toEqual([])
  })
})
