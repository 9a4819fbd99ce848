import { describe, expect, it } from 'vitest'
import { DEMO_PLANS, boatAndBox } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { apply } from '../plan/commands/apply'
import { barsRack, carrier, own, planOf, roofOf, thing, vehicleWith, weight } from '../plan/plans.testing'
import type { Plan } from '../plan/schema/plan'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import { review } from '../review/review'
import { remediesFor, type Remedy } from './remedies'

const ANY = { road: 900, trail: 900, parked: 900 }
const offers = (plan: Plan, rule = 'layer-limit') => {
  const surveyed = survey(plan)
  const found = review(surveyed)
  const finding = found.findings.find((each) => each.rule === rule && each.severity === 'stop')!
  return remediesFor(surveyed, found, finding, DEMO_STOCK)
}

/** What leaves nothing to mind comes first, and each kind stands in order of size. */
function inOrder(remedies: readonly Remedy[]) {
  const clean = remedies.filter(({ minds }) => minds === undefined)
  const minding = remedies.filter(({ minds }) => minds !== undefined)
  expect([...clean, ...minding]).toEqual(remedies)
  for (const list of [clean, minding])
    expect(list.map(({ rank }) => rank)).toEqual(list.map(({ rank }) => rank).toSorted((a, b) => a - b))
}

describe('remedies', () => {
  it('offers for every Stop of the demo only edits that clear it, smallest first', () => {
    let stops = 0
    for (const plan of DEMO_PLANS) {
      const surveyed = survey(plan)
      const found = review(surveyed)
      for (const finding of found.findings.filter((each) => each.severity === 'stop')) {
        stops += 1
        const remedies = remediesFor(surveyed, found, finding, DEMO_STOCK)
        expect(remedies.length, `${plan.id} ${finding.id}`).toBeGreaterThan(0)
        inOrder(remedies)
        expect(structuredClone(remedies)).toEqual(remedies)
        for (const remedy of remedies) {
          const applied = apply(plan, remedy.command)
          if (!applied.ok) throw new Error(applied.reason)
          const after = review(survey(applied.plan))
          const same = after.findings.find((each) => each.id === finding.id)
          expect(same === undefined || same.severity === 'clear' || same.severity === 'mind').toBe(true)
          expect(after.findings.filter((each) => each.severity === 'stop').length).toBeLessThan(
            found.findings.filter((each) => each.severity === 'stop').length,
          )
        }
      }
    }
    expect(stops).toBeGreaterThan(4)
  })

  it('lowers a named load to just what fits, to a tenth of a kilogram', () => {
    const [first] = offers(boatAndBox)
    expect(phraseText(first!.message)).toBe('Box contents to 19 kg')
    const applied = apply(boatAndBox, first!.command)
    if (!applied.ok) throw new Error(applied.reason)
    const left = survey(applied.plan).loadPath.cellAt('roof', 'road')!.leftKg!
    // The boat beside it was weighed: a hundredth of its 28 kg is left for what the scale may be off.
    expect(left).toBeGreaterThanOrEqual(0.28 - 1e-9)
    expect(left).toBeLessThan(0.28 + 0.1 + 1e-9)
    // What a fix says is a target, and is shown as one until somebody weighs it (L24, truth 11).
    const load = applied.plan.placements.find(({ id }) => id === 'long-box')!.loads[0]!
    expect(load.what).toMatchObject({ kind: 'mass', mass: { basis: 'target' } })
  })

  it('lowers a load to what every figure of the link takes, not the one alone that is least kept', () => {
    const perEach = own('each', { road: 40, trail: 40, parked: 40 }, { per: 'each', counts: 'load' })
    const set = own('set', { road: 105, trail: 105, parked: 105 }, { counts: 'load' })
    if (perEach.by !== 'own' || set.by !== 'own') throw new Error('figures of their own')
    const feet = { by: 'own' as const, ratings: [...set.ratings, ...perEach.ratings] }
    const plan = planOf(
      vehicleWith(roofOf(ANY)),
      [barsRack({ bars: own('b', ANY), feet })],
      [
        [thing('case', 25, { contactsMm: { along: [], across: [0] } }), { xMm: 500, yMm: -500 }],
        [carrier('box', 0, ANY), { xMm: 950, yMm: 0, loads: [weight('luggage', 100)] }],
      ],
    )
    // The set is 20 over; a foot, with 25 of its own and a quarter of the luggage, takes 60.
    expect(offers(plan).map(({ message }) => phraseText(message))).toContain('luggage to 60 kg')
  })

  it('makes a target of a guess: loaded to that it is no guess any more', () => {
    const plan = planOf(
      vehicleWith(roofOf({ road: 50 })),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY) })],
      [[carrier('box', 10, ANY), { loads: [weight('luggage', 60, {}, 'guess')] }]],
    )
    // 2/3 of 50, less the box: that clears the trail, whose figure is assumed, too.
    expect(phraseText(offers(plan)[0]!.message)).toBe('luggage to 23.3 kg')
  })

  it('lowers a can by the litre and people by the head', () => {
    const petrol = {
      id: 'petrol',
      name: 'Petrol',
      when: 'always' as const,
      what: { kind: 'fluid' as const, fluid: 'petrol' as const, litres: 40 },
    }
    const can = planOf(
      vehicleWith(roofOf({ road: 20 })),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY) })],
      [[thing('can', 5), { loads: [petrol] }]],
    )
    // (20 × 2/3 − 5) / 0.74 = 11.26 l, so that the trail is clear too.
    expect(phraseText(offers(can)[0]!.message)).toBe('Petrol to 11.2 l')
    const people = {
      id: 'p',
      name: 'Sleepers',
      when: 'parked' as const,
      what: { kind: 'people' as const, count: 3, each: { kg: 80, basis: 'weighed' as const } },
    }
    const tent = planOf(
      vehicleWith(roofOf({ road: 100, parked: 220 })),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY) })],
      [[carrier('tent', 50, ANY, { kind: 'tent' }), { loads: [people] }]],
    )
    expect(phraseText(offers(tent)[0]!.message)).toBe('Sleepers: 2 instead of 3')
  })

  it('proposes several things together when no single one is enough', () => {
    const plan = planOf(
      vehicleWith(roofOf({ road: 15 })),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY) })],
      [[thing('a', 20)], [thing('b', 20)], [thing('c', 10)]],
    )
    const say = offers(plan).map((each) => phraseText(each.message))
    expect(say).toEqual(['Take off a and b'])
  })

  it('offers a stronger part from stock only where the part is what is exceeded: after less of the load, before taking off', () => {
    const weak = planOf(
      vehicleWith(roofOf(ANY)),
      [barsRack({ bars: own('b', ANY), feet: own('f', { road: 30, trail: 30, parked: 30 }) })],
      [[carrier('box', 10, ANY), { loads: [weight('tools', 30)] }]],
    )
    const remedies = offers(weak)
    expect(remedies.map(({ kind }) => kind)).toEqual(['less', 'swap', 'off', 'off'])
    expect(phraseText(remedies[1]!.message)).toBe('Change to Rail feet, cast')
    const roof = planOf(
      vehicleWith(roofOf({ road: 30 })),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY) })],
      [[thing('load', 40)]],
    )
    expect(offers(roof).some((each) => each.kind === 'swap')).toBe(false)
  })

  it('never trades one Stop for another: heavier bars that would overload the roof are not offered', () => {
    const plan = (roofKg: number) =>
      planOf(
        vehicleWith(roofOf({ road: roofKg, trail: roofKg, parked: 200 })),
        [barsRack({ bars: own('b', { road: 45, trail: 900, parked: 900 }), feet: own('f', ANY) })],
        [[thing('load', 50)]],
      )
    expect(offers(plan(80)).map((each) => each.kind)).toEqual(['swap', 'off'])
    expect(offers(plan(55)).map((each) => each.kind)).toEqual(['off'])
  })
})
