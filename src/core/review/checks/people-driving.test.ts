import { describe, expect, it } from 'vitest'
import { barsRack, carrier, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { survey } from '../../survey/survey'
import { apply } from '../../plan/commands/apply'
import { remediesFor } from '../../remedies/remedies'
import { review } from '../review'
import { severities, figuresSay } from './findings.testing'
import { peopleDriving } from './people-driving'

const ANY = { road: 900, trail: 900, parked: 900 }
const sleepers = (when: 'always' | 'parked', count = 2) => ({
  id: 'sleepers',
  name: 'Sleepers',
  when,
  what: { kind: 'people' as const, count, each: { kg: 80, basis: 'weighed' as const } },
})
const camp = (when: 'always' | 'parked', count?: number) =>
  planOf(
    vehicleWith(roofOf(ANY)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[carrier('tent', 50, ANY, { kind: 'tent' }), { loads: [sleepers(when, count)] }]],
  )

describe('people on the rack', () => {
  it('stops anyone up there while driving, and nobody when parked', () => {
    expect(severities(peopleDriving, camp('always'))).toEqual({ road: 'stop', trail: 'stop' })
    expect(severities(peopleDriving, camp('parked'))).toEqual({ all: 'clear' })
    expect(severities(peopleDriving, camp('always', 0))).toEqual({})
  })

  it('stops a person placed as a thing, unless parked only', () => {
    const person = (when: 'always' | 'parked') =>
      planOf(
        vehicleWith(roofOf(ANY)),
        [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
        [[thing('fitter', 80, { kind: 'person' }), { when }]],
      )
    expect(severities(peopleDriving, person('always'))).toEqual({ road: 'stop', trail: 'stop' })
    expect(severities(peopleDriving, person('parked'))).toEqual({ all: 'clear' })
  })

  it('takes the plan’s word for who is on board, whatever their entry in stock or their tent says (L14)', () => {
    const usually = planOf(
      vehicleWith(roofOf(ANY)),
      [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
      [[thing('fitter', 80, { kind: 'person', when: 'parked' }), { when: 'always' }]],
    )
    expect(severities(peopleDriving, usually)).toEqual({ road: 'stop', trail: 'stop' })
    expect(survey(usually).loadPath.cellAt('roof', 'road')?.countedKg).toBeCloseTo(80, 9)
    const inTent = camp('always')
    const parkedTent = { ...inTent, gear: inTent.gear.map((gear) => ({ ...gear, when: 'parked' as const })) }
    expect(severities(peopleDriving, parkedTent)).toEqual({ road: 'stop', trail: 'stop' })
  })

  it('offers parked only, which clears it', () => {
    const surveyed = survey(camp('always'))
    const found = review(surveyed)
    const finding = found.findings.find((each) => each.rule === 'people-driving')!
    const [first] = remediesFor(surveyed, found, finding, { parts: [] })
    const applied = apply(surveyed.plan, first!.command)
    expect(applied.ok && figuresSay(applied.plan).all).toBe('clear')
  })
})
