import { describe, expect, it } from 'vitest'
import { barsRack, planOf, vehicleWith } from '../../plan/plans.testing'
import type { Measurement } from '../../plan/measurement'
import type { Plan } from '../../plan/plan'
import { judgePlan } from '../judge-plan'
import { measuredFacts } from './measured-facts'
import { run } from './findings.testing'

const under = (...readingsMm: number[]): Measurement => ({
  kind: 'length',
  id: 'm',
  of: { about: 'underBar', barId: 'rack-bar-1' },
  datum: 'roof to underside of the bar',
  readingsMm,
})
const plan = (...measurements: Measurement[]): Plan => ({
  ...planOf(vehicleWith([]), [barsRack({})]),
  measurements,
})
const verdicts = (...measurements: Measurement[]) =>
  run(measuredFacts, plan(...measurements)).map(({ severity }) => severity)

describe('measurements', () => {
  it('agree with each other within the house’s tolerance, and with the plan’s 60 mm', () => {
    expect(verdicts(under(60, 61, 59))).toEqual(['clear', 'clear'])
    expect(verdicts(under(58, 62, 60))).toEqual(['mind', 'clear'])
    expect(verdicts(under(52, 53))).toEqual(['clear', 'findOut'])
  })
  it('are taken over into the plan by the fix', () => {
    const judged = judgePlan(plan(under(52, 53)), { parts: [] })
    const open = judged.review.findings.find(({ id }) => id === 'measured-facts plan m')
    expect(judged.remedies(open!)[0]?.command).toMatchObject({ do: 'setBar', bar: { riseMm: 52.5 } })
  })
})
