import { describe, expect, it } from 'vitest'
import { apply } from '../plan/commands/apply'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../plan/plans.testing'
import type { Plan } from '../plan/schema/plan'
import { survey } from '../survey/survey'
import { drawChances, mostAtRisk, worthWeighing, type Chances } from './draws'
import { chanceProblem } from './problem'

const ANY = { road: 900, trail: 900, parked: 900 }
const guessed = (kg: number, spreadPercent: number) => ({
  mass: { kg, basis: 'guess' as const, spreadPercent },
})

/** Two guesses on bars of 100 kg: 50 kg ± 19.6 % and 40 kg ± 49 %, so σ of 5 and 10 kg. */
const plan: Plan = planOf(
  vehicleWith(roofOf(ANY)),
  [barsRack({ bars: own('bars', { road: 100, trail: 100, parked: 100 }), feet: own('feet', ANY) })],
  [
    [thing('one', 50, guessed(50, 19.6)), { yMm: -300 }],
    [thing('two', 40, guessed(40, 49)), { yMm: 300 }],
  ],
)

function run(of: Plan, draws = 20_000, seed?: number): Chances {
  const steps = drawChances(chanceProblem(survey(of)), draws, seed)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}

const bars = (chances: Chances) => chances.limits.find(({ limit }) => limit.id === 'part:rack-bars road')!

describe('the chance of exceeding a limit', () => {
  it('equals the exact normal result where there is one: N(90, 125) over 100 is 0.1855 (Φ by table, from memory)', () => {
    const found = bars(run(plan, 100_000))
    // z = 10 / √125 = 0.8944; 1 − Φ(0.8944) = 0.1855.
    expect(Math.abs(found.chance - 0.1855)).toBeLessThan(4 * found.errorOfChance)
    expect(found.errorOfChance).toBeCloseTo(Math.sqrt((0.1855 * 0.8145) / 100_000), 4)
    expect(found.meanKg).toBeCloseTo(10, 0)
    expect(Math.abs(found.meanKg - 10)).toBeLessThan((4 * 11.1803) / Math.sqrt(100_000))
    expect(found.sigmaKg).toBeCloseTo(11.18, 1)
    // 1.6449 standard deviations either way hold nine of ten.
    expect(Math.abs(found.margins.p05 - (10 - 1.6449 * 11.1803))).toBeLessThan(0.25)
    expect(Math.abs(found.margins.p95 - (10 + 1.6449 * 11.1803))).toBeLessThan(0.25)
    expect(Math.abs(found.margins.p50 - 10)).toBeLessThan(0.2)
  })

  it('is the same for the same seed, and near for another', () => {
    expect(run(plan, 5000, 7)).toEqual(run(plan, 5000, 7))
    const [a, b] = [bars(run(plan, 20_000, 7)), bars(run(plan, 20_000, 8))]
    expect(a.chance).not.toBe(b.chance)
    expect(Math.abs(a.chance - b.chance)).toBeLessThan(6 * a.errorOfChance)
  })

  it('counts every draw once, in steps from the least to the largest margin', () => {
    for (const { bins, chance } of run(plan, 3000).limits) {
      expect(bins.reduce((sum, { count }) => sum + count, 0)).toBe(3000)
      const surelyOver = bins.filter(({ toKg }) => toKg <= 0).reduce((sum, { count }) => sum + count, 0)
      const perhapsOver = bins.filter(({ fromKg }) => fromKg <= 0).reduce((sum, { count }) => sum + count, 0)
      expect(chance * 3000).toBeGreaterThanOrEqual(surelyOver - 1e-9)
      expect(chance * 3000).toBeLessThanOrEqual(perhapsOver + 1e-9)
    }
  })

  it('two things of one kind are one unknown: both heavier, or both lighter', () => {
    const twice = planOf(
      plan.vehicle,
      [...plan.racks],
      [
        [thing('one', 45, guessed(45, 19.6)), { yMm: -300 }],
        [thing('one', 45, guessed(45, 19.6)), { id: 'again', yMm: 300 }],
      ],
    )
    const doubled = { ...twice, gear: twice.gear.slice(0, 1) }
    const problem = chanceProblem(survey(doubled))
    expect(problem.unknowns).toHaveLength(1)
    // σ of 4.5 kg each, together 9 kg and not 6.4.
    expect(bars(run(doubled)).sigmaKg).toBeCloseTo(9, 0)
  })

  it('for each of several, the worst one counts', () => {
    const each = planOf(
      plan.vehicle,
      [barsRack({ bars: own('bars', ANY), feet: own('feet', { road: 25 }, { per: 'each' }) })],
      [[thing('one', 90, guessed(90, 19.6)), { yMm: 100 }]],
    )
    const feet = run(each).limits.find(({ limit }) => limit.id === 'part:rack-feet road')!
    // The right-hand feet bear 30 % each, 27 kg on 25: over in all but the lightest draws.
    expect(feet.limit.rows).toHaveLength(4)
    expect(feet.chance).toBeGreaterThan(0.75)
    expect(feet.margins.p50).toBeCloseTo(-2, 0)
  })
})

describe('what is most worth weighing', () => {
  it('is what makes most of the variance: 10² of 125, four fifths', () => {
    const problem = chanceProblem(survey(plan))
    const worth = worthWeighing(
      problem,
      problem.limits.find(({ id }) => id === 'part:rack-bars road')!,
    )
    expect(worth.map(({ unknown, share }) => [unknown.label, Number(share.toFixed(6))])).toEqual([
      ['two', 0.8],
      ['one', 0.2],
    ])
  })

  it('and weighing it narrows the margin', () => {
    const weighed = apply(plan, { do: 'setGearMass', gearId: 'two', mass: { kg: 44, basis: 'weighed' } })
    if (!weighed.ok) throw new Error(weighed.reason)
    const [before, after] = [bars(run(plan)), bars(run(weighed.plan))]
    expect(after.sigmaKg).toBeCloseTo(5, 1)
    expect(after.sigmaKg).toBeLessThan(before.sigmaKg / 2)
  })

  it('a plan with nothing guessed has no unknowns, and each chance is none or one', () => {
    const known = planOf(plan.vehicle, [...plan.racks], [[thing('one', 101)]])
    const chances = run(known, 100)
    expect(chanceProblem(survey(known)).unknowns).toEqual([])
    expect(bars(chances).chance).toBe(1)
    expect(mostAtRisk(chances)!.limit.id).toMatch(/^part:rack-bars/)
    expect(bars(chances).bins).toHaveLength(1)
  })
})
