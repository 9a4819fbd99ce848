import { describe, expect, it } from 'vitest'
import type { HouseRules } from '../../plan/schema/house'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { sentences, severities, figuresSay } from './findings.testing'
import { guessedMass } from './guessed-mass'

const ANY = { road: 500, trail: 500, parked: 500 }
const plan = (kg: number, guess: HouseRules['guess'] = { school: 'margin', percent: 10 }) => {
  const base = planOf(
    vehicleWith(roofOf({ road: 50, trail: 50, parked: 50 })),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('Luggage', kg, {}, 'guess')]],
  )
  return { ...base, rules: { ...base.rules, guess } }
}

describe('a guessed weight', () => {
  it('is nothing to ask about while the margin changes no verdict', () => {
    expect(severities(guessedMass, plan(45), 'roof')).toEqual({})
    expect(figuresSay(plan(45)).all).toBe('clear')
  })

  it('is Find out when the margin turns clear into over, and says what to weigh', () => {
    expect(severities(guessedMass, plan(46), 'roof')).toMatchObject({ road: 'findOut' })
    expect(figuresSay(plan(46)).road).toBe('findOut')
    expect(sentences(guessedMass, plan(46))[0]).toContain('Weigh Luggage')
  })

  it('is Stop when it is over even without the margin', () => {
    expect(figuresSay(plan(51)).road).toBe('stop')
  })

  it('follows the school: taken as it is, though never surer than what was told, or weighed before it counts', () => {
    expect(figuresSay(plan(45, { school: 'takeIt' })).all).toBe('clear')
    expect(figuresSay(plan(49, { school: 'takeIt' })).road).toBe('findOut')
    expect(figuresSay(plan(5, { school: 'weighIt' })).all).toBe('findOut')
  })
})
