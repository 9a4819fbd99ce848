import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { assess } from '../review/assess'
import { boatAndBox } from '../../demo/plans'
import { planOf } from './stored-job'

it('an assessment is of the plan of the job', () => {
  const { plan, survey } = assess(boatAndBox)
  expect(plan).toBe(planOf(boatAndBox))
  expect(survey.plan.placements).toBe(plan.placements)
})

it('screens, workers, shell and routes have no way to a survey but the assessment of a job', () => {
  const face = readFileSync('src/core/api/assess.ts', 'utf8')
  expect(face).toMatch(/\bassess\b/)
  expect(face).not.toMatch(/[{,]\s*survey\b/)
})
