import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '@/core/runs.testing'
import type { LogEvent } from './event'
import { someEvents } from './events.testing'
import { replay } from './replay'
import { compareEvents, nextTurn, united } from './sequence'

/** What a log says, without when: times are shown and never used. */
const textsOf = (events: readonly LogEvent[]) => {
  const { racks, missing, jobs, counting } = replay(events)
  return {
    racks: racks.map(({ rackId, on }) => ({ rackId, on })),
    missing: [...missing],
    jobs: [...jobs].map(([id, job]) => [
      id,
      [...job.done],
      [...job.torqued],
      [...job.measured],
      [...job.proved],
    ]),
    counting: counting.map(({ id }) => id),
  }
}

interface Op {
  readonly device: 0 | 1
  readonly which: number
  readonly correct: number
  readonly sync: boolean
}
const ops = fc.array(
  fc.record({
    device: fc.constantFrom(0 as const, 1 as const),
    which: fc.nat(someEvents.length - 1),
    correct: fc.nat(9),
    sync: fc.boolean(),
  }),
  { minLength: 1, maxLength: 40 },
)

/** Two devices write, each by what it has seen, and take in the other's now and then. Some entries correct an earlier one. */
function written(list: readonly Op[]): [LogEvent[], LogEvent[]] {
  const logs: [LogEvent[], LogEvent[]] = [[], []]
  list.forEach(({ device, which, correct, sync }, i) => {
    if (sync) logs[device] = united(...logs)
    const seen = logs[device]
    const common = { id: `n${i}`, turn: nextTurn(seen), device: `d${device}`, at: '2027-03-01T10:00:00Z' }
    const wrong = seen.at(-1 - correct)
    const event: LogEvent =
      correct < 3 && wrong
        ? {
            kind: 'corrected',
            vehicleId: 'estate',
            jobId: 'job',
            eventId: wrong.id,
            reason: 'wrong',
            ...common,
          }
        : { ...someEvents[which]!, ...common }
    logs[device] = [...seen, event]
  })
  return logs
}

/** A clock for each entry, set to anything. */
const clocks = fc.array(
  fc.integer({ min: 2000, max: 2090 }).map((year) => `${year}-05-01T08:00:00Z`),
  { minLength: 40, maxLength: 40 },
)

describe('a log of several devices', () => {
  it('says the same in whatever order it is taken in, however often', () => {
    fc.assert(
      fc.property(ops, (list) => {
        const [a, b] = written(list)
        const one = united(a, b)
        expect(united(b, a)).toEqual(one)
        expect(united(one, a, b, one)).toEqual(one)
        expect(united(a.toReversed(), b)).toEqual(one)
        expect(textsOf(united(b, one))).toEqual(textsOf(one))
      }),
      { numRuns: runs(5_000) },
    )
  })

  it('says the same whatever the clocks were set to: a correction stays one (B17)', () => {
    fc.assert(
      fc.property(ops, clocks, (list, times) => {
        const [a, b] = written(list)
        const anyTime = united(a, b).map((event, i) => ({ ...event, at: times[i]! }))
        expect(textsOf(united(anyTime.toSorted((x, y) => (x.at < y.at ? -1 : 1))))).toEqual(
          textsOf(united(a, b)),
        )
      }),
      { numRuns: runs(5_000) },
    )
  })

  it('has every device’s own entries in the order in which it wrote them', () => {
    fc.assert(
      fc.property(ops, (list) => {
        const [a, b] = written(list)
        const place = new Map(united(a, b).map(({ id }, i) => [id, i]))
        for (const log of [a, b])
          log.reduce((before, { id }) => {
            const at = place.get(id)!
            expect(at).toBeGreaterThan(before)
            return at
          }, -1)
      }),
      { numRuns: runs(5_000) },
    )
  })

  it('puts entries from before events had turns first, by their time', () => {
    const [first, second] = someEvents
    const late = { ...first!, id: 'late', at: '2027-04-01T00:00:00Z' }
    const turned = { ...second!, id: 'turned', turn: 1, at: '2001-01-01T00:00:00Z' }
    expect(
      united([turned, late], someEvents)
        .map(({ id }) => id)
        .slice(-2),
    ).toEqual(['late', 'turned'])
    expect(compareEvents(first!, { ...second!, at: first!.at })).toBe(0)
  })
})
