import { describe, expect, it } from 'vitest'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import { crownDrop, underBarRoom } from '../../survey/frame/roof-surface'
import { overRoof } from './over-roof'
import { run } from './findings.testing'

describe('over roof and bars', () => {
  it('stands over the body with what the bars give it', () => {
    const [finding] = run(overRoof, planOf(vehicleWith([]), [barsRack({})], [[thing('Crate', 5)]]))
    // Bars 60 over the roof and 30 high.
    expect(finding).toMatchObject({ severity: 'clear' })
    expect(finding?.margin?.value).toBeCloseTo(90, 0)
  })
  it('is reckoned from the roof’s skin, where a rail or an aerial makes the overall height', () => {
    const vehicle = vehicleWith([])
    const lower = { ...vehicle, roof: { ...vehicle.roof, skinZMm: vehicle.heightMm - 60 } }
    const [finding] = run(overRoof, planOf(lower, [barsRack({})], [[thing('Crate', 5)]]))
    expect(finding?.margin?.value).toBeCloseTo(90, 0)
  })
  it('stops at what stands in a bar that it does not rest on', () => {
    const low = barsRack({ id: 'low', xs: [500, 1400] })
    const high = barsRack({ id: 'high', xs: [950] })
    const raised =
      high.kind === 'bars' ? { ...high, bars: high.bars.map((bar) => ({ ...bar, riseMm: 200 })) } : high
    const plan = planOf(
      vehicleWith([]),
      [low, raised],
      [[thing('Crate', 5), { host: { on: 'bars', barIds: ['low-bar-1', 'low-bar-2'] } }]],
    )
    expect(run(overRoof, plan)).toMatchObject([{ severity: 'stop', margin: { value: -30 } }])
  })
  it('falls away from the crown as a parabola, so that a clamp at the side has more room', () => {
    const vehicle = {
      ...vehicleWith([]),
      roof: { ...vehicleWith([]).roof, crownMm: 40, halfWidthFrontMm: 600, halfWidthRearMm: 600 },
    }
    expect(crownDrop(vehicle, 900, 0)).toBe(0)
    expect(crownDrop(vehicle, 900, 300)).toBeCloseTo(10, 9)
    expect(crownDrop(vehicle, 900, -600)).toBeCloseTo(40, 9)
    expect(underBarRoom(vehicle, 55, 900, 300)).toBeCloseTo(65, 9)
  })
})
