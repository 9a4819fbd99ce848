import { describe, expect, it } from 'vitest'
import { barsRack, planOf, vehicleWith } from '../../plan/plans.testing'
import type { Measurement } from '../../plan/schema/measurement'
import type { Plan } from '../../plan/schema/plan'
import { assess } from '../assess.testing'
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
  it('of the spread left and right say how far from parallel the bars are (handbook: 702 and 705 over 1000)', () => {
    const side = (which: 'left' | 'right', reading: number): Measurement => ({
      kind: 'length',
      id: which,
      of: { about: 'spread', frontBarId: 'rack-bar-1', rearBarId: 'rack-bar-2', side: which },
      datum: 'centre to centre',
      readingsMm: [reading],
    })
    const skew = (left: number, right: number) =>
      run(measuredFacts, plan(side('left', left), side('right', right))).find(({ id }) =>
        id.includes('parallel'),
      )
    expect(skew(702, 705)).toMatchObject({ severity: 'clear', measured: { value: 3 } })
    expect(skew(702, 706)).toMatchObject({ severity: 'mind', measured: { value: 4 } })
    expect(skew(702, 705)?.sentence).toContainEqual({ dimension: 'angle', value: expect.closeTo(0.172, 3) })
    expect(run(measuredFacts, plan(side('left', 702))).some(({ id }) => id.includes('parallel'))).toBe(false)
  })
  it('are taken over into the plan by the fix', () => {
    const assessment = assess(plan(under(52, 53)), { parts: [] })
    const open = assessment.review.findings.find(({ id }) => id === 'measured-facts plan m')
    expect(assessment.remedies(open!)[0]?.command).toMatchObject({ do: 'setBar', bar: { riseMm: 52.5 } })
  })
})
