import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import { STATES } from '../../units/scalars'
import { survey } from '../survey'
import { barLoads, landings } from './landings'

describe('what lands on a bar', () => {
  it('is the load by the lever rule, and with the rack the bars and what they bear of it', () => {
    // 18 kg at a third of the way from the front bar; each bar 3 kg, feet weigh on nothing but the vehicle.
    const rack = barsRack({ eachKg: 3, xs: [500, 1400] })
    const { masses } = survey(planOf(vehicleWith([]), [rack], [[thing('case', 18), { xMm: 800 }]]))
    const [front, rear] = [0, 1].map((index) => barLoads(masses, index, 'road'))
    expect(front!.loadKg).toBeCloseTo(12, 9)
    expect(rear!.loadKg).toBeCloseTo(6, 9)
    expect(front!.withRackKg).toBeCloseTo(15, 9)
    expect(rear!.withRackKg).toBeCloseTo(9, 9)
  })

  it('is told mass by mass, on the supports that are asked for, and comes to the masses where all are', () => {
    const rack = barsRack({ eachKg: 3, xs: [500, 1400] })
    const { masses } = survey(planOf(vehicleWith([]), [rack], [[thing('case', 18), { xMm: 800 }]]))
    const both = landings(masses, 'road', [0, 1], ({ bars }) => bars)
    const ofCase = both.each.find(({ mass }) => mass.label === 'case')!
    expect([ofCase.kg, ...ofCase.onKg].map((kg) => Math.round(kg * 1e6) / 1e6)).toEqual([18, 12, 6])
    expect(both.load.kg).toBeCloseTo(18, 9)
    expect(both.withRack.onKg[0]! + both.withRack.onKg[1]!).toBeCloseTo(both.withRack.kg, 9)
    expect(landings(masses, 'road', [7], ({ bars }) => bars).each).toEqual([])
  })

  it('is with the rack what the bar’s feet push back, in every demo job and state', () => {
    let bars = 0
    for (const plan of DEMO_PLANS) {
      const surveyed = survey(plan)
      for (const { index } of surveyed.bars)
        for (const state of STATES) {
          const loaded = surveyed.statics.bar(index, state)
          if (!loaded) continue
          bars += 1
          expect(barLoads(surveyed.masses, index, state).withRackKg).toBeCloseTo(loaded.carriesKg, 6)
        }
    }
    expect(bars).toBeGreaterThan(20)
  })
})
