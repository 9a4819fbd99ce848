import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Vehicle } from '../../plan/schema/vehicle'
import { survey } from '../../survey/survey'
import { review } from '../review'
import { run, sentences } from './findings.testing'
import { tipOver } from './standing'

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
    expect(run(tipOver, plan(20))[0]?.severity).toBe('clear')
    expect(run(tipOver, plan(30))[0]?.severity).toBe('mind')
    expect(run(tipOver, plan(52))[0]?.severity).toBe('stop')
    expect(sentences(tipOver, plan(20))[0]).toContain('1.26 bare')
  })

  it('by estimate clears nothing: where the answer does not hang on it, it was not looked at (L21)', () => {
    expect(run(tipOver, plan(5, {}))[0]?.severity).toBe('notLooked')
    expect(sentences(tipOver, plan(5, {}))[0]).toContain('By estimate')
  })

  it('by estimate is found out about where it hangs on it, and is no milder with more on the roof', () => {
    const slope = run(tipOver, plan(40, {}))[0]!
    expect(slope.severity).toBe('findOut')
    expect(slope.ask?.target).toEqual({ field: 'vehicle', name: 'kerbKg' })
    const order = ['notLooked', 'findOut', 'stop']
    let worst = 0
    for (let kg = 0; kg <= 800; kg += 20) {
      const now = order.indexOf(run(tipOver, plan(20, {}, kg))[0]!.severity)
      expect(now).toBeGreaterThanOrEqual(worst)
      worst = now
    }
  })

  it('hangs on a track that somebody guessed, as on any other length', () => {
    const tipsAt = survey(plan(0)).motion.standing().loaded.slopeDeg
    const near = plan(tipsAt - 0.3)
    const known = (by: 'guess' | 'sheet') => {
      const vehicle = {
        ...near.vehicle,
        known: { kerbKg: { by: 'label' as const }, 'trackMm.front': { by } },
      }
      return review(survey({ ...near, vehicle })).findings.find(({ rule }) => rule === 'standing')
    }
    expect(known('guess')?.severity).toBe('findOut')
    expect(known('guess')?.ask?.target).toEqual({ open: 'vehicle', at: 'trackMm.front' })
    expect(known('sheet')?.severity).toBe('mind')
  })

  it('a kerb mass of nought is none: nothing is divided by it (L7)', () => {
    expect(sentences(tipOver, plan(40, { ...KNOWN, kerbKg: 0 }))[0]).not.toContain('NaN')
  })
})
