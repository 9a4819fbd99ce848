import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { survey } from '../../survey/survey'
import { remediesFor } from '../../remedies/remedies'
import { review } from '../review'
import { severities } from './findings.testing'
import { speedRating } from './speed-rating'

const ANY = { road: 500, trail: 500, parked: 500 }
const plan = (maxKmH: number, upToKmH?: number) =>
  planOf(
    vehicleWith(roofOf(ANY, { counts: 'everything', ...(upToKmH === undefined ? {} : { upToKmH }) })),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('tent', 50, { maxKmH })]],
  )

describe('speed', () => {
  it('stops a plan faster than a thing or a figure allows', () => {
    expect(severities(speedRating, plan(130))).toEqual({ road: 'clear', trail: 'clear' })
    expect(severities(speedRating, plan(100))).toEqual({ road: 'stop', trail: 'clear' })
    expect(severities(speedRating, plan(130, 80), undefined).road).toBe('stop')
  })

  it('offers the lower speed', () => {
    const surveyed = survey(plan(100))
    const found = review(surveyed)
    const finding = found.findings.find((each) => each.rule === 'speed-rating' && each.severity === 'stop')!
    const [first] = remediesFor(surveyed, found, finding, { parts: [] })
    expect(first?.command).toMatchObject({ do: 'setUse', use: { roadKmH: 100 } })
  })
})
