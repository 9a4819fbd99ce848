import { describe, expect, it } from 'vitest'
import { barsRack, planOf, vehicleWith } from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import type { Rack } from '../../plan/schema/rack'
import { evenFeet } from '../../survey/bars/tower-spacing'
import { assess } from '../assess.testing'
import { towerSpacingCheck } from './tower-spacing'
import { run, sentences } from './findings.testing'

const plan = (front: number, rest: Partial<Rack> = {}, profile: 'aero' | 'square' = 'aero'): Plan =>
  planOf(vehicleWith([]), [
    {
      ...barsRack({}),
      fitSheet: { source: { kind: 'sheet', page: '4' }, rows: [{ profile, towerMm: { front, rear: 1000 } }] },
      ...rest,
    } as Rack,
  ])

describe('tower spacing', () => {
  it('leaves half of what is left at each end: (L − s) / 2 (common practice, no source)', () => {
    const [bar] = (barsRack({}) as Extract<Rack, { kind: 'bars' }>).bars
    // 1300 overall, 1000 apart: 150 to the foot's centre; a foot of 80 and a cap of 5 leave 105 of overhang.
    expect(evenFeet(bar!, 1000, undefined)).toEqual({ towerMm: 1000, fromEndMm: 150, overhangMm: undefined })
    expect(evenFeet(bar!, 1000, 80).overhangMm).toBe(105)
    expect(evenFeet({ ...bar!, lengthMm: 1300 + 127 }, 1000, undefined).fromEndMm).toBe(150 + 63.5)
  })
  it('is checked against the sheet’s row, within the house’s tolerance', () => {
    expect(run(towerSpacingCheck, plan(1000)).map(({ severity }) => severity)).toEqual(['clear', 'clear'])
    expect(run(towerSpacingCheck, plan(1003)).map(({ severity }) => severity)).toEqual(['clear', 'clear'])
    expect(run(towerSpacingCheck, plan(1020)).map(({ severity }) => severity)).toEqual(['stop', 'clear'])
    expect(sentences(towerSpacingCheck, plan(1020, { footWidthMm: 80 }))[0]).toBe(
      'Bar 1’s feet stand 1\u202f000 mm apart; the fit sheet says 1\u202f020 mm: mark each end at 140 mm to the foot’s centre, overhang from its edge 95 mm.',
    )
  })
  it('refuses a row for another profile', () => {
    expect(run(towerSpacingCheck, plan(1000, {}, 'square')).map(({ severity }) => severity)).toEqual([
      'findOut',
      'findOut',
    ])
    expect(sentences(towerSpacingCheck, plan(1000, {}, 'square'))[0]).toContain(
      'A row for another profile does not apply',
    )
  })
  it('is set evenly by its fix', () => {
    const assessment = assess(plan(1020), { parts: [] })
    const stop = assessment.review.findings.find(
      ({ rule, severity }) => rule === 'tower-spacing' && severity === 'stop',
    )
    expect(assessment.remedies(stop!)[0]?.command).toMatchObject({
      do: 'setBar',
      bar: { feetYMm: [-510, 510] },
    })
  })
})
