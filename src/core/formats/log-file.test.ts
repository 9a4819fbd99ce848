import { parse } from 'csv-parse/sync'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { EVENT_WORD, type LogEvent } from '../log/event'
import { events, someEvents } from '../log/events.testing'
import { eventText, logCsv, printLog, readLog } from './log-file'

describe('the log as a file', () => {
  it('comes back as it was', () => {
    fc.assert(
      fc.property(events, (list) => {
        expect(readLog(JSON.parse(printLog(list)))).toEqual({ ok: true, events: list })
      }),
    )
  })

  it('names the field that is wrong', () => {
    const [first] = someEvents
    expect(
      readLog({ format: 'ypsos-log', version: 1, events: [{ ...first, at: 'yesterday' }] }),
    ).toMatchObject({
      ok: false,
      problems: [{ path: 'events[0].at' }],
    })
  })
})

describe('the log as CSV (RFC 4180), read back by another parser', () => {
  it('has one record an event, whatever is in its notes', () => {
    fc.assert(
      fc.property(events, (list) => {
        const rows: string[][] = parse(logCsv(list), { relax_column_count: false })
        expect(rows).toHaveLength(list.length + 1)
        list.forEach((event: LogEvent, i) => {
          const [id, at, , , word, , , note] = rows[i + 1] ?? []
          expect([id, at, word]).toEqual([event.id, event.at, EVENT_WORD[event.kind]])
          expect((note ?? '').replace(/^'/, '')).toBe((event.note ?? '').replace(/^'/, ''))
        })
      }),
    )
  })

  it('never hands a spreadsheet a formula', () => {
    const [first] = someEvents
    expect(logCsv([{ ...first!, note: '=HYPERLINK("x")' }])).toContain("'=HYPERLINK")
  })

  it('says every kind of event in words', () => {
    for (const event of someEvents) expect(eventText(event).length).toBeGreaterThan(2)
    expect(new Set(someEvents.map(({ kind }) => kind)).size).toBe(Object.keys(EVENT_WORD).length)
  })
})
