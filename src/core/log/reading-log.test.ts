import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { LogEvent } from './event'
import { events, someEvents } from './events.testing'
import { replay } from './replay'
import { united } from './sequence'
import { replacedBy, replacements } from './subject'
import { previewLogImport } from './import-preview'
import { visitsOf, visitWords } from './visits'

const car = ({ vehicleId }: LogEvent) => vehicleId
const pull = (id: string, nm: number, rest: Partial<LogEvent> = {}) =>
  ({ ...someEvents[3]!, id, nm, ...rest }) as LogEvent

describe('an entry that took the place of another', () => {
  it('is of the same place and pass, and the last before it', () => {
    const [wrong, right] = [pull('a', 19), pull('b', 6)]
    expect(replacedBy(right, [wrong])).toBe(wrong)
    expect(replacedBy(pull('c', 6, { spot: 'RHF' }), [wrong, right])).toBeUndefined()
    expect(replacedBy(pull('c', 6), [wrong, right])).toBe(right)
    expect(replacements([wrong, right, pull('c', 7)])).toEqual(
      new Map([
        ['a', 'b'],
        ['b', 'c'],
      ]),
    )
  })

  it('never one that only adds: lost twice is lost twice', () => {
    const lost = someEvents.find(({ kind }) => kind === 'lost')!
    expect(replacements([lost, { ...lost, id: 'again' }]).size).toBe(0)
  })

  it('leaves the log’s state as it is without the ones put aside, but for their own marks', () => {
    fc.assert(
      fc.property(events, (list) => {
        const all = replay(list)
        const aside = replacements(all.counting)
        const without = replay(all.counting.filter(({ id }) => !aside.has(id)))
        const outcomes = (of: typeof all) =>
          [...of.jobs].map(([id, job]) => [
            id,
            Object.fromEntries(job.counted),
            Object.fromEntries(job.measured),
            Object.fromEntries(job.torqued),
            Object.fromEntries(job.proved),
          ])
        expect(outcomes(without)).toEqual(outcomes(all))
      }),
    )
  })
})

describe('a visit', () => {
  it('is what one job’s log says on one day, and all visits are the log', () => {
    const visits = visitsOf(someEvents)
    expect(visits.flatMap((each) => each.events)).toEqual(someEvents)
    expect(visits[0]).toMatchObject({ day: '2027-03-01', jobId: 'job' })
    expect(visitWords(visits[0]!)).toBe('counted, weighed')
    expect(visitWords(visitsOf([pull('a', 1), pull('b', 2)])[0]!)).toBe('torqued 2 times')
    const other = { ...someEvents[1]!, jobId: 'other', by: 'Wren' }
    expect(visitsOf([someEvents[0]!, other]).map(({ by }) => by)).toEqual([[], ['Wren']])
  })
})

describe('taking a log in', () => {
  it('says what is new, what is here, and what differs and stays as it is', () => {
    const [one, two] = someEvents
    const found = previewLogImport([one!, two!], [one!, { ...two!, note: 'other' }, pull('x', 6)], car)
    expect(found.fresh.map(({ id }) => id)).toEqual(['x'])
    expect(found.known).toBe(1)
    expect(found.differing.map(({ id }) => id)).toEqual([two!.id])
    expect(found.byCar).toEqual(new Map([['estate', 1]]))
    // The order of its fields is no difference, and an entry twice in a file is one.
    const turnedAbout = Object.fromEntries(Object.entries(one!).reverse()) as unknown as LogEvent
    expect(previewLogImport([one!], [turnedAbout, turnedAbout], car)).toMatchObject({ known: 1, fresh: [] })
  })

  it('twice is taking it in once, whichever of two was here first', () => {
    fc.assert(
      fc.property(events, events, (a, b) => {
        const marked = b.map((event) => ({ ...event, id: `b${event.id}` }))
        const after = (here: readonly LogEvent[], given: readonly LogEvent[]) =>
          united(here, previewLogImport(here, given, car).fresh)
        const [one, other] = [after(a, marked), after(marked, a)]
        expect(new Set(one.map(({ id }) => id))).toEqual(new Set(other.map(({ id }) => id)))
        expect(previewLogImport(one, marked, car).fresh).toEqual([])
        expect(after(one, marked)).toEqual(one)
      }),
    )
  })
})
