import { planSchema } from '../plan/schema/plan-schema'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boatAndBox, DEMO_PLANS, frameJob, twinSpan } from '@/demo/plans'
import { parsePlanText, planFileName, printPlan, readPlan } from './plan-file'
import { mutated } from './mutate.testing'
import { atLeast, runs } from '@/core/runs.testing'

const problems = (raw: unknown) => {
  const read = readPlan(raw)
  return read.ok ? [] : read.problems.map((problem) => problem.text)
}

describe('plan files', () => {
  it('come back as they went out', () => {
    for (const plan of DEMO_PLANS) expect(parsePlanText(printPlan(plan))).toEqual({ ok: true, plan })
    expect(parsePlanText(`\uFEFF${printPlan(boatAndBox)}`).ok).toBe(true)
  })

  it('are named after the job', () => {
    expect(planFileName(boatAndBox)).toBe('a-boat-and-the-long-box.ypsos.json')
    expect(planFileName({ ...boatAndBox, job: { name: '«Éte» / №5' } })).toBe('ete-no5.ypsos.json')
    expect(planFileName({ ...boatAndBox, job: { name: '???' } })).toBe('plan.ypsos.json')
  })

  it('say which field is wrong and what it should be', () => {
    expect(parsePlanText('{"format": ')).toMatchObject({ ok: false, problems: [{ path: 'plan' }] })
    const [rack] = boatAndBox.racks
    expect(problems({ ...boatAndBox, vehicle: { ...boatAndBox.vehicle, lengthMm: '4720' } })).toEqual([
      'vehicle.lengthMm should be a number.',
    ])
    expect(problems({ ...boatAndBox, vehicle: { ...boatAndBox.vehicle, lengthMm: -1 } })[0]).toContain(
      'vehicle.lengthMm is too small',
    )
    expect(problems({ ...boatAndBox, colour: 'red' })[0]).toContain('plan has "colour"')
    expect(problems({ ...boatAndBox, racks: [{ ...rack, kind: 'sledge' }] })[0]).toContain('racks[0].kind')
    const { job: _, ...jobless } = boatAndBox
    expect(problems(jobless)).toEqual(['job is missing; it should be a group of fields.'])
    expect(problems({ ...boatAndBox, racks: [{ ...rack, parts: [] }] })[0]).toContain(
      'racks[0].parts is too short',
    )
  })

  it('must hang together: ids once, references somewhere, no thing on itself', () => {
    const [first] = boatAndBox.placements
    expect(problems({ ...boatAndBox, placements: [first, first] })[0]).toContain(
      'Two placements share the id "long-box"',
    )
    expect(problems({ ...boatAndBox, placements: [{ ...first, gearId: 'gone' }] })[0]).toContain(
      'no gear "gone"',
    )
    expect(problems({ ...boatAndBox, racks: [] })[0]).toContain('No rack has a bar')
    const circle = frameJob.placements.map((each) =>
      each.id === 'basket'
        ? { ...each, host: { on: 'place', placementId: 'basket', placeId: 'floor' } }
        : each,
    )
    expect(problems({ ...frameJob, placements: circle })[0]).toContain('stands on itself')
    expect(
      problems({
        ...twinSpan,
        placements: [{ ...first, host: { on: 'bars', barIds: ['cab-front', 'cab-front'] } }],
      }).join(' '),
    ).toContain('named twice')
  })

  it('survive rubbish: mutated files (10 000 in the deep run) give a valid plan or a message that names a place', () => {
    let valid = 0
    let refused = 0
    fc.assert(
      fc.property(
        fc.nat(DEMO_PLANS.length - 1),
        fc.array(fc.nat(), { minLength: 3, maxLength: 9 }),
        (index, dice) => {
          const read = parsePlanText(mutated(printPlan(DEMO_PLANS[index]!), dice))
          if (read.ok) {
            valid += 1
            expect(planSchema.safeParse(read.plan).success).toBe(true)
            return
          }
          refused += 1
          expect(read.problems.length).toBeGreaterThan(0)
          for (const problem of read.problems) {
            expect(problem.path).not.toBe('')
            expect(problem.text.length).toBeGreaterThan(problem.path.length)
          }
        },
      ),
      { numRuns: runs(10_000) },
    )
    expect(refused).toBeGreaterThan(atLeast(3000, 10_000))
    expect(valid).toBeGreaterThan(atLeast(300, 10_000))
  })
})
