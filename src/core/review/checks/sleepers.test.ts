import { describe, expect, it } from 'vitest'
import { bedTentJob } from '@/demo/plans'
import { apply } from '../../plan/commands/apply'
import type { Plan } from '../../plan/schema/plan'
import { assess } from '../assess.testing'
import { run } from './findings.testing'
import { sleepers } from './sleepers'

/** The bed tent with its clamps rated so much each when parked. */
const rated = (eachKg: number): Plan => ({
  ...bedTentJob,
  racks: bedTentJob.racks.map((rack) => ({
    ...rack,
    parts: rack.parts.map((part) =>
      part.role === 'feet' && part.rated.by === 'own'
        ? {
            ...part,
            rated: {
              by: 'own' as const,
              ratings: part.rated.ratings.map((each) =>
                each.state === 'parked' ? { ...each, kg: eachKg } : each,
              ),
            },
          }
        : part,
    ),
  })),
})

describe('where people lie', () => {
  it('stops when one foot could not hold them in its corner, though it holds them in the middle', () => {
    const [found] = run(sleepers, rated(100))
    expect(found).toMatchObject({ severity: 'stop', state: 'parked' })
    expect(found!.measured!.value).toBeGreaterThan(100)
  })

  it('is within the figure when that is enough for the worst place', () => {
    const most = run(sleepers, rated(100))[0]!.measured!.value
    expect(run(sleepers, rated(most + 1))[0]?.severity).not.toBe('stop')
  })

  it('offers fewer people or another place, and each clears it', () => {
    const assessment = assess(rated(100), { parts: [] })
    const finding = assessment.review.findings.find(({ rule }) => rule === 'sleepers')!
    const remedies = assessment.remedies(finding)
    expect(remedies.length).toBeGreaterThan(0)
    for (const { command } of remedies) {
      const applied = apply(rated(100), command)
      expect(applied.ok && run(sleepers, applied.plan).every(({ severity }) => severity !== 'stop')).toBe(
        true,
      )
    }
  })

  it('says nothing where nobody sleeps', () => {
    const empty = { ...bedTentJob, placements: bedTentJob.placements.map((each) => ({ ...each, loads: [] })) }
    expect(run(sleepers, empty)).toEqual([])
  })
})
