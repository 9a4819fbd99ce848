import type { Figures } from '../../plan/starting/templates'
import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith, weight } from '../../plan/plans.testing'
import type { Rating } from '../../plan/schema/rating'
import type { HouseRules } from '../../plan/schema/house'
import type { State } from '../../units/scalars'
import { exceeds } from '../../units/tolerance'
import { cellParts } from './limit'
import { survey } from '../survey'

const ANY = { road: 500, trail: 500, parked: 500 }
const rules = (patch: Partial<HouseRules>) => patch

/** The roof's cell for a load of the given kg under such figures. */
function roof(
  kg: number,
  state: State,
  figures: Figures,
  patch: Partial<HouseRules> = {},
  terms: Partial<Rating> = { counts: 'everything' },
) {
  const plan = planOf(
    vehicleWith(roofOf(figures, terms)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('load', kg)]],
  )
  return survey({ ...plan, rules: { ...plan.rules, ...patch } }).loadPath.cellAt('roof', state)!
}

describe('which figure holds in a state', () => {
  it('the published one, whatever the others say', () => {
    expect(roof(10, 'trail', { road: 60, trail: 75 }).limit).toMatchObject({ kind: 'published', kg: 75 })
    expect(roof(10, 'parked', { road: 60, parked: 50 }).limit).toMatchObject({ kind: 'published', kg: 50 })
  })

  it('on the trail, the road figure derated, by the house factor', () => {
    expect(roof(10, 'trail', { road: 60 }).limit).toMatchObject({ kind: 'assumed', by: 'derate', kg: 40 })
    const half = rules({ trailMissing: { school: 'derate', factor: 0.5 } })
    expect(roof(10, 'trail', { road: 60 }, half).limit).toMatchObject({ kg: 30, factor: 0.5 })
  })

  it('on the trail, nothing for the strict, and nothing without a road figure', () => {
    const strict = rules({ trailMissing: { school: 'strict' } })
    expect(roof(10, 'trail', { road: 60 }, strict).limit.kind).toBe('missing')
    expect(roof(10, 'trail', { parked: 60 }).limit.kind).toBe('missing')
  })

  it('parked, the driving figure as long as the load is within it', () => {
    expect(roof(60, 'parked', { road: 60 }).limit).toMatchObject({ kind: 'driving', kg: 60 })
    expect(roof(61, 'parked', { road: 60 }).limit.kind).toBe('missing')
  })

  it('parked, three times the road figure under the rule of three, only above the driving one', () => {
    const three = rules({ parkedMissing: 'ruleOfThree' })
    expect(roof(60, 'parked', { road: 60 }, three).limit.kind).toBe('driving')
    expect(roof(61, 'parked', { road: 60 }, three).limit).toMatchObject({
      kind: 'assumed',
      by: 'ruleOfThree',
      kg: 180,
    })
  })

  it('parked, a trail figure alone holds what it holds driving, and is never tripled', () => {
    const three = rules({ parkedMissing: 'ruleOfThree' })
    expect(roof(30, 'parked', { trail: 40 }, three).limit).toMatchObject({ kind: 'driving', kg: 40 })
    expect(roof(50, 'parked', { trail: 40 }, three).limit.kind).toBe('missing')
  })

  it('never one for the road from any other state', () => {
    expect(roof(10, 'road', { trail: 40, parked: 90 }).limit.kind).toBe('missing')
  })

  it('of several, the one that leaves least', () => {
    const plan = planOf(
      vehicleWith([...roofOf({ road: 60 }), { ...roofOf({ road: 55 })[0]!, id: 'second' }]),
      [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
      [[thing('load', 10)]],
    )
    expect(survey(plan).loadPath.cellAt('roof', 'road')?.limit).toMatchObject({ kg: 55 })
  })
})

describe('what is left', () => {
  it('limit less counted, its share, and what may be added', () => {
    expect(roof(45, 'road', { road: 60 })).toMatchObject({
      countedKg: 45,
      leftKg: 15,
      addableKg: 15,
      share: 0.75,
      idle: false,
    })
    expect(roof(75, 'road', { road: 60 })).toMatchObject({ leftKg: -15, addableKg: -15 })
  })

  it('for each: the worst one’s, and that times their number to add', () => {
    const plan = planOf(
      vehicleWith(roofOf(ANY)),
      [
        barsRack({
          bars: own('bars', { road: 30 }, { per: 'each', counts: 'load' }),
          feet: own('feet', ANY),
        }),
      ],
      [[thing('load', 45), { xMm: 800 }]],
    )
    // Bars at 500 and 1400: two thirds of 45 kg on the front one.
    const cell = survey(plan).loadPath.cellAt('part:rack-bars', 'road')!
    expect(
      [cell.countedKg, cell.leftKg, cell.layer.units[cell.unit]].map((each) =>
        typeof each === 'number' ? Math.round(each * 1e6) / 1e6 + 0 : each,
      ),
    ).toEqual([30, 0, 'Bar 1'])
    expect(cell.addableKg).toBeCloseTo(0, 9)
  })

  it('equal is within, to a millionth', () => {
    expect(exceeds(150, 150)).toBe(false)
    expect(exceeds(150.0001, 150)).toBe(false)
    expect(exceeds(150.001, 150)).toBe(true)
    // 36 lb + 114 lb on 150 lb, added up in kilograms.
    expect(exceeds(36 * 0.45359237 + 114 * 0.45359237, 150 * 0.45359237)).toBe(false)
  })
})

describe('the sum behind a cell', () => {
  it('lists each mass once with its share and its margin, and adds up to what is counted', () => {
    const plan = planOf(
      vehicleWith(roofOf({ road: 90 })),
      [
        barsRack({
          bars: own('bars', ANY),
          feet: own('feet', { road: 40 }, { per: 'each', counts: 'load' }),
          eachKg: 2,
        }),
      ],
      [[thing('box', 20), { yMm: 200, loads: [weight('tools', 10, {}, 'guess')] }]],
    )
    const surveyed = survey(plan)
    for (const cell of surveyed.loadPath.cells.filter((each) => each.state === 'road')) {
      const parts = cellParts(cell)
      expect(parts.reduce((sum, part) => sum + part.countedKg, 0)).toBeCloseTo(cell.countedKg, 9)
      expect(parts.reduce((sum, part) => sum + part.kg, 0)).toBeCloseTo(cell.kg, 9)
      expect(new Set(parts.map((part) => part.mass)).size).toBe(parts.length)
    }
    const feet = cellParts(surveyed.loadPath.cellAt('part:rack-feet', 'road')!)
    // 200 mm right of the middle on feet at ±500: 0.7 of its half on the right foot.
    expect(feet.map((part) => [part.mass.label, Math.round(part.fraction * 1000) / 1000])).toEqual([
      ['box', 0.35],
      ['tools', 0.35],
    ])
    const roofParts = cellParts(surveyed.loadPath.cellAt('roof', 'road')!).map((part) => part.mass.label)
    expect(roofParts).toEqual(['box', 'tools', 'Bars, Bar 1', 'Bars, Bar 2', 'Feet'])
  })
})
