import { describe, expect, it } from 'vitest'
import { startingAttachment } from '../survey/frame/body/starting-attachment'
import { startingVehicle } from '../survey/frame/body/starting-vehicle'
import { startsOnRoof, startsWithinRoof } from './starts-on-roof'

const estate = startingVehicle('estate', 'v')
const short = { ...estate.roof, toXMm: 1350 }

describe('what a vehicle starts with to hold a rack', () => {
  it('ends before a roof that is shorter than its body’s usual one', () => {
    const rail = startingAttachment('raisedRail', 'estate', 'r')
    expect(startsWithinRoof(rail, short)).toMatchObject({ ranges: [{ fromMm: 240, toMm: 1270 }] })
    const points = startsWithinRoof(startingAttachment('fixedPoint', 'estate', 'p'), {
      fromXMm: 0,
      toXMm: 900,
    })
    expect('points' in points && points.points.map(({ xMm }) => xMm)).toEqual([340, 820])
    const doors = startsWithinRoof(startingAttachment('bareRoof', 'estate', 'd'), { fromXMm: 0, toXMm: 900 })
    expect('doorPositions' in doors && doors.doorPositions.map(({ xMm }) => xMm)).toEqual([340, 820])
    expect(startsOnRoof({ ...estate, roof: short, attachments: [rail] }).attachments).toEqual([
      startsWithinRoof(rail, short),
    ])
  })

  it('stays where somebody has measured it, where it fits, and where it is not on the roof', () => {
    const rail = startingAttachment('raisedRail', 'estate', 'r')
    const { known: _, ...measured } = rail
    expect(startsWithinRoof(measured, short)).toBe(measured)
    expect(startsWithinRoof(rail, estate.roof)).toBe(rail)
    const bed = startingAttachment('bedRail', 'pickup', 'b')
    expect(startsWithinRoof(bed, short)).toBe(bed)
    const whole = { ...estate, attachments: [rail, bed] }
    expect(startsOnRoof(whole)).toBe(whole)
  })
})
