import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Vehicle } from '../../plan/vehicle'
import { run, sentences } from './findings.testing'
import { standing } from './standing'

const ANY = { road: 900, trail: 900, parked: 900 }
const KNOWN: Partial<Vehicle> = {
  kerbKg: 1650,
  trackMm: { front: 1560, rear: 1560 },
  centreOfGravity: { known: 'position', xMm: 700, heightMm: 620 },
}
const plan = (rollDeg: number, vehicle: Partial<Vehicle> = KNOWN, kg = 85) => {
  const now = planOf(
    { ...vehicleWith(roofOf(ANY)), ...vehicle },
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('load', kg)]],
  )
  return { ...now, use: { ...now.use, trailRollDeg: rollDeg } }
}

describe('standing on a side slope', () => {
  it('is clear to half the slope that tips it, minded beyond, and stops where it tips', () => {
    expect(run(standing, plan(20))[0]?.severity).toBe('clear')
    expect(run(standing, plan(30))[0]?.severity).toBe('mind')
    expect(run(standing, plan(52))[0]?.severity).toBe('stop')
    expect(sentences(standing, plan(20))[0]).toContain('1.26 bare')
  })

  it('by estimate is clear where the answer does not hang on it, and says so', () => {
    expect(run(standing, plan(5, {}))[0]?.severity).toBe('clear')
    expect(sentences(standing, plan(5, {}))[0]).toContain('By estimate')
  })

  it('by estimate is found out about where it does', () => {
    const limit = run(standing, plan(5, {}))[0]!.limit!.value
    expect(run(standing, plan(limit, {}))[0]?.severity).toBe('findOut')
  })
})
