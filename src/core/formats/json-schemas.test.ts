import { readFileSync } from 'node:fs'
import Ajv2020 from 'ajv/dist/2020'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { jobSession } from '../bay/job-session'
import { assess } from '../review/assess.testing'
import { bayReport } from './bay-report'
import { jsonSchemas } from './json-schemas'
import { reviewReport, surveyReport } from './report'

const schemas = jsonSchemas()
const formats = { date: /^\d{4}-\d{2}-\d{2}$/ }
const validator = (name: string) =>
  new Ajv2020({ strict: false, formats }).compile(JSON.parse(schemas[name] ?? 'null') as object)

/** Published: JSON Schema 2020-12, checked by an independent validator. */
describe('the published schemas', () => {
  it.each(Object.keys(schemas))('docs/%s is current; npm run schemas writes it', (name) => {
    expect(readFileSync(`docs/${name}`, 'utf8')).toBe(schemas[name])
    expect(schemas[name]).toContain('https://json-schema.org/draft/2020-12/schema')
  })

  it('an independent validator takes every demo plan, its survey and its review', () => {
    const [plan, surveyed, reviewed, stands] = ['plan', 'survey', 'review', 'bay'].map((each) =>
      validator(`${each}.schema.json`),
    )
    for (const each of DEMO_PLANS) {
      const assessment = assess(each, DEMO_STOCK)
      expect(plan?.(each), JSON.stringify(plan?.errors)).toBe(true)
      const survey: unknown = JSON.parse(JSON.stringify(surveyReport(assessment.survey)))
      expect(surveyed?.(survey), JSON.stringify(surveyed?.errors)).toBe(true)
      const review: unknown = JSON.parse(
        JSON.stringify(reviewReport(assessment.survey, assessment.review, assessment.remedies)),
      )
      expect(reviewed?.(review), JSON.stringify(reviewed?.errors)).toBe(true)
      const found = jobSession(assessment, [])
      expect(
        found.ok && stands?.(JSON.parse(JSON.stringify(bayReport(found.session)))),
        JSON.stringify(stands?.errors),
      ).toBe(true)
    }
  })

  it('and refuses a plan with a field it does not know or a number out of bounds', () => {
    const plan = validator('plan.schema.json')
    expect(plan({ ...DEMO_PLANS[0], colour: 'red' })).toBe(false)
    expect(plan({ ...DEMO_PLANS[0], vehicle: { ...DEMO_PLANS[0]!.vehicle, lengthMm: -5 } })).toBe(false)
  })
})
