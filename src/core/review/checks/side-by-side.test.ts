import { describe, expect, it } from 'vitest'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import { barsOf, type Rack } from '../../plan/schema/rack'
import { run, sentences } from './findings.testing'
import { sideBySideCheck } from './side-by-side'

const IN = 25.4

/** A boat and a bag on two bars of which the rear one is shorter. */
function plan(boatMm: number): Plan {
  const rack = barsRack({})
  const usable = [43.625 * IN, 39.125 * IN]
  const unlike = {
    ...rack,
    bars: barsOf(rack).map((bar, i) => ({ ...bar, lengthMm: 1300, usableMm: usable[i]! })),
  } as Rack
  return planOf(
    vehicleWith([]),
    [unlike],
    [
      [thing('Boat', 26.5, { widthMm: boatMm }), { yMm: -250 }],
      [thing('Bag', 14.3, { widthMm: 14.5 * IN }), { yMm: 260 }],
    ],
  )
}

describe('side by side', () => {
  it('is told for each bar: what is left in all, or how much of the house’s gap they keep', () => {
    const flat = plan(24 * IN)
    expect(run(sideBySideCheck, flat).map(({ severity }) => severity)).toEqual(['clear', 'mind'])
    expect(sentences(sideBySideCheck, flat)).toEqual([
      'Bar 1: Boat and Bag side by side take 997.9 mm with 20 mm between; it offers 1\u202f108.1 mm; 110.1 mm to spare.',
      'Bar 2: Boat and Bag side by side take 997.9 mm with 20 mm between; it offers 993.8 mm; 4.2 mm too much. Side by side they have 15.8 mm between them.',
    ])
    expect(sentences(sideBySideCheck, plan(17 * IN))[1]).toMatch(/take 820.1 mm .* 173.6 mm to spare/)
  })

  it('says where they do not go at all, and nothing of a thing by itself', () => {
    expect(sentences(sideBySideCheck, plan(30 * IN))[1]).toMatch(/They do not fit side by side there\.$/)
    const alone = plan(24 * IN)
    expect(run(sideBySideCheck, { ...alone, placements: alone.placements.slice(0, 1) })).toEqual([])
  })

  it('lets a body pass the end of a bar as long as what holds it does not', () => {
    const base = plan(30 * IN)
    const inside = base.gear.map((gear) =>
      gear.id === 'Boat' ? { ...gear, contactsMm: { along: [], across: [-200, 200] } } : gear,
    )
    expect(run(sideBySideCheck, { ...base, gear: inside }).map(({ severity }) => severity)).toEqual([
      'clear',
      'clear',
    ])
  })

  it('counts nothing that lies with its whole width under another', () => {
    const base = plan(24 * IN)
    const wide = thing('Tent', 60, { widthMm: 1000, standMm: 400 })
    const gear = base.gear.map((each) => (each.id === 'Boat' ? { ...wide, id: 'Boat' } : each))
    const placements = base.placements.map((each) => ({ ...each, yMm: 0 }))
    expect(run(sideBySideCheck, { ...base, gear, placements })).toEqual([])
    const flat = gear.map((each) => (each.id === 'Boat' ? { ...each, standMm: 0 } : each))
    expect(run(sideBySideCheck, { ...base, gear: flat, placements }).length).toBeGreaterThan(0)
  })
})
