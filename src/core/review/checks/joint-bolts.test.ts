import { describe, expect, it } from 'vitest'
import { barsRack, planOf, vehicleWith } from '../../plan/plans.testing'
import type { Fastener } from '../../plan/schema/fastening'
import { jointBolts } from './joint-bolts'
import { run, sentences } from './findings.testing'

const plan = (joint: Partial<Fastener>) => {
  const rack = barsRack({})
  const [first, ...rest] = rack.parts
  return planOf(vehicleWith([]), [
    { ...rack, parts: [{ ...first!, fasteners: [{ thread: 'M8', count: 32, ...joint }] }, ...rest] },
  ])
}

describe('the bolt of a joint', () => {
  it('is as long as stack, washer, nut and two threads: 18 + 1.6 + 6.5 + 2.5, the next standard one', () => {
    const joint = { stackMm: 18, nutMm: 6.5, washers: ['flat' as const] }
    expect(sentences(jointBolts, plan(joint))).toEqual([
      'Bars, M8: stack, washers, nut and two clear threads take 28.6 mm; the next standard length is 30 mm. Nobody has said yet how long its bolt is.',
    ])
    expect(sentences(jointBolts, plan({ ...joint, lengthMm: 30 }))[0]).toMatch(
      /the sheet’s bolt is 30 mm; 1.4 mm to spare\.$/,
    )
  })

  it('is asked for where nobody has said how long it is: that is no pass', () => {
    expect(run(jointBolts, plan({ stackMm: 18 }))).toMatchObject([
      { severity: 'findOut', ask: { target: { open: 'rack', at: 'parts.0.fasteners.0.lengthMm' } } },
    ])
    // No standard bolt is so long: that is no pass either.
    expect(run(jointBolts, plan({ stackMm: 400 }))).toMatchObject([{ severity: 'findOut' }])
  })

  it('is not held against a nut where it goes into threads', () => {
    expect(run(jointBolts, plan({ stackMm: 18, lengthMm: 25, nut: 'none' }))).toEqual([])
    expect(run(jointBolts, plan({ stackMm: 18, lengthMm: 25, nut: 'channel' }))).toEqual([])
    expect(run(jointBolts, plan({ stackMm: 18, lengthMm: 25, nut: 'lock' }))).toMatchObject([
      { severity: 'stop' },
    ])
  })

  it('is a Stop where it is too short, and nothing where nobody knows its stack or thread', () => {
    expect(run(jointBolts, plan({ stackMm: 18, lengthMm: 25 }))).toMatchObject([{ severity: 'stop' }])
    expect(run(jointBolts, plan({ lengthMm: 25 }))).toEqual([])
    expect(run(jointBolts, plan({ thread: 'unsaid', stackMm: 18 }))).toEqual([])
  })
})
