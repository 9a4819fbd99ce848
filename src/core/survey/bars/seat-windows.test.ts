import { describe, expect, it } from 'vitest'
import { RAILS } from '../../plan/plans.testing'
import { seatsOf } from './seat-windows'

describe('notches', () => {
  const at = (xs: readonly number[]) => xs.map((x) => [x, x])

  it('of one bar alone hold that bar, and the other stands in those for any bar', () => {
    const rail = { ...RAILS, notchesXMm: [300, 900], rearNotchesXMm: [1000, 1100] }
    expect(seatsOf(rail, () => 'front').within).toEqual(at([300, 900]))
    expect(seatsOf(rail, () => 'rear')).toEqual({ locked: true, within: at([1000, 1100]) })
    expect(seatsOf(rail, () => undefined).within).toEqual(at([300, 900]))
  })

  it('of one bar alone leave the other free along the rail', () => {
    const rail = { ...RAILS, rearNotchesXMm: [1000] }
    expect(seatsOf(rail, () => 'rear').locked).toBe(true)
    expect(seatsOf(rail, () => 'front').locked).toBe(false)
  })
})
