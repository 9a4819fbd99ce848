import { describe, expect, it } from 'vitest'
import { barsRack, planOf, vehicleWith } from '../../plan/plans.testing'
import type { Obstacle } from '../../plan/schema/vehicle'
import { assess } from '../assess.testing'
import { sunroof } from './sunroof'
import { run, sentences } from './findings.testing'

type Sunroof = Extract<Obstacle, { kind: 'sunroof' }>
const pane = (rest: Partial<Sunroof>): Sunroof => ({
  kind: 'sunroof',
  id: 'pane',
  name: 'Sunroof',
  openingMm: { fromMm: 400, toMm: 900 },
  widthMm: 800,
  ...rest,
})
const plan = (rest: Partial<Sunroof>, xs = [880, 1700]) =>
  planOf({ ...vehicleWith([]), obstacles: [pane(rest)] }, [barsRack({ xs })])

describe('a sunroof', () => {
  it('that stays inside is no question', () => {
    expect(run(sunroof, plan({ moves: 'inside' }))).toEqual([])
  })
  it('whose way nobody has told is a question where something stands over it, and one that only tilts is not asked to slide (L27)', () => {
    expect(run(sunroof, plan({}))).toMatchObject([
      { severity: 'findOut', ask: { target: { field: 'moves', obstacleId: 'pane' } } },
    ])
    const tilts = plan({ moves: 'tilts', tiltRiseMm: 30, slidesOutside: { travelMm: 300, riseMm: 90 } })
    expect(run(sunroof, tilts).every(({ id }) => !id.includes('slides'))).toBe(true)
  })
  it('tilting under a bar 60 over the roof touches it when it rises further there', () => {
    // 500 long, rising 80 at its rear edge: under the bar's front edge, at 840, it stands some 70 high.
    expect(run(sunroof, plan({ tiltRiseMm: 80 }))).toMatchObject([
      { severity: 'stop' },
      { severity: 'clear' },
    ])
    expect(run(sunroof, plan({ tiltRiseMm: 50 }))[0]).toMatchObject({ severity: 'mind' })
    expect(run(sunroof, plan({ tiltRiseMm: 30 }))[0]).toMatchObject({ severity: 'clear' })
  })
  it('sliding outside passes under a bar, or runs into it', () => {
    expect(run(sunroof, plan({ slidesOutside: { travelMm: 400, riseMm: 40 } }))[0]).toMatchObject({
      severity: 'clear',
      measured: { value: 20 },
    })
    expect(run(sunroof, plan({ slidesOutside: { travelMm: 400, riseMm: 50 } }))[0]).toMatchObject({
      severity: 'mind',
      measured: { value: 10 },
    })
    expect(sentences(sunroof, plan({ slidesOutside: { travelMm: 400, riseMm: 60 } }))[0]).toBe(
      'Sunroof, sliding outside, runs into Bar 1.',
    )
  })
  it('may slide under a bar and still hit it when it tilts', () => {
    const both = run(sunroof, plan({ tiltRiseMm: 80, slidesOutside: { travelMm: 400, riseMm: 30 } }))
    expect(
      both.filter(({ subject }) => subject.barId === 'rack-bar-1').map(({ severity }) => severity),
    ).toEqual(['stop', 'clear'])
  })
  it('is cleared by moving the bar off it', () => {
    const given = plan({ tiltRiseMm: 80 })
    const assessment = assess(given, { parts: [] })
    const stop = assessment.review.findings.find(
      ({ rule, severity }) => rule === 'sunroof' && severity === 'stop',
    )
    expect(assessment.remedies(stop!).map(({ kind }) => kind)).toContain('move')
  })
})
