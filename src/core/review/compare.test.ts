import { describe, expect, it } from 'vitest'
import { boatAndBox, ridgeTent } from '@/demo/plans'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../plan/plans.testing'
import { assessWithFixes } from '../remedies/assess-with-fixes'
import { accountOf, differencesOf } from './compare'

const LB = 0.45359237
const plan = (barLb: number, lengthMm = 1300) => {
  const rack = barsRack({
    bars: own('bars', { road: barLb * LB, trail: barLb * LB, parked: barLb * LB }),
    feet: own('feet', { road: 900, trail: 900, parked: 900 }),
  })
  const bars = rack.kind === 'bars' ? rack.bars.map((bar) => ({ ...bar, lengthMm })) : []
  return planOf(
    vehicleWith(roofOf({ road: 150 * LB, trail: 150 * LB, parked: 500 * LB }, { counts: 'everything' })),
    [{ ...rack, kind: 'bars', bars }],
    [[thing('Crate', 10, { price: 120 })]],
  )
}

describe('two plans side by side', () => {
  it('replacing a 143 lb rack by one of 240 lb under a roof of 150 lb gains 7 lb, not 97 (common practice, no source)', () => {
    const [weak, strong] = [accountOf(assessWithFixes(plan(143))), accountOf(assessWithFixes(plan(240)))]
    const left = (account: typeof weak) =>
      account.left.road && 'kg' in account.left.road ? account.left.road.kg : NaN
    expect((left(strong) - left(weak)) / LB).toBeCloseTo(7, 6)
    expect(strong.left.road).toMatchObject({ kind: 'known', by: ['Roof'] })
    expect(weak.left.road).toMatchObject({ by: ['Bars'] })
  })
  it('gives price, and says how much of it is unknown', () => {
    expect(accountOf(assessWithFixes(plan(143)))).toMatchObject({ price: 120, unpriced: 2 })
    // Bars 148, feet 164, box 420, cradles 145; boat and bag have no price.
    expect(accountOf(assessWithFixes(boatAndBox))).toMatchObject({ price: 877, unpriced: 1 })
  })
  it('names what only one has, bars that differ, and rules that judge otherwise', () => {
    const differences = differencesOf(
      accountOf(assessWithFixes(plan(143))),
      accountOf(assessWithFixes(plan(143, 1360))),
    )
    expect(differences.bars).toEqual([
      {
        name: 'Bar 1',
        a: { lengthMm: 1300, profile: 'aero', xMm: 500 },
        b: { lengthMm: 1360, profile: 'aero', xMm: 500 },
      },
      {
        name: 'Bar 2',
        a: { lengthMm: 1300, profile: 'aero', xMm: 1400 },
        b: { lengthMm: 1360, profile: 'aero', xMm: 1400 },
      },
    ])
    const other = differencesOf(accountOf(assessWithFixes(boatAndBox)), accountOf(assessWithFixes(ridgeTent)))
    expect(other.onlyA).toContain('Long box')
    expect(other.onlyB).toContain('Shell tent for two')
    expect(other.rules).toContainEqual({ rule: 'antenna', a: 'clear', b: 'mind' })
    expect(
      differencesOf(accountOf(assessWithFixes(boatAndBox)), accountOf(assessWithFixes(boatAndBox))),
    ).toEqual({
      bars: [],
      onlyA: [],
      onlyB: [],
      rules: [],
    })
  })
})
