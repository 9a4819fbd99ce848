import { describe, expect, it } from 'vitest'
import { gearMassSchema, openOthers, weighedAnew, whichHolds, type GearMass } from './gear-mass'

const SHEET: GearMass = {
  kg: 18,
  basis: 'maker',
  typed: { kg: '39.7 lb' },
  others: [
    { kg: 12, basis: 'told', unused: 'another box' },
    { kg: 21, basis: 'weighed', by: 'yard scale', typed: { kg: '46.3 lb' } },
  ],
}

describe('the weights of one thing', () => {
  it('are open while nobody said that they do not hold, and differ', () => {
    expect(openOthers(SHEET).map(({ kg }) => kg)).toEqual([21])
    expect(openOthers({ ...SHEET, kg: 21 })).toEqual([])
  })

  it('change places when another holds, each with what was typed for it', () => {
    const other = whichHolds(SHEET, 1)
    expect(other).toEqual({
      kg: 21,
      basis: 'weighed',
      by: 'yard scale',
      typed: { kg: '46.3 lb' },
      others: [
        { kg: 12, basis: 'told', unused: 'another box' },
        { kg: 18, basis: 'maker', typed: { kg: '39.7 lb' }, unused: 'looked at again: weighed holds' },
      ],
    })
    const first = whichHolds(SHEET, 0)
    expect(first).toMatchObject({ kg: 18, basis: 'maker', typed: { kg: '39.7 lb' } })
    expect(first.others?.[1]).toMatchObject({
      kg: 21,
      typed: { kg: '46.3 lb' },
      unused: "looked at again: maker's figure holds",
    })
    expect(openOthers(first)).toEqual([])
  })

  it('stay beside what a scale reads; a guess and a starting value go', () => {
    const anew = weighedAnew(SHEET, 19.5, '43 lb')
    expect(anew).toMatchObject({ kg: 19.5, basis: 'weighed', typed: { kg: '43 lb' } })
    expect(anew.others?.map(({ kg, unused }) => [kg, unused])).toEqual([
      [12, 'another box'],
      [18, 'weighed since'],
      [21, 'weighed since'],
    ])
    for (const basis of ['guess', 'start', 'target'] as const)
      expect(weighedAnew({ kg: 20, basis }, 19)).toEqual({ kg: 19, basis: 'weighed' })
    expect(weighedAnew({ kg: 20, basis: 'weighed' }, 20)).toEqual({ kg: 20, basis: 'weighed' })
  })

  it('never grow past what a plan takes', () => {
    let mass: GearMass = { kg: 1, basis: 'told' }
    for (let kg = 2; kg < 60; kg += 1) mass = weighedAnew(mass, kg)
    expect(gearMassSchema.safeParse(mass).success).toBe(true)
    expect(mass.others?.at(-1)).toMatchObject({ kg: 58 })
  })
})
