import { pullKey } from './record'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ridgeTent } from '@/demo/plans'
import { USUAL_BAY } from '../plan/schema/house'
import { daysAfter, dueOf, isOverdue, monthsAfter } from '../bay/due'
import { logEventSchema, type LogEvent } from './event'
import { events, someEvents } from './events.testing'
import { countingEvents, replay } from './replay'

const job = (list: readonly LogEvent[]) => replay(list).jobs.get('job')

describe('replaying a log', () => {
  it('twice gives the same rack, and so does its copy from a file', () => {
    fc.assert(
      fc.property(events, (list) => {
        expect(replay(list)).toEqual(replay(list))
        expect(replay(JSON.parse(JSON.stringify(list)) as LogEvent[])).toEqual(replay(list))
      }),
    )
  })

  it('of any beginning is a valid state: no negative counts, no job without events, dues with days', () => {
    fc.assert(
      fc.property(events, fc.nat(25), (list, length) => {
        const prefix = list.slice(0, length)
        const record = replay(prefix)
        for (const count of record.missing.values()) expect(count).toBeGreaterThan(0)
        expect(record.counting.length).toBeLessThanOrEqual(prefix.length)
        for (const { on } of dueOf(prefix, USUAL_BAY)) expect(on).toMatch(/^\d{4}-\d\d-\d\d$/)
        for (const event of prefix) expect(logEventSchema.safeParse(event).success).toBe(true)
      }),
    )
  })

  it('says of each thing what its last event says', () => {
    const record = replay(someEvents.filter(({ kind }) => kind !== 'corrected'))
    expect(record.racks).toEqual([
      { rackId: 'wing', what: 'Aero bars', on: true, since: '2027-03-20T10:00:00Z' },
    ])
    expect(record.missing).toEqual(new Map([['Key Q17', 1]]))
    const progress = job(someEvents)
    expect(progress?.done.has('wing/torque')).toBe(false)
    expect(progress?.torqued.get(pullKey('j', 'LHF', 1))).toMatchObject({ nm: 3, how: 'reading' })
    expect(progress?.measured.get('wing/square a~b')).toEqual({ spreadLeft: [760], spreadRight: [764, 764] })
    expect([
      progress?.counted.get('feet'),
      progress?.weighed.get('box'),
      progress?.proved.get('shake'),
    ]).toEqual([4, 18.2, 'good'])
    expect(progress?.deviations.map(({ reason }) => reason)).toEqual(['No reading on RHR.'])
  })

  it('leaves out what was corrected, and takes it back in when the correction was wrong', () => {
    const [lost, correction] = [someEvents[10]!, someEvents[18]!]
    const undo: LogEvent = {
      kind: 'corrected',
      id: 'e20',
      at: '2027-03-22T10:00:00Z',
      vehicleId: 'estate',
      eventId: 'e19',
      reason: 'It was not.',
    }
    expect(replay([lost]).missing.size).toBe(1)
    expect(replay([lost, correction]).missing.size).toBe(0)
    expect(replay([lost, correction, undo]).missing.size).toBe(1)
    expect(countingEvents([lost, correction, undo]).map(({ id }) => id)).toEqual(['e11', 'e20'])
  })
})

describe('what is due', () => {
  const fitted = someEvents[9]!
  const checked = someEvents[13]!
  const changed = someEvents[14]!
  const on = (list: readonly LogEvent[]) => dueOf(list, USUAL_BAY).map(({ on: day, why }) => `${day} ${why}`)

  it('is the first look after a trip, then the house’s interval, then anew when the load has changed (common practice)', () => {
    expect(on([fitted])).toEqual(['2027-03-17 re-tighten after the first trip'])
    expect(dueOf([fitted], USUAL_BAY)[0]?.km).toBe(160)
    expect(on([fitted, checked])).toEqual(['2027-06-17 re-tighten, every 3 months'])
    expect(on([fitted, checked, changed])).toEqual(['2027-04-01 re-tighten: the load or a part has changed'])
  })

  it('is due on the day of the first trip, once the log has one that is later than the fitting (B20)', () => {
    const trip = (on: string) =>
      ({ kind: 'firstTrip', id: 't', at: fitted.at, vehicleId: 'estate', what: 'Aero bars', on }) as const
    expect(on([fitted, trip('2027-03-09')])).toEqual(['2027-03-09 re-tighten: the first trip is made'])
    expect(on([fitted, trip('2027-03-01')])[0]).toContain('2027-03-17')
    expect(dueOf([fitted, trip('2027-03-09')], USUAL_BAY)[0]?.repeats).toMatchObject({
      from: '2027-06-09',
      months: 3,
    })
  })

  it('is nothing once the rack is off, and begins anew when it is on again', () => {
    const [off, again] = [someEvents[15]!, someEvents[16]!]
    expect(on([fitted, checked, off])).toEqual([])
    expect(on([fitted, checked, off, again])).toEqual(['2027-04-03 re-tighten after the first trip'])
  })

  it('has days set by hand until they are checked, and parts that come off with the season', () => {
    const dated = someEvents[17]!
    expect(on([dated])).toEqual(['2027-06-01 date set by hand'])
    expect(on([dated, { ...checked, what: 'Look at the pads' } as LogEvent])).toEqual([])
    const seasonal = {
      ...ridgeTent,
      gear: ridgeTent.gear.map((gear) => ({ ...gear, work: { season: { fromMonth: 4, toMonth: 9 } } })),
    }
    expect(dueOf([fitted], USUAL_BAY, [seasonal]).map(({ on: day }) => day)).toContain('2027-10-01')
  })

  it('knows the calendar', () => {
    expect(daysAfter('2028-02-28', 1)).toBe('2028-02-29')
    expect(monthsAfter('2027-11-30', 3)).toBe('2028-02-29')
    expect(monthsAfter('2027-01-15', 12)).toBe('2028-01-15')
    expect(isOverdue({ id: 'x', on: '2027-03-17', what: '', why: '', km: undefined }, '2027-03-18')).toBe(
      true,
    )
  })
})
