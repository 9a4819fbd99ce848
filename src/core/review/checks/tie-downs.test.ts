import { FIXES } from '../../remedies/fixes'
import { describe, expect, it } from 'vitest'
import { apply } from '../../plan/commands/apply'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Straps } from '../../plan/schema/placement'
import { survey } from '../../survey/survey'
import { run, sentences } from './findings.testing'
import { tieDownsCheck } from './tie-downs'

const ANY = { road: 900, trail: 900, parked: 900 }
const plan = (straps: Straps) =>
  planOf(
    vehicleWith(roofOf(ANY)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('boat', 60, { lengthMm: 4000 }), { straps }]],
  )

describe('straps', () => {
  it('are wanted by length, 4 m take three, each as strong as half the mass needs', () => {
    const [found] = run(tieDownsCheck, plan({ count: 1, eachKg: 100 }))
    expect(found?.severity).toBe('mind')
    expect(sentences(tieDownsCheck, plan({ count: 1 }))[0]).toBe(
      'boat wants 3 straps over it for its length, each with a working load limit of 10 kg or more, 30 kg together; 1 on the plan, no label read.',
    )
  })

  it('too few hide neither an unread label nor one that is too weak', () => {
    expect(run(tieDownsCheck, plan({ count: 0 }))[0]?.severity).toBe('mind')
    expect(run(tieDownsCheck, plan({ count: 1 }))[0]?.severity).toBe('findOut')
    expect(run(tieDownsCheck, plan({ count: 1, eachKg: 29 }))[0]?.severity).toBe('stop')
    expect(run(tieDownsCheck, plan({ count: 1, eachKg: 31 }))[0]?.severity).toBe('mind')
  })

  it('without a figure on their label are found out about', () => {
    expect(run(tieDownsCheck, plan({ count: 3 }))[0]?.severity).toBe('findOut')
  })

  it('too weak by their labels stop; strong enough are clear', () => {
    expect(run(tieDownsCheck, plan({ count: 3, eachKg: 9.9 }))[0]?.severity).toBe('stop')
    expect(run(tieDownsCheck, plan({ count: 3, eachKg: 10 }))[0]?.severity).toBe('clear')
  })

  it('more are wanted where friction asks for them: a weak pull takes four', () => {
    const now = plan({ count: 3, eachKg: 100 })
    const weak = { ...now, rules: { ...now.rules, straps: { pullN: 200, friction: 0.3, angleDeg: 80 } } }
    // (0.8 − 0.3)·60·g / (2·0.3·sin 80°·200) · 1.25 = 3.11
    expect(sentences(tieDownsCheck, weak)[0]).toContain(
      'wants 4 straps over it for its weight and the friction',
    )
  })

  it('are planned by one remedy, whatever was missing', () => {
    for (const straps of [{ count: 0 }, { count: 3 }, { count: 3, eachKg: 5 }]) {
      const now = plan(straps)
      const [finding] = run(tieDownsCheck, now)
      const [remedy] = FIXES['tie-downs']!(survey(now), finding!, { parts: [] })
      const applied = apply(now, remedy!.command)
      expect(applied.ok && run(tieDownsCheck, applied.plan)[0]?.severity).toBe('clear')
    }
  })
})
