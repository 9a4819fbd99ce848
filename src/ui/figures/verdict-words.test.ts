import { assess, foldedTogether, review, stateSummary } from '@/core/api/assess'
import { type Plan, STATES, type UnitChoice } from '@/core/api/plan'
import { describe, expect, it } from 'vitest'
import { boatAndBox, DEMO_PLANS, firstBike, ladderJob, ridgeTent, twinSpan } from '@/demo/plans'
import { askGroups, openFindings } from './finding-rows'
import { verdictWords } from './verdict-words'
import { rackBox } from '@/ui/drawing/zoom-store'

const words = (plan: Plan, state: 'road' | 'trail' | 'parked', show: UnitChoice['show'] = 'metric') => {
  return verdictWords(stateSummary(assess(plan), state), { show, denominator: 16 })
}

describe('a verdict in a few words', () => {
  it('says how much over, how many are open, or how much is left', () => {
    expect(words(boatAndBox, 'road')).toBe('Stop, 6.4 kg over')
    expect(words(boatAndBox, 'road', 'us')).toBe('Stop, 14.2 lb over')
    expect(words(boatAndBox, 'road', 'both')).toBe('Stop, 6.4 kg over')
    expect(words(firstBike, 'road')).toBe('Find out, 1 open')
    expect(words(ladderJob, 'parked')).toBe('Find out, 3 open')
    expect(words(twinSpan, 'trail')).toBe('Mind, 7.73 kg left')
    expect(words(ridgeTent, 'parked')).toBe('Stop, 42 kg over')
  })

  it('counts what is to mend when the weights hold and something else stops', () => {
    const low = { ...twinSpan, clearances: [{ id: 'low', name: 'Low door', heightMm: 1900 }] }
    expect(words(low, 'road')).toBe('Stop, 1 to mend')
  })

  it('of a bare rack says what is left beside it, for its own weight counts on the roof (L1)', () => {
    expect(words({ ...twinSpan, placements: [] }, 'road')).toBe('Clear, 80 kg left')
    expect(words({ ...twinSpan, placements: [], racks: [] }, 'road')).toBe('Nothing planned')
  })

  it('counts what the page shows: every different finding once, whatever its states (U1)', () => {
    for (const plan of DEMO_PLANS) {
      const assessment = assess(plan)
      const reviewed = assessment.review
      for (const state of STATES) {
        const verdict = reviewed.states[state]
        const rows = foldedTogether(openFindings(reviewed)).filter(
          ({ finding, all }) =>
            finding.severity === verdict && all.some((each) => each.state === state || each.state === 'all'),
        )
        if (verdict === 'stop' || verdict === 'findOut')
          expect(stateSummary(assessment, state).open).toBe(rows.length)
      }
    }
  })

  it('folds the states of one finding and nothing else: no two rows say “All states” of one thing (U1)', () => {
    const plan = {
      ...boatAndBox,
      clearances: [
        { id: 'a', name: 'Door A', heightMm: 1500 },
        { id: 'b', name: 'Door B', heightMm: 1500 },
      ],
    }
    const rows = foldedTogether(openFindings(review(assess(plan).survey))).filter(
      ({ finding }) => finding.rule === 'height-clearance',
    )
    expect(rows.map(({ states }) => states)).toEqual([
      ['Road', 'Trail'],
      ['Road', 'Trail'],
    ])
  })

  it('asks in three lines at most at a first look, whatever is open', () => {
    for (const plan of DEMO_PLANS) {
      const asked = foldedTogether(openFindings(review(assess(plan).survey))).filter(
        ({ finding }) => finding.severity === 'findOut',
      )
      const groups = askGroups(asked)
      expect(groups.length).toBeLessThanOrEqual(3)
      expect(groups.reduce((sum, { rows }) => sum + rows.length, 0)).toBe(asked.length)
    }
  })
})

describe('zoom to the rack', () => {
  it('takes in the bars with room at both ends and the height of the load, not the length of a boat', () => {
    const box = rackBox(assess(boatAndBox).survey)!
    expect([box.x0, box.x1]).toEqual([430 - 41 - 350, 1190 + 41 + 350])
    expect(box.z1).toBe(1983)
    expect(rackBox(assess({ ...boatAndBox, racks: [], placements: [] }).survey)).toBeUndefined()
  })
})
