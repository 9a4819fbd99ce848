import { describe, expect, it } from 'vitest'
import { handoverOf } from '../handover/handover'
import { jobSteps } from '../bay/steps/job-steps'
import { NOTHING_DONE } from '../log/record'
import { review } from '../review/review'
import { survey } from '../survey/survey'
import { fullPlan } from './full-plan.testing'
import { USUAL_BAY } from './schema/house'
import { planSchema } from './schema/plan-schema'

/** Numbers that are none, wherever they stand. */
const broken = (value: unknown, at = ''): string[] => {
  if (typeof value === 'number') return Number.isNaN(value) ? [at] : []
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, each]) => broken(each, `${at}.${key}`))
}

describe('a plan with every field of the format at once', () => {
  const plan = fullPlan()
  it('is a plan: its references hold', () => {
    expect(planSchema.safeParse(plan).error?.issues).toBeUndefined()
  })

  it('is surveyed, judged, put in steps and on a sheet, and no number of it is none', () => {
    const surveyed = survey(plan)
    const assessment = review(surveyed)
    expect(assessment.findings.length).toBeGreaterThan(50)
    expect(broken(assessment.findings)).toEqual([])
    // Its own steps come after steps that nobody has: each says which.
    const order = jobSteps(surveyed, USUAL_BAY)
    expect(order.ok && order.steps.flatMap(({ lost = [] }) => lost).join(' ')).toContain('M6')
    const sheet = handoverOf(surveyed, assessment, NOTHING_DONE, [], USUAL_BAY)
    expect(broken(sheet.limits)).toEqual([])
  })
})
