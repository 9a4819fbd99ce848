import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { run, sentences } from './findings.testing'
import { uplift } from './uplift'

const ANY = { road: 500, trail: 500, parked: 500 }
const plan = (yMm: number) =>
  planOf(
    vehicleWith(roofOf(ANY)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('load', 36), { yMm }]],
  )

describe('uplift', () => {
  it('minds a foot that the load lifts: 18 kg a bar at y = 620 on feet at ±500 lifts by 2.16 kg', () => {
    const found = run(uplift, plan(620))
    expect(found.map((each) => each.severity)).toEqual(['mind', 'mind'])
    expect(found[0]?.measured?.value).toBeCloseTo(-2.16, 9)
    expect(sentences(uplift, plan(620))[0]).toContain('LHF')
  })

  it('is clear when the load stands between the feet, and nothing to check on a bare rack', () => {
    expect(run(uplift, plan(499))).toMatchObject([{ severity: 'clear' }])
    expect(run(uplift, planOf(vehicleWith(roofOf(ANY)), [barsRack({})]))).toEqual([])
  })
})
