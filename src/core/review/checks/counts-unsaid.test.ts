import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { countsUnstated } from './counts-unsaid'
import { sentences, severities, figuresSay } from './findings.testing'

const ANY = { road: 500, trail: 500, parked: 500 }
/** A rack of 12 kg on a roof figure that does not say whether it counts it. */
const plan = (kg: number, counts?: 'load' | 'everything') =>
  planOf(
    vehicleWith(roofOf({ road: 50, trail: 50, parked: 50 }, counts === undefined ? {} : { counts })),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY), eachKg: 2 })],
    [[thing('load', kg)]],
  )

describe('a figure silent on what it counts', () => {
  it('is nothing to ask about while it is within the figure either way, or over it either way', () => {
    expect(severities(countsUnstated, plan(38))).toEqual({})
    expect(figuresSay(plan(38)).road).toBe('clear')
    expect(severities(countsUnstated, plan(51))).toEqual({})
    expect(figuresSay(plan(51)).road).toBe('stop')
  })

  it('is Find out when the verdict hangs on it, under either house rule', () => {
    expect(severities(countsUnstated, plan(45))).toMatchObject({ road: 'findOut' })
    const other = { ...plan(45), rules: { ...plan(45).rules, roofCounts: 'load' as const } }
    expect(severities(countsUnstated, other)).toMatchObject({ road: 'findOut' })
    expect(sentences(countsUnstated, plan(45))[0]).toContain(
      '57 kg with its own parts counted (7 kg too much), 45 kg without (5 kg to spare), against 50 kg',
    )
  })

  it('is settled when the source says', () => {
    expect(figuresSay(plan(45, 'load')).road).toBe('clear')
    expect(figuresSay(plan(45, 'everything')).road).toBe('stop')
  })
})
