import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { apply } from '../plan/commands/apply'
import type { Plan } from '../plan/schema/plan'
import type { Rating } from '../plan/schema/rating'
import { answered } from '../remedies/answered'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import type { Finding } from './finding'
import { review } from './review'

/** The demo's boat and box with a second figure for its roof on the road. */
function withSecond(second: Partial<Rating> & { readonly kg: number }): Plan {
  const { roof } = boatAndBox.vehicle
  const road = roof.ratings.find(({ state }) => state === 'road')!
  const other: Rating = { ...road, id: 'second', source: { kind: 'label' }, ...second }
  return {
    ...boatAndBox,
    vehicle: { ...boatAndBox.vehicle, roof: { ...roof, ratings: [...roof.ratings, other] } },
  }
}

const asked = (plan: Plan): readonly Finding[] =>
  review(survey(plan)).findings.filter(
    ({ rule, severity }) => rule === 'figures-disagree' && severity !== 'nothing',
  )
const roofLeft = (plan: Plan) =>
  survey(plan).loadPath.cells.find(({ layer, state }) => layer.role === 'roof' && state === 'road')!

describe('two figures for the same that disagree', () => {
  const road = boatAndBox.vehicle.roof.ratings.find(({ state }) => state === 'road')!

  it('are both named with where they were read; the lesser counts; over it the question stands beside the Stop', () => {
    const plan = withSecond({ kg: road.kg - 30 })
    const [finding] = asked(plan)
    expect(finding?.severity).toBe('findOut')
    expect(phraseText(finding?.sentence ?? [])).toMatch(/Roof: 45 kg \(label\) and 75 kg \(manual/)
    const { limit } = roofLeft(plan)
    expect(limit.kind !== 'missing' && limit.kg).toBe(45)
  })

  it('within both are minded; for another state, kind or speed, or the same figure twice, they are no disagreement', () => {
    expect(asked(withSecond({ kg: road.kg + 40 })).map(({ severity }) => severity)).toEqual(['findOut'])
    const light = { ...withSecond({ kg: 5000 }), placements: [] }
    expect(asked({ ...light, placements: [] }).map(({ severity }) => severity)).toEqual(['mind'])
    for (const other of [
      { gearKind: 'tent' as const },
      { upToKmH: 80 },
      { kg: road.kg },
      { per: 'each' as const },
    ])
      expect(asked(withSecond({ kg: 60, ...other }))).toEqual([])
  })

  it('are settled by who looked again: the other is kept with its reason, and counts no more', () => {
    const plan = withSecond({ kg: road.kg - 30 })
    const { ask } = asked(plan)[0]!
    const command = answered(plan, ask!, { kind: 'choice', value: road.id })!
    const applied = apply(plan, command)
    if (!applied.ok) throw new Error(applied.reason)
    expect(asked(applied.plan)).toEqual([])
    const { limit } = roofLeft(applied.plan)
    expect(limit.kind !== 'missing' && limit.kg).toBe(road.kg)
    const second = applied.plan.vehicle.roof.ratings.find(({ id }) => id === 'second')
    expect(second?.unused).toMatch(/^looked at again: that of the manual/)
  })
})

describe('two weights of one thing that disagree', () => {
  /** The long box as its maker has it, and as a scale had it. */
  const weighedToo = (kg: number, unused?: string): Plan => ({
    ...boatAndBox,
    placements: boatAndBox.placements.slice(0, 1).map((each) => ({ ...each, loads: [] })),
    gear: boatAndBox.gear.map((each, i) =>
      i === 0
        ? {
            ...each,
            mass: {
              ...each.mass,
              others: [{ kg, basis: 'weighed' as const, by: 'yard scale', ...(unused ? { unused } : {}) }],
            },
          }
        : each,
    ),
  })

  it('are asked about only where a verdict would be another with the other one', () => {
    // By how much they differ is said all the same.
    const [finding, ...others] = asked(weighedToo(boatAndBox.gear[0]!.mass.kg + 1))
    expect([finding?.severity, others.length]).toEqual(['clear', 0])
    expect(phraseText(finding?.sentence ?? [])).toContain('differ by 1 kg; no verdict depends on the choice')
    const findings = asked(weighedToo(90))
    expect(findings.length).toBeGreaterThan(0)
    for (const { severity, sentence } of findings) {
      expect(severity).toBe('findOut')
      expect(phraseText(sentence)).toMatch(
        /18 kg \(maker's figure\) and 90 kg \(weighed, yard scale\) differ by 72 kg/,
      )
    }
    expect(asked(weighedToo(90, 'another box'))).toEqual([])
  })

  it('are one fact wherever the thing stands: two of it turn a verdict together that neither turns alone', () => {
    const one = weighedToo(18)
    const two = {
      ...one,
      placements: [...one.placements, { ...one.placements[0]!, id: 'second', yMm: -one.placements[0]!.yMm }],
    }
    const { kg, limit } = roofLeft(two)
    const room = limit.kind === 'missing' ? 0 : limit.kg - kg
    expect(room).toBeGreaterThan(2)
    const off = (each: number): Plan => ({ ...two, gear: weighedToo(18 + each).gear })
    const ofRoof = (plan: Plan) =>
      asked(plan).filter(({ subject, state }) => subject.layerId === 'roof' && state === 'road')
    expect(ofRoof(off(room * 0.4))).toEqual([])
    expect(ofRoof(off(room * 0.6))).toHaveLength(1)
  })

  it('are settled by an answer: the one that holds counts, the other is kept with the reason', () => {
    const plan = weighedToo(90)
    const { ask } = asked(plan)[0]!
    const answer = (value: string) => {
      const applied = apply(plan, answered(plan, ask!, { kind: 'choice', value })!)
      if (!applied.ok) throw new Error(applied.reason)
      return applied.plan
    }
    const first = answer('0')
    expect(first.gear[0]!.mass).toMatchObject({ kg: 18, basis: 'maker' })
    expect(first.gear[0]!.mass.others).toEqual([
      { kg: 90, basis: 'weighed', by: 'yard scale', unused: "looked at again: maker's figure holds" },
    ])
    const other = answer('1')
    expect(other.gear[0]!.mass).toMatchObject({ kg: 90, basis: 'weighed', by: 'yard scale' })
    expect(other.gear[0]!.mass.others).toEqual([
      { kg: 18, basis: 'maker', unused: 'looked at again: weighed holds' },
    ])
    expect(asked(first)).toEqual([])
    expect(asked(other)).toEqual([])
    expect(review(survey(other)).findings.some(({ severity }) => severity === 'stop')).toBe(true)
  })
})
