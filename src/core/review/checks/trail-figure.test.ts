import { describe, expect, it } from 'vitest'
import type { HouseRules } from '../../plan/schema/house'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { sentences, severities, figuresSay } from './findings.testing'
import { trailFigure } from './trail-figure'

const ANY = { road: 500, trail: 500, parked: 500 }
const plan = (kg: number, trailMissing: HouseRules['trailMissing']) => {
  const base = planOf(
    vehicleWith(roofOf({ road: 60, parked: 200 })),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('load', kg)]],
  )
  return { ...base, rules: { ...base.rules, trailMissing } }
}
const derate = { school: 'derate' as const, factor: 2 / 3 }

describe('no trail figure', () => {
  it('derated: within two thirds of the road figure is Mind, over it Stop', () => {
    expect(severities(trailFigure, plan(40, derate))).toEqual({ trail: 'mind' })
    expect(sentences(trailFigure, plan(30, derate))[0]).toContain('2/3 of the road figure')
    expect(figuresSay(plan(40, derate)).trail).toBe('mind')
    expect(figuresSay(plan(40.1, derate)).trail).toBe('stop')
  })

  it('by the shop’s own factor', () => {
    expect(figuresSay(plan(31, { school: 'derate', factor: 0.5 })).trail).toBe('stop')
  })

  it('strict: Find out', () => {
    expect(severities(trailFigure, plan(10, { school: 'strict' }))).toEqual({ trail: 'findOut' })
    expect(figuresSay(plan(10, { school: 'strict' }))).toMatchObject({
      road: 'clear',
      trail: 'findOut',
    })
  })

  it('a published one is used as it is, higher or lower', () => {
    const published = planOf(
      vehicleWith(roofOf({ road: 60, trail: 70, parked: 200 })),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY) })],
      [[thing('load', 59)]],
    )
    expect(severities(trailFigure, published)).toEqual({})
    expect(figuresSay(published).trail).toBe('clear')
  })
})
