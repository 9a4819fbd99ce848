import { expect, inject, it } from 'vitest'
import { DEMO_PLANS } from '../../demo/plans'
import { planReports, recordedPlans, reportDigests } from './report-digests.testing'
import recorded from './report-digests.json'

const all = [...DEMO_PLANS, ...recordedPlans(recorded.seed, recorded.made)]
/** In the gate the demo's plans and some of the made ones; all of them in the deep run and in `npm run recorded`. */
const plans = inject('deep') ? all : all.slice(0, DEMO_PLANS.length + 40)

it('holds a report of every plan', () => {
  expect(recorded.reports).toHaveLength(all.length)
})

it('reports of survey and review are the recorded ones', () => {
  for (const [i, plan] of plans.entries())
    expect([
      i,
      plan.job.name,
      { ...recorded.reports[i], ...reportDigests(planReports(plan, false)) },
    ]).toEqual([i, plan.job.name, recorded.reports[i]])
})

it('a report of another answer has another digest', () => {
  const [plan] = DEMO_PLANS
  const { survey, review } = reportDigests(planReports(plan!, false))
  const unloaded = reportDigests(planReports({ ...plan!, placements: [] }, false))
  expect(unloaded.survey).not.toBe(survey)
  expect(unloaded.review).not.toBe(review)
})
