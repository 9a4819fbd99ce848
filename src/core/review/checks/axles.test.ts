import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Vehicle } from '../../plan/schema/vehicle'
import { survey } from '../../survey/survey'
import { review } from '../review'
import { axles } from './axles'
import { run } from './findings.testing'

const ANY = { road: 900, trail: 900, parked: 900 }
const plan = (vehicle: Partial<Vehicle>, kg = 80) =>
  planOf(
    { ...vehicleWith(roofOf(ANY)), ...vehicle },
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('load', kg)]],
  )
const KNOWN: Partial<Vehicle> = {
  known: {
    kerbKg: { by: 'manual' },
    'axleLimitKg.front': { by: 'label' },
    'axleLimitKg.rear': { by: 'label' },
  },
  kerbKg: 1500,
  centreOfGravity: { known: 'stability', frontShare: 0.6, staticStabilityFactor: 1.3 },
}

describe('axles', () => {
  it('within and over their limits', () => {
    const of = (front: number, rear: number) =>
      run(axles, plan({ ...KNOWN, axleLimitKg: { front, rear } })).map(({ severity }) => severity)
    expect(of(1000, 1000)).toEqual(['clear', 'clear', 'clear', 'clear'])
    expect(of(900, 1000)).toEqual(['stop', 'clear', 'stop', 'clear'])
  })

  it('with limits but nobody knowing how the vehicle sits on them are not looked at', () => {
    expect(
      run(axles, plan({ axleLimitKg: { front: 900, rear: 900 } })).map(({ severity }) => severity),
    ).toEqual(['notLooked'])
  })

  it('without limits are not looked at, unless the house looks at them in every job', () => {
    expect(run(axles, plan(KNOWN))).toMatchObject([{ severity: 'notLooked' }])
    const base = plan(KNOWN)
    const must = { ...base, rules: { ...base.rules, mustLook: ['axles' as const] } }
    const found = review(survey(must)).findings.filter(({ rule }) => rule === 'axles')
    expect(found).toMatchObject([{ severity: 'findOut', ask: expect.anything() as unknown }])
  })
})
