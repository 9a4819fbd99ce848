import { describe, expect, it } from 'vitest'
import type { Basis } from '../kinds/basis'
import { apply } from '../plan/commands/apply'
import { DEMO_PLANS } from '@/demo/plans'
import type { Plan } from '../plan/schema/plan'
import { survey } from '../survey/survey'
import { chanceProblem } from './problem'
import { weighed } from './weighing'

/** Every demo plan with everything in it guessed. */
const guessed = (plan: Plan): Plan => ({
  ...plan,
  racks: plan.racks.map((rack) => ({
    ...rack,
    parts: rack.parts.map((part) => ({
      ...part,
      known: { ...part.known, eachKg: { by: 'guess' as const } },
    })),
  })),
  gear: plan.gear.map((gear) => ({ ...gear, mass: { ...gear.mass, basis: 'guess' as const } })),
  placements: plan.placements.map((placement) => ({
    ...placement,
    loads: placement.loads.map((load) => {
      const { what } = load
      switch (what.kind) {
        case 'mass':
          return { ...load, what: { ...what, mass: { ...what.mass, basis: 'guess' as const } } }
        case 'people':
          return { ...load, what: { ...what, each: { ...what.each, basis: 'guess' as const } } }
        case 'fluid':
          return load
      }
    }),
  })),
})

describe('weighing an unknown', () => {
  it('puts what was weighed in its place, and it is unknown no more', () => {
    for (const plan of DEMO_PLANS.map(guessed)) {
      const { unknowns } = chanceProblem(survey(plan))
      expect(new Set(unknowns.map(({ whose }) => whose.of))).toContain('part')
      for (const { id, whose, kg } of unknowns) {
        const command = weighed(plan, whose, kg + 1, `${kg + 1} kg`)
        const applied = command && apply(plan, command)
        if (!applied?.ok) throw new Error(`${id} could not be weighed`)
        const after = survey(applied.plan)
        expect(chanceProblem(after).unknowns.some((each) => each.id === id)).toBe(false)
        expect(
          after.masses.some((mass) => mass.basis === 'weighed' && Math.abs(mass.kg - kg - 1) < 1e-9),
        ).toBe(true)
      }
    }
  })

  it('is nothing to do where it is gone', () => {
    expect(weighed(DEMO_PLANS[0]!, { of: 'gear', gearId: 'none' }, 1, '1 kg')).toBeUndefined()
    expect(
      weighed(DEMO_PLANS[0]!, { of: 'load', placementId: 'none', loadId: 'x' }, 1, '1 kg'),
    ).toBeUndefined()
    expect(weighed(DEMO_PLANS[0]!, { of: 'occupant', occupantId: 'none' }, 1, '1 kg')).toBeUndefined()
  })
})

describe('the parts of a rack', () => {
  it('are among what may turn a limit, each of its pieces by its own part', () => {
    const [plan] = DEMO_PLANS.map(guessed)
    const [rack] = plan!.racks
    const part = rack!.parts.find(({ role, count }) => role === 'feet' && count > 1)!
    const whose = { of: 'part', partId: part.id, pieces: part.count } as const
    const { unknowns, limits } = chanceProblem(survey(plan!))
    const index = unknowns.findIndex((each) => each.id === `part:${part.id}`)
    expect(unknowns[index]).toMatchObject({ kg: part.count * part.eachKg, whose })
    expect(limits.some(({ rows }) => rows.some(({ takes }) => (takes[index] ?? 0) > 0))).toBe(true)
    const command = weighed(plan!, whose, part.count * 0.5, '2 kg')!
    const done = apply(plan!, command)
    if (!done.ok) throw new Error(done.reason)
    const after = done.plan.racks[0]!.parts.find(({ id }) => id === part.id)!
    expect(after).toMatchObject({ eachKg: 0.5, known: { eachKg: { by: 'weighed' } } })
    expect(after.typed?.['eachKg']).toBeUndefined()
    expect(weighed(plan!, { of: 'part', partId: 'none', pieces: 1 }, 1, '1 kg')).toBeUndefined()
    expect(weighed(plan!, { of: 'bar', barId: 'none' }, 1, '1 kg')).toBeUndefined()
  })
})

describe('how far off a weight may be', () => {
  it('follows how it is known: a tenth where it was told, a quarter of a starting value, nothing of what was weighed', () => {
    const [plan] = DEMO_PLANS
    const [first] = plan!.gear
    const withinOf = (basis: Basis) => {
      const gear = plan!.gear.map((each) => (each === first ? { ...each, mass: { kg: 20, basis } } : each))
      const { unknowns } = chanceProblem(survey({ ...plan!, gear }))
      return unknowns.find(({ id }) => id === `gear:${first!.id}`)?.withinKg
    }
    expect(withinOf('told')).toBeCloseTo(2, 9)
    expect(withinOf('start')).toBeCloseTo(5, 9)
    expect(withinOf('weighed')).toBeUndefined()
    expect(withinOf('maker')).toBeUndefined()
  })
})
