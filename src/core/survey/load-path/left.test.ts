import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '@/core/runs.testing'
import { DEMO_PLANS } from '@/demo/plans'
import { handoverOf, placardLines } from '../../handover/handover'
import { NOTHING_DONE } from '../../log/record'
import { USUAL_BAY } from '../../plan/schema/house'
import { madePlans } from '../../plan/made-plans.testing'
import type { Plan } from '../../plan/schema/plan'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { accountOf } from '../../review/compare'
import { stateSummary } from '../../review/job-summary'
import { assess } from '../../review/assess'
import { assessWithFixes } from '../../remedies/assess-with-fixes'
import { phraseText, kg, missing, toSpare } from '../../units/phrase'
import { STATES } from '../../units/scalars'
import { survey } from '../survey'
import { bindsWords, leftIn, leftPhrase, linksPhrase } from './left'

const ANY = { road: 900, trail: 900, parked: 900 }
const rack = (bars: Parameters<typeof own>[1]) =>
  barsRack({ bars: own('bars', bars), feet: own('feet', ANY), eachKg: 1 })
const words = (plan: Plan, state: 'road' | 'parked' = 'road') => {
  const left = leftIn(survey(plan), state)
  return left && phraseText(leftPhrase(left))
}

describe('what is left in a state', () => {
  it('is known, at least, at most, over, or not known', () => {
    const on = (roof: Parameters<typeof own>[1], bars = ANY, kg = 10) =>
      planOf(vehicleWith(roofOf(roof)), [rack(bars)], [[thing('box', kg)]])
    // Two bars and four feet of 1 kg beside the box.
    expect(words(on({ road: 50 }))).toBe('34 kg left')
    expect(words(on({ road: 50 }), 'parked')).toBe('at least 34 kg left')
    expect(words(on({ road: 50 }, {} as never))).toBe('at most 34 kg left')
    expect(words(on({ road: 15 }))).toBe('1 kg over')
    expect(words(on({}, {} as never, 10))).toBe('at most 890 kg left')
    const none = planOf(vehicleWith(roofOf({})), [barsRack({ bars: own('b', {}), feet: own('f', {}) })])
    expect(words(none)).toBe('what is left is not known')
    expect(leftIn(survey(planOf(vehicleWith(roofOf({})), [])), 'road')).toBeUndefined()
  })

  it('names every link that leaves just as much, and says that they bind alike', () => {
    // Beside the box the roof counts two bars and four feet of 1 kg; the bars count the box alone.
    const alike = planOf(vehicleWith(roofOf({ road: 50 })), [rack({ road: 44 })], [[thing('box', 10)]])
    const left = leftIn(survey(alike), 'road')
    if (left?.kind !== 'known') throw new Error('it is known')
    expect(left.by.toSorted()).toEqual(['Bars', 'Roof'])
    expect(bindsWords(left.by)).toMatch(/^\w+ and \w+ bind alike$/)
    expect(linksPhrase(left.by)).toMatch(/^\w+ and \w+ alike$/)
    const more = planOf(vehicleWith(roofOf({ road: 50 })), [rack({ road: 45 })], [[thing('box', 10)]])
    expect(leftIn(survey(more), 'road')).toMatchObject({ by: ['Roof'] })
    expect(bindsWords(['Roof'])).toBe('Roof binds')
    const over = planOf(vehicleWith(roofOf({ road: 15 })), [rack({ road: 9 })], [[thing('box', 10)]])
    expect(leftIn(survey(over), 'road')).toMatchObject({ kind: 'over', by: [expect.any(String)] })
  })

  it('says that it is at most, and never just so much, beside a link without a figure', () => {
    const plan = planOf(vehicleWith(roofOf({ road: 50 })), [rack({})], [[thing('box', 10)]])
    expect(leftIn(survey(plan), 'road')).toMatchObject({
      kind: 'atMost',
      by: ['Roof'],
      why: 'no figure for Bars',
    })
  })
})

/** What each place says of a state: the key, the comparison, the sheet and the placard. */
function everywhere(plan: Plan): void {
  const assessment = assess(plan)
  const sheet = handoverOf(assessment.survey, assessment.review, NOTHING_DONE, [], USUAL_BAY)
  const account = accountOf(assessWithFixes(plan))
  const placard = placardLines(sheet, { show: 'metric', denominator: 16 })
  for (const state of STATES) {
    const left = leftIn(assessment.survey, state)
    expect(stateSummary(assessment, state).left).toEqual(left)
    expect(account.left[state]).toEqual(left)
    if (!left) continue
    const name = assessment.survey.racks.find(({ rack: each }) => each.id === left.rackId)?.rack.name
    const row = sheet.limits.find((each) => each.state === state && each.rack === name)
    const said = row && phraseText(row.left)
    if (left.kind === 'unknown') expect(said).toBe('not known: add nothing')
    else
      expect(said).toContain(phraseText([left.kind === 'over' ? missing(kg(left.kg)) : toSpare(kg(left.kg))]))
    expect(row?.known ?? false).toBe(
      left.kind === 'known' || left.kind === 'atLeast' || left.why === undefined,
    )
    expect(placard.rows.length).toBeGreaterThan(0)
  }
}

describe('every place that says what is left', () => {
  it('says the same of every demo job', () => {
    for (const plan of DEMO_PLANS) everywhere(plan)
  })
  it('says the same of plans made from the kinds', () => {
    fc.assert(fc.property(madePlans, everywhere), { numRuns: runs(1000) })
  })
})
