import { describe, expect, it } from 'vitest'
import {
  bedTentJob,
  boatAndBox,
  DEMO_PLANS,
  firstBike,
  hatchJob,
  ladderJob,
  podJob,
  pointsJob,
  ridgeRoad,
  ridgeTent,
  threeSpreads,
  twinSpan,
  yardVan,
} from '@/demo/plans'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../plan/plans.testing'
import { survey } from '../survey/survey'
import { CHECKS } from './checks'
import { OUTCOMES } from './finding'
import { phraseText } from '../units/phrase'
import { layerSeverity, review, findingText } from './review'

const ANY = { road: 500, trail: 500, parked: 500 }
const states = (plan: (typeof DEMO_PLANS)[number]) => review(survey(plan)).states

describe('a review', () => {
  it('hears from every check about every plan: clear means checked, never skipped', () => {
    for (const plan of DEMO_PLANS) {
      const rules = new Set(review(survey(plan)).findings.map((finding) => finding.rule))
      expect([...CHECKS.map((check) => check.id)].filter((id) => !rules.has(id))).toEqual([])
    }
  })

  it('is the same for the same plan, worst first, each finding with an id of its own', () => {
    for (const plan of DEMO_PLANS) {
      const once = review(survey(plan))
      expect(JSON.stringify(review(survey(structuredClone(plan))))).toBe(JSON.stringify(once))
      const ranks = once.findings.map((finding) => OUTCOMES.indexOf(finding.severity))
      expect(ranks).toEqual(ranks.toSorted((a, b) => a - b))
      expect(new Set(once.findings.map((finding) => finding.id)).size).toBe(once.findings.length)
    }
  })

  it('judges the demo as its jobs are meant to come out', () => {
    expect(states(yardVan)).toEqual({ road: 'clear', trail: 'clear', parked: 'clear' })
    expect(states(twinSpan)).toEqual({ road: 'mind', trail: 'mind', parked: 'mind' })
    expect(states(boatAndBox)).toEqual({ road: 'stop', trail: 'stop', parked: 'clear' })
    expect(states(ridgeTent)).toEqual({ road: 'mind', trail: 'mind', parked: 'stop' })
    expect(states(ridgeRoad)).toEqual({ road: 'mind', trail: 'stop', parked: 'clear' })
    expect(states(firstBike)).toEqual({ road: 'findOut', trail: 'findOut', parked: 'findOut' })
    for (const plan of [hatchJob, pointsJob, threeSpreads, podJob])
      expect(states(plan)).toEqual({ road: 'stop', trail: 'stop', parked: 'stop' })
    expect(states(bedTentJob)).toEqual({ road: 'mind', trail: 'mind', parked: 'mind' })
    expect(states(ladderJob)).toEqual({ road: 'findOut', trail: 'stop', parked: 'findOut' })
  })

  it('is Stop with an exceeded link even when another has no figure', () => {
    const plan = planOf(
      vehicleWith(roofOf({ road: 10 })),
      [barsRack({ bars: own('bars', ANY) })],
      [[thing('load', 20)]],
    )
    expect(review(survey(plan)).states.road).toBe('stop')
  })

  it('of an empty rack on a roof without a figure is to be found out, and over its figure a Stop (L1)', () => {
    const bare = (roof: Parameters<typeof roofOf>[0]) =>
      review(survey(planOf(vehicleWith(roofOf(roof)), [barsRack({ eachKg: 5 })])))
    expect(bare({}).states).toEqual({ road: 'findOut', trail: 'findOut', parked: 'findOut' })
    expect(bare({ road: 20, trail: 20, parked: 90 }).states).toEqual({
      road: 'stop',
      trail: 'stop',
      parked: 'clear',
    })
    expect(bare({ road: 90, trail: 90, parked: 90 }).verdict).toBe('clear')
  })

  it('of a vehicle without rack and gear is no verdict', () => {
    const nothing = review(survey(planOf(vehicleWith([]), [])))
    expect([nothing.planned, nothing.verdict, nothing.states.road]).toEqual([false, 'unplanned', 'unplanned'])
  })

  it('takes what comes off out of every state, with all that stands on it', () => {
    const plan = planOf(
      vehicleWith(roofOf({ road: 10, trail: 10, parked: 10 })),
      [barsRack({ eachKg: 5 })],
      [[thing('load', 20)]],
    )
    expect(review(survey(plan)).states.road).toBe('stop')
    const off = { ...plan, racks: plan.racks.map((rack) => ({ ...rack, status: 'comesOff' as const })) }
    expect(review(survey(off)).planned).toBe(false)
    const gone = {
      ...plan,
      placements: plan.placements.map((each) => ({ ...each, status: 'comesOff' as const })),
    }
    expect(survey(gone).loadPath.cellAt('roof', 'road')?.countedKg).toBeCloseTo(30, 9)
  })

  it('keeps a question set aside a question, with who and why, until what it says has changed', () => {
    const plan = planOf(vehicleWith(roofOf({})), [barsRack({ eachKg: 5 })])
    const asked = review(survey(plan)).findings.find(({ id }) => id === 'unrated-layer roof road')!
    const aside = {
      findingId: asked.id,
      said: findingText(asked),
      by: 'Ida',
      reason: 'No manual to be had.',
      on: '2027-03-01',
    }
    const now = review(survey({ ...plan, setAside: [aside] }))
    expect(now.states.road).toBe('findOut')
    expect(now.findings.find(({ id }) => id === asked.id)?.aside).toEqual(aside)
    const heavier = planOf(vehicleWith(roofOf({})), [barsRack({ eachKg: 6 })])
    const later = review(survey({ ...heavier, setAside: [aside] }))
    expect(later.findings.find(({ id }) => id === asked.id)?.aside).toBeUndefined()
  })

  it('tells more than 200 findings of one kind as one that lists what it is about (S12)', () => {
    const things = Array.from({ length: 30 }, (_, i) => [thing(`crate-${i}`, 1)] as const)
    const found = review(survey(planOf(vehicleWith(roofOf(ANY)), [barsRack({})], things))).findings
    const space = found.filter(({ rule }) => rule === 'space')
    expect(space).toHaveLength(1)
    expect(space[0]?.subject.placementIds).toHaveLength(30)
    expect(phraseText(space[0]!.sentence)).toMatch(/^435 of the same kind/)
  })

  it('gives a layer the worst that any finding says of it', () => {
    const assessment = review(survey(boatAndBox))
    expect(layerSeverity(assessment, 'roof', 'road')).toBe('stop')
    expect(layerSeverity(assessment, 'roof', 'parked')).toBe('clear')
    expect(layerSeverity(assessment, 'nothing', 'road')).toBeUndefined()
  })

  it('calls for the cautions that a plan needs', () => {
    const cautions = (plan: (typeof DEMO_PLANS)[number]) => review(survey(plan)).cautions.join(' ')
    expect(cautions(boatAndBox)).toContain('bow and stern lines')
    expect(cautions(ridgeTent)).toContain('Sleeping on a parked roof')
    expect(cautions(ladderJob)).toContain("ladder's limit")
    for (const plan of DEMO_PLANS) expect(cautions(plan)).toContain('Never exceed the lowest rating')
  })

  it('speaks in whole sentences with units, in the units asked for', () => {
    for (const plan of DEMO_PLANS)
      for (const finding of review(survey(plan)).findings) {
        const text = phraseText(finding.sentence)
        expect(text).toMatch(/^[A-Z0-9].*\.$/s)
        expect(text).not.toMatch(/undefined|NaN|\[object/)
      }
    const [stop] = review(survey(boatAndBox)).findings
    expect(phraseText(stop!.sentence, { show: 'us', denominator: 16 })).toContain('14.2 lb over 165.3 lb')
  })

  it('declares for each check what it asks, by what formula, from what source', () => {
    expect(new Set(CHECKS.map((check) => check.id)).size).toBe(CHECKS.length)
    for (const check of CHECKS) {
      expect(check.question).toMatch(/\?$/)
      expect(check.formula.length).toBeGreaterThan(10)
      expect(check.source.text).toMatch(/source|memory/)
    }
  })
})
