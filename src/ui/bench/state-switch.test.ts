import { describe, expect, it } from 'vitest'
import { review } from '@/core/review/review'
import { survey } from '@/core/survey/survey'
import type { UnitChoice } from '@/core/units/format'
import { boatAndBox, firstBike, ladderJob, ridgeTent, twinSpan } from '@/stock/plans'
import type { Plan } from '@/core/plan/plan'
import { verdictWords } from './state-switch'
import { rackBox } from './zoom-store'

const words = (plan: Plan, state: 'road' | 'trail' | 'parked', show: UnitChoice['show'] = 'metric') => {
  const surveyed = survey(plan)
  return verdictWords(surveyed, review(surveyed), state, { show, denominator: 16 })
}

describe('a verdict in a few words', () => {
  it('says how much over, how many are open, or how much is left', () => {
    expect(words(boatAndBox, 'road')).toBe('Stop, 6.4 kg over')
    expect(words(boatAndBox, 'road', 'us')).toBe('Stop, 14.1 lb over')
    expect(words(boatAndBox, 'road', 'both')).toBe('Stop, 6.4 kg over')
    expect(words(firstBike, 'road')).toBe('Find out, 1 open')
    expect(words(ladderJob, 'parked')).toBe('Find out, 3 open')
    expect(words(twinSpan, 'trail')).toBe('Mind, 7.7 kg left')
    expect(words(ridgeTent, 'parked')).toBe('Stop, 42 kg over')
  })

  it('counts what is to mend when the weights hold and something else stops', () => {
    const low = { ...twinSpan, clearances: [{ id: 'low', name: 'Low door', heightMm: 1900 }] }
    expect(words(low, 'road')).toBe('Stop, 1 to mend')
  })

  it('says only the word when nothing stands on the racks', () => {
    expect(words({ ...twinSpan, placements: [] }, 'road')).toBe('Clear')
  })
})

describe('zoom to the rack', () => {
  it('takes in the bars with room at both ends and the height of the load, not the length of a boat', () => {
    const box = rackBox(survey(boatAndBox))!
    expect([box.x0, box.x1]).toEqual([430 - 41 - 350, 1190 + 41 + 350])
    expect(box.z1).toBe(1983)
    expect(rackBox(survey({ ...boatAndBox, racks: [], placements: [] }))).toBeUndefined()
  })
})
