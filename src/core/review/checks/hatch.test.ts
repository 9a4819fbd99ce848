import { describe, expect, it } from 'vitest'
import { barsRack, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import { bedTentJob, hatchJob } from '@/demo/plans'
import { apply } from '../../plan/commands/apply'
import { survey } from '../../survey/survey'
import { assess } from '../assess.testing'
import { hatch } from './hatch'
import { run } from './findings.testing'

/** The handbook's hatch (checks of the team, rotation): hinge 2600, 1640, 1100 long at 65° down, opening 85°. */
const panelEnd = {
  xMm: 2600 + 1100 * Math.cos((65 * Math.PI) / 180),
  zMm: 1640 - 1100 * Math.sin((65 * Math.PI) / 180),
}
const plan = (rearEndMm: number, halfWidthMm = 600, yMm = 0): Plan => {
  const known = vehicleWith(roofOf({ road: 500, trail: 500, parked: 500 }))
  const vehicle = {
    ...known,
    heightMm: 1690,
    roof: { ...known.roof, skinZMm: 1690 },
    obstacles: [
      {
        kind: 'hatch' as const,
        id: 'hatch',
        name: 'Hatch',
        hinge: { xMm: 2600, zMm: 1640 },
        panel: [{ xMm: 2600, zMm: 1640 }, panelEnd],
        halfWidthMm,
        opensDeg: 85,
      },
    ],
  }
  // Bars 60 over a roof of 1690 and 30 high: the box's underside stands at 1780.
  return planOf(
    vehicle,
    [barsRack({ xs: [1300, 2200] })],
    [[thing('Box', 10, { lengthMm: 1800 }), { xMm: rearEndMm - 900, yMm }]],
  )
}

const boxFinding = (given: Plan) =>
  run(hatch, given).find(({ subject }) => subject.placementIds.includes('Box'))

describe('hatch and tailgate', () => {
  it('touches a box whose lower rear corner stands at 3000, 1780 after 84.29° (handbook: rotation)', () => {
    const finding = boxFinding(plan(3000))
    expect(finding).toMatchObject({ severity: 'stop' })
    expect(finding?.measured?.value).toBeCloseTo(84.29, 2)
  })
  it('passes with less than the house’s gap as Mind, and with more as Clear', () => {
    // From a rear end that touches, half a centimetre at a time forward: first less than the gap, then enough.
    const forward = Array.from({ length: 70 }, (_, i) => boxFinding(plan(3000 - 5 * i))!)
    const severities = forward.map(({ severity }) => severity)
    const [mind, clear] = [severities.indexOf('mind'), severities.indexOf('clear')]
    expect(mind).toBeGreaterThan(0)
    expect(clear).toBeGreaterThan(mind)
    const gaps = forward.slice(mind).map(({ measured }) => measured!.value)
    expect(Math.max(...gaps.slice(0, clear - mind))).toBeLessThan(25)
    expect(Math.min(...gaps.slice(clear - mind))).toBeGreaterThanOrEqual(25 - 0.4)
    expect(boxFinding(plan(2700))?.severity).toBe('clear')
  })
  it('does not meet what shares no width with it', () => {
    expect(boxFinding(plan(3000, 600, 950))).toBeUndefined()
  })
  it('is cleared by the shift that it names, with the house’s gap, and not by a millimetre less', () => {
    const given = plan(3000)
    const assessment = assess(given, { parts: [] })
    const stop = assessment.review.findings.find(
      ({ rule, severity }) => rule === 'hatch' && severity === 'stop',
    )
    const [first] = assessment.remedies(stop!)
    expect(first?.command.do).toBe('move')
    const applied = apply(given, first!.command)
    if (!applied.ok) throw new Error(applied.reason)
    expect(boxFinding(applied.plan)?.measured?.value).toBeGreaterThanOrEqual(25)
    if (first!.command.do !== 'move') throw new Error('not a move')
    const less = apply(given, { ...first!.command, xMm: first!.command.xMm + 1.1 })
    expect(less.ok && boxFinding(less.plan)?.measured?.value).toBeLessThan(25)
  })
  it('hits in the demo, where the fix moves the box forward', () => {
    const assessment = assess(hatchJob, { parts: [] })
    const stop = assessment.review.findings[0]
    expect(stop?.rule).toBe('hatch')
    expect(assessment.remedies(stop!)[0]?.kind).toBe('move')
  })
  it('blocks a tailgate by an opened tent’s ladder one way round, as Mind, and not the other way', () => {
    const blocked = run(hatch, bedTentJob).filter(({ severity }) => severity === 'mind')
    expect(blocked).toMatchObject([{ state: 'parked', subject: { obstacleId: 'pickup-tailgate' } }])
    const about: Plan = {
      ...bedTentJob,
      placements: bedTentJob.placements.map((each) => ({ ...each, turn: 180 })),
    }
    expect(run(hatch, about).filter(({ severity }) => severity === 'mind')).toEqual([])
    expect(survey(about).fit.swings().length).toBeGreaterThan(0)
  })
})
