import { describe, expect, it } from 'vitest'
import { disagreements } from './disagreement'
import type { LogEvent } from './event'
import { replay } from './replay'
import { united } from './sequence'

const entry = (id: string, turn: number, of: object): LogEvent =>
  ({
    id,
    at: `2027-03-12T09:0${turn % 10}:00Z`,
    turn,
    device: id.slice(0, 1),
    vehicleId: 'v',
    jobId: 'j',
    ...of,
  }) as LogEvent
const counted = (id: string, turn: number, count: number, lineId = 'feet') =>
  entry(id, turn, { kind: 'counted', lineId, what: 'Feet', count })
const proved = (id: string, turn: number, outcome: string) =>
  entry(id, turn, { kind: 'proved', item: 'shake', what: 'Shake it', outcome })
const dated = (id: string, turn: number, due: string) =>
  entry(id, turn, { kind: 'dated', what: 'Next check', due })

const asked = (here: readonly LogEvent[], given: readonly LogEvent[]) =>
  disagreements(here, given).map(({ here: a, there: b }) => [a.id, b.id])

describe('two devices that say otherwise of one thing (S8)', () => {
  const common = counted('a1', 1, 4)

  it('are asked, of a count, a proof and a date, whichever has more entries', () => {
    const here = [common, counted('a2', 2, 3), proved('a3', 3, 'good'), dated('a4', 4, '2027-04-01')]
    const more = [counted('b9', 9, 9, 'nuts')]
    const given = [common, counted('b2', 7, 4), proved('b3', 3, 'bad'), dated('b4', 8, '2027-05-01'), ...more]
    expect(asked(here, given)).toEqual([
      ['a2', 'b2'],
      ['a3', 'b3'],
      ['a4', 'b4'],
    ])
    // Without being asked the one with more entries would have won: a part that is missing would have been there.
    expect(replay(united(here, given)).jobs.get('j')?.counted.get('feet')).toBe(4)
  })

  it('are not asked where one had seen the other’s word, or both say the same', () => {
    const later = counted('b2', 2, 3)
    expect(asked([common], [common, later])).toEqual([])
    expect(asked([common, later], [common])).toEqual([])
    expect(asked([common, counted('a2', 2, 3)], [common, counted('b2', 5, 3)])).toEqual([])
    expect(asked([counted('a2', 2, 3)], [counted('b2', 5, 3, 'nuts')])).toEqual([])
  })

  it('are not asked about an entry that was struck', () => {
    const struck = entry('b3', 6, { kind: 'corrected', eventId: 'b2', reason: 'Miscounted' })
    expect(asked([counted('a2', 2, 3)], [counted('b2', 5, 4), struck])).toEqual([])
  })
})
