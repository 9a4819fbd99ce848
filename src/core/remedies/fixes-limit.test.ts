import { expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { reviewReport } from '../formats/report'
import type { Plan } from '../plan/schema/plan'
import { assessWithFixes } from './assess-with-fixes'
import { MOST_TO_FIX } from './fixes-limit'

const [first] = boatAndBox.placements
const heap = (count: number): Plan => ({
  ...boatAndBox,
  placements: Array.from({ length: count }, (_, i) => ({ ...first!, id: `placed-${i}` })),
})
const fixesOf = (plan: Plan) => {
  const { review, survey, remedies } = assessWithFixes(plan)
  const stop = review.findings.find(({ severity }) => severity === 'stop')
  if (!stop) throw new Error('nothing stops')
  const report = reviewReport(survey, review, () => [])
  return { fixes: remedies(stop, { parts: [] }).length, said: report.fixesLeftOut }
}

it('looks for fixes while a plan is small, and says nothing of a limit', () => {
  const { fixes, said: leftOutWords } = fixesOf(boatAndBox)
  expect(fixes).toBeGreaterThan(0)
  expect(leftOutWords).toBeUndefined()
})

it('judges a plan past the limit, offers nothing, and says so with the numbers', () => {
  const { fixes, said: leftOutWords } = fixesOf(heap(MOST_TO_FIX + 1))
  expect(fixes).toBe(0)
  expect(leftOutWords).toBe(
    '201 things are on this plan. Fixes are searched for up to 200, so none is offered here.',
  )
})
