import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { atLeast, runs } from '@/core/runs.testing'
import { madePlans } from '../plan/made-plans.testing'
import { survey } from '../survey/survey'
import { phraseText, type Amount } from '../units/phrase'
import type { Finding } from './finding'
import { review } from './review'

const NEAR = 1e-6

/** What of a finding's own figures and words is not as its margin says. */
function faults({ measured, limit, margin, sentence, severity, id }: Finding): string[] {
  if (!margin || !Number.isFinite(margin.value)) return []
  const text = phraseText(sentence)
  const amounts = sentence.filter(
    (bit): bit is Amount =>
      typeof bit !== 'string' &&
      bit.dimension === margin.dimension &&
      bit.round !== undefined &&
      Math.abs(bit.value - Math.abs(margin.value)) < NEAR,
  )
  // A sentence may have a second margin of the same size the other way, counted otherwise.
  const right = amounts.some(({ round }) => round === (margin.value < 0 ? 'up' : 'down'))
  const isOff =
    measured?.dimension === margin.dimension &&
    limit?.dimension === margin.dimension &&
    Math.abs(Math.abs(limit.value - measured.value) - Math.abs(margin.value)) > NEAR
  return [
    ...(isOff ? [`${severity} ${id}: ${measured.value} against ${limit.value} is not ${margin.value}`] : []),
    ...(amounts.length > 0 && !right
      ? [`${severity} ${id}: ${margin.value} rounded the wrong way: ${text}`]
      : []),
  ]
}

describe('a margin', () => {
  it('is the limit less the measure, and is printed rounded down where it is to spare and up where it is missing', () => {
    let printed = 0
    const bad: string[] = []
    const check = (findings: readonly Finding[]) => {
      for (const finding of findings) {
        bad.push(...faults(finding))
        if (
          finding.margin &&
          finding.sentence.some((bit) => typeof bit !== 'string' && bit.round !== undefined)
        )
          printed += 1
      }
    }
    for (const plan of DEMO_PLANS) check(review(survey(plan)).findings)
    for (const plan of fc.sample(madePlans, { seed: 29, numRuns: runs(1000) }))
      check(review(survey(plan)).findings)
    expect(bad).toEqual([])
    expect(printed).toBeGreaterThan(atLeast(2000, 1000))
  })
})
