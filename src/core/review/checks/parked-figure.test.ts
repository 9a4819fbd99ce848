import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { sentences, severities, figuresSay } from './findings.testing'
import { parkedFigure } from './parked-figure'

/** Common practice, no source: "three times" is a school of the trade, not a fact. */
const ANY = { road: 500, trail: 500, parked: 500 }
const plan = (parkedKg: number, school: 'strict' | 'ruleOfThree') => {
  const base = planOf(
    vehicleWith(roofOf({ road: 60, trail: 60 })),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('camp', parkedKg, { when: 'parked' })]],
  )
  return { ...base, rules: { ...base.rules, parkedMissing: school } }
}

describe('no parked figure', () => {
  it('within the driving figure is clear under both schools, and says at least', () => {
    for (const school of ['strict', 'ruleOfThree'] as const) {
      expect(figuresSay(plan(60, school)).parked).toBe('clear')
      expect(severities(parkedFigure, plan(60, school))).toEqual({})
    }
  })

  it('above it: strict is Find out', () => {
    expect(severities(parkedFigure, plan(100, 'strict'))).toEqual({ parked: 'findOut' })
    expect(sentences(parkedFigure, plan(100, 'strict'))[0]).toContain('above its driving figure of 60 kg')
    expect(figuresSay(plan(100, 'strict')).parked).toBe('findOut')
  })

  it('above it: the rule of three is Mind up to 3 × the driving figure, Stop beyond', () => {
    expect(severities(parkedFigure, plan(180, 'ruleOfThree'))).toEqual({ parked: 'mind' })
    expect(figuresSay(plan(180, 'ruleOfThree')).parked).toBe('mind')
    expect(figuresSay(plan(181, 'ruleOfThree')).parked).toBe('stop')
  })
})
