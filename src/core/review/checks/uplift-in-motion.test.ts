import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import { run, sentences } from './findings.testing'
import { upliftInMotion } from './uplift-in-motion'
import { uplift } from './uplift'

const ANY = { road: 900, trail: 900, parked: 900 }

/** Feet that hold so many kg against being pulled up. */
function holding(plan: Plan, eachKg: number): Plan {
  return {
    ...plan,
    racks: plan.racks.map((rack) => ({
      ...rack,
      parts: rack.parts.map((part) =>
        part.role === 'feet' ? { ...part, tension: { eachKg, source: { kind: 'sheet' as const } } } : part,
      ),
    })),
  }
}

const tall = (zMm: number, yMm = 0) =>
  planOf(
    vehicleWith(roofOf(ANY)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('load', 60, { heightMm: 900, centreOfGravity: { xMm: 0, yMm: 0, zMm } }), { yMm }]],
  )

describe('a foot in motion', () => {
  it('keeps its load under a low one, and says what is least', () => {
    const found = run(upliftInMotion, tall(150))
    expect(found.map(({ severity }) => severity)).toEqual(['clear', 'clear'])
    expect(sentences(upliftInMotion, tall(150))[0]).toContain('keeps at least')
  })

  it('lifts under a tall one as it brakes, which is minded', () => {
    // Spread 900: braking lifts once 0.8·h > 450, that is from 563 mm over the feet.
    const [road] = run(upliftInMotion, tall(600))
    expect(road).toMatchObject({ severity: 'mind', state: 'road' })
    expect(sentences(upliftInMotion, tall(600))[0]).toContain('braking lifts the')
  })

  it('stops when the foot says what it holds and that is less', () => {
    const up = -run(upliftInMotion, tall(600))[0]!.measured!.value
    expect(run(upliftInMotion, holding(tall(600), up + 1))[0]?.severity).toBe('mind')
    expect(run(upliftInMotion, holding(tall(600), up - 0.5))[0]?.severity).toBe('stop')
  })

  it('at rest the same figure stops a foot that lifts by more than it holds', () => {
    const hung = tall(150, 620)
    const up = -run(uplift, hung)[0]!.measured!.value
    expect(run(uplift, holding(hung, up + 0.1))[0]?.severity).toBe('mind')
    expect(run(uplift, holding(hung, up - 0.1))[0]?.severity).toBe('stop')
  })
})
