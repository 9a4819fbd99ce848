import * as z from 'zod'
import { planShape } from '../plan/plan'
import { bayReportSchema } from './bay-report'
import { reviewReportSchema, surveyReportSchema } from './report'

function jsonSchema(schema: z.ZodType, title: string, description: string): string {
  const body = z.toJSONSchema(schema, { target: 'draft-2020-12', io: 'input', reused: 'ref' })
  return `${JSON.stringify({ ...body, title, description }, null, 2)}\n`
}

/** The published JSON Schemas (2020-12), by file name under docs/. */
export function jsonSchemas(): Readonly<Record<string, string>> {
  return {
    'plan.schema.json': jsonSchema(
      planShape,
      'Ypsos plan, version 2',
      'A plan file. Lengths in mm, masses in kg, speeds in km/h. References between ids are checked besides.',
    ),
    'survey.schema.json': jsonSchema(
      surveyReportSchema,
      'Ypsos survey, version 1',
      'What follows from a plan, as `survey --json` prints it.',
    ),
    'bay.schema.json': jsonSchema(
      bayReportSchema,
      'Ypsos bay, version 1',
      'Where a job stands in the bay, as `bay --json` prints it.',
    ),
    'review.schema.json': jsonSchema(
      reviewReportSchema,
      'Ypsos review, version 1',
      'What we think of a plan, as `review --json` and POST /api/review answer.',
    ),
  }
}
