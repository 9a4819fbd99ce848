import { describe, expect, it } from 'vitest'
import { chanceProblem } from '../chance/problem'
import { barsRack, carrier, own, planOf, roofOf, thing, vehicleWith } from '../plan/plans.testing'
import type { Plan } from '../plan/schema/plan'
import { handoverOf } from '../handover/handover'
import { NOTHING_DONE } from '../log/record'
import { ASIDE_LOOKS, USUAL_BAY } from '../plan/schema/house'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import { CHECKS } from './checks'
import { notLookedAt, review } from './review'

const figures = { road: 100, trail: 100, parked: 100 }
const rack = barsRack({ bars: own('bars', figures), feet: own('feet', figures) })

function withBox(kg: number, basis: 'unknown' | 'weighed'): Plan {
  return planOf(vehicleWith(roofOf(figures)), [rack], [[thing('box', kg, {}, basis)]])
}
const of = (plan: Plan) => review(survey(plan))
const asksWeight = (plan: Plan) =>
  of(plan).findings.filter(({ rule, severity }) => rule === 'guessed-mass' && severity === 'findOut')

describe('a weight that nobody knows yet (E7)', () => {
  it('makes every link that it stands on Find out, in every state, answered by the scale', () => {
    const found = asksWeight(withBox(0, 'unknown'))
    expect(new Set(found.map(({ subject }) => subject.layerId))).toEqual(
      new Set(['part:rack-bars', 'part:rack-feet', 'roof']),
    )
    expect(new Set(found.map(({ state }) => state))).toEqual(new Set(['road', 'trail', 'parked']))
    expect(phraseText(found[0]?.sentence ?? [])).toContain('nobody knows yet what box weighs')
    expect(found[0]?.ask?.target).toEqual({ field: 'gearMass', gearId: 'box' })
    expect(of(withBox(0, 'unknown')).states).toMatchObject({ road: 'findOut', parked: 'findOut' })
    expect(asksWeight(withBox(10, 'weighed'))).toEqual([])
  })

  it('is at least what stands there: over by that it is a Stop all the same', () => {
    expect(of(withBox(120, 'unknown')).states.road).toBe('stop')
  })

  it('is asked of a foot’s own figure too, wherever on the rack it stands', () => {
    const each = barsRack({ feet: own('feet', figures, { per: 'each' }), bars: own('bars', figures) })
    const plan = planOf(
      vehicleWith(roofOf(figures)),
      [each],
      [
        [thing('known', 40), { xMm: 520 }],
        [thing('box', 0, {}, 'unknown'), { xMm: 1390 }],
      ],
    )
    expect(asksWeight(plan).map(({ subject }) => subject.layerId)).toContain('part:rack-feet')
  })

  it('leaves what hangs on mass besides not looked at, by name, and nothing Clear', () => {
    const plan = withBox(0, 'unknown')
    const { findings } = of(plan)
    const clear = findings.filter(({ severity }) => severity === 'clear').map(({ rule }) => rule)
    expect(clear).not.toContain('tie-downs')
    expect(clear).toContain('usable-width')
    expect(notLookedAt(of(plan))).toEqual(expect.arrayContaining(['payload', 'evenly loaded']))
    const evenness = findings.find(({ rule }) => rule === 'evenness')
    expect(evenness?.severity).toBe('notLooked')
    expect(phraseText(evenness?.sentence ?? [])).toContain('nobody knows yet what box weighs')
  })

  it('has no chance that could be given: the links it stands on are left out, and it is named', () => {
    const { limits, blind, unknowns } = chanceProblem(survey(withBox(0, 'unknown')))
    expect(limits).toEqual([])
    expect(blind).toEqual(['box'])
    expect(unknowns).toEqual([])
    expect(chanceProblem(survey(withBox(10, 'weighed'))).limits.length).toBeGreaterThan(0)
  })

  it('leaves no figure for what may still be added: at most, and why, on bench, sheet and placard', () => {
    const surveyed = survey(withBox(0, 'unknown'))
    const [allowance] = surveyed.allowances
    expect(allowance).toMatchObject({ kind: 'unknown', atMostKg: 100, unweighed: ['box'], unrated: [] })
    const sheet = handoverOf(surveyed, review(surveyed), NOTHING_DONE, [], USUAL_BAY)
    expect(sheet.limits[0]).toMatchObject({ known: false, by: 'nobody knows yet what box weighs' })
    expect(phraseText(sheet.limits[0]?.carries ?? [])).toMatch(/^at least 0/)
    expect(phraseText(sheet.limits[0]?.left ?? [])).toContain('not known')
    expect(survey(withBox(10, 'weighed')).allowances[0]?.kind).toBe('known')
  })

  it('in a carrier is asked of the carrier’s figure as well', () => {
    const base = planOf(
      vehicleWith(roofOf(figures)),
      [rack],
      [
        [carrier('tray', 5, figures)],
        [
          thing('bag', 0, {}, 'unknown'),
          { host: { on: 'place', placementId: 'tray', placeId: 'inside' }, xMm: 0, yMm: 0 },
        ],
      ],
    )
    expect(asksWeight(base).map(({ subject }) => subject.layerId)).toContain('carrier:tray')
  })

  it('is asked by every look that the house wants in every job, and is else only not looked at', () => {
    const base = withBox(0, 'unknown')
    const wind = (plan: Plan) => of(plan).findings.find(({ rule }) => rule === 'wind')
    expect(wind(base)?.severity).toBe('notLooked')
    const must = wind({ ...base, rules: { ...base.rules, mustLook: ['wind'] } })
    expect(must?.severity).toBe('findOut')
    expect(must?.ask?.target).toEqual({ field: 'gearMass', gearId: 'box' })
    expect(wind({ ...base, rules: { ...base.rules, mustLook: ['axles'] } })?.severity).toBe('notLooked')
  })

  it('leaves each look of a house to one check', () => {
    for (const look of ASIDE_LOOKS)
      expect(CHECKS.filter(({ houseLook }) => houseLook === look).map(({ law }) => law)).toHaveLength(1)
  })
})
