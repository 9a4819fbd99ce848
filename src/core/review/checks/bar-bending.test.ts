import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, TUBE, vehicleWith } from '../../plan/plans.testing'
import type { Bar } from '../../plan/schema/rack'
import { barBending } from './bar-bending'
import { run, sentences } from './findings.testing'

const ANY = { road: 900, trail: 900, parked: 900 }
const plan = (kg: number, bar: Partial<Bar> = { profile: TUBE }) => {
  const rack = barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })
  const bent = rack.kind === 'bars' ? { ...rack, bars: rack.bars.map((each) => ({ ...each, ...bar })) } : rack
  return planOf(
    vehicleWith(roofOf(ANY)),
    [bent],
    [[thing('load', kg, { contactsMm: { along: [], across: [0] } })]],
  )
}

describe('a bar that bends', () => {
  it('is clear with its figures: 50 kg in its middle, 43.9 MPa and 4.2 mm (handbook, from memory)', () => {
    const [found] = run(barBending, plan(100))
    expect(found?.severity).toBe('clear')
    expect(found?.measured?.value).toBeCloseTo(4.241, 3)
    expect(sentences(barBending, plan(100))[0]).toContain('43.9 MPa')
  })

  it('is minded over its yield divided by 1.5, and stops over its yield', () => {
    // 43.9 MPa per 100 kg on the pair: 106.7 MPa at 243 kg, 160 MPa at 364 kg.
    expect(run(barBending, plan(242))[0]?.severity).toBe('clear')
    expect(run(barBending, plan(250))[0]?.severity).toBe('mind')
    expect(run(barBending, plan(370))[0]?.severity).toBe('stop')
  })

  it('stops where it would meet the roof', () => {
    const [found] = run(barBending, plan(100, { profile: TUBE, riseMm: 3 }))
    expect(found?.severity).toBe('stop')
    expect(found?.margin?.value).toBeCloseTo(3 - 4.241, 3)
  })

  it('is not looked at where its section or its material is not known, but stops where it would meet the roof', () => {
    const { material: _, ...bare } = TUBE
    expect(run(barBending, plan(100, { profile: bare }))).toMatchObject([{ severity: 'notLooked' }])
    const unknown = { profile: { kind: 'aero', widthMm: 80, heightMm: 28 } } as const
    expect(run(barBending, plan(100, unknown))).toMatchObject([{ severity: 'notLooked' }])
    expect(run(barBending, plan(0, unknown))).toEqual([])
  })
})
