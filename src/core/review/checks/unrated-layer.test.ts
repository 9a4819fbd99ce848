import { describe, expect, it } from 'vitest'
import { DEMO_PARTS } from '@/demo/racks'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { survey } from '../../survey/survey'
import { remediesFor } from '../../remedies/remedies'
import { review } from '../review'
import { run, sentences, severities } from './findings.testing'
import { unratedLayer } from './unrated-layer'

const ANY = { road: 500, trail: 500, parked: 500 }

describe('a missing figure', () => {
  const plan = planOf(vehicleWith(roofOf(ANY)), [barsRack({ bars: own('bars', ANY) })], [[thing('load', 20)]])

  it('is a thing to find out in every state, never a pass', () => {
    expect(severities(unratedLayer, plan)).toEqual({ road: 'findOut', trail: 'findOut', parked: 'findOut' })
    expect(review(survey(plan)).verdict).toBe('findOut')
    expect(sentences(unratedLayer, plan)[0]).toBe(
      "Feet: no figure at all, and 20 kg hang on it on the road. It is usually printed on the sheet's last page or cast into the foot.",
    )
  })

  it('asks nothing while nothing hangs on it', () => {
    expect(run(unratedLayer, { ...plan, placements: [] })).toEqual([])
  })

  it('with only a parked figure leaves the driving states open', () => {
    const parked = planOf(
      vehicleWith(roofOf({ parked: 90 })),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY) })],
      [[thing('load', 20)]],
    )
    expect(severities(unratedLayer, parked)).toEqual({ road: 'findOut', trail: 'findOut' })
  })

  it('offers a stock part that has a figure', () => {
    const surveyed = survey(plan)
    const found = review(surveyed)
    const finding = found.findings.find((each) => each.rule === 'unrated-layer')!
    const remedies = remediesFor(surveyed, found, finding, { parts: DEMO_PARTS })
    expect(remedies.map((remedy) => remedy.kind)).toEqual(['swap'])
  })
})
