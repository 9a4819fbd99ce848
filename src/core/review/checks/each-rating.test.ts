import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { eachRating } from './each-rating'
import { run, sentences, severities } from './findings.testing'

const ANY = { road: 500, trail: 500, parked: 500 }
const plan = (xMm: number, yMm: number) =>
  planOf(
    vehicleWith(roofOf(ANY)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', { road: 15 }, { per: 'each', counts: 'load' }) })],
    [[thing('load', 48), { xMm, yMm }]],
  )

describe('figures for each', () => {
  it('compares the worst foot, not the sum: 48 kg in the middle is 12 kg a foot', () => {
    expect(severities(eachRating, plan(950, 0))).toMatchObject({ road: 'clear' })
    expect(run(eachRating, plan(950, 0))[0]?.measured?.value).toBeCloseTo(12, 9)
  })

  it('stops when one foot bears too much, and names it', () => {
    // Bars at 500 and 1400, 48 kg at 850: 29.333 kg on the front bar (lever rule), half of it on each of its feet.
    const off = plan(850, 250)
    expect(run(eachRating, off)[0]?.measured?.value).toBeCloseTo(29.333 * 0.75, 2)
    expect(sentences(eachRating, off)[0]).toContain('RHF bears most')
    expect(severities(eachRating, off)).toMatchObject({ road: 'stop' })
  })
})
