import { describe, expect, it } from 'vitest'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import { assess } from '../assess.testing'
import { antenna } from './antenna'
import { run, severities } from './findings.testing'

/** Bars 90 over the roof to their top; an antenna on the centreline at 950, under the thing in the middle. */
const plan = (heightMm: number, yMm = 0) =>
  planOf(
    {
      ...vehicleWith([]),
      obstacles: [{ kind: 'antenna', id: 'a', name: 'Fin antenna', xMm: 950, yMm: 0, heightMm, form: 'fin' }],
    },
    [barsRack({})],
    [[thing('Crate', 5, { widthMm: 300 }), { yMm }]],
  )

describe('an antenna', () => {
  it('is shaded by what lies over it, touched by what is lower than its top', () => {
    expect(severities(antenna, plan(60))).toEqual({ all: 'mind' })
    expect(severities(antenna, plan(90))).toEqual({ all: 'mind' })
    expect(run(antenna, plan(95))).toMatchObject([{ severity: 'stop', margin: { value: -5 } }])
  })
  it('is free beside the load', () => {
    expect(severities(antenna, plan(60, 200))).toEqual({ all: 'clear' })
  })
  it('is freed by moving the load aside', () => {
    const assessment = assess(plan(95), { parts: [] })
    const stop = assessment.review.findings.find(({ rule }) => rule === 'antenna')
    expect(assessment.remedies(stop!)[0]?.kind).toBe('move')
  })
})
