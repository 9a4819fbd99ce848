import { createHash } from 'node:crypto'
import fc from 'fast-check'
import { madePlans } from '../plan/made-plans.testing'
import type { Plan } from '../plan/schema/plan'
import { assessWithFixes } from '../remedies/assess-with-fixes'
import { reviewReport, surveyReport } from './report'

/** The plans whose reports are recorded, besides those of the demo. */
export const recordedPlans = (seed: number, number: number): readonly Plan[] =>
  fc.sample(madePlans, { seed, numRuns: number })

/** Keys of the reports that hold words, which may be edited without a change of an answer. */
const WORDED = new Set(['version', 'sentence', 'say', 'cautions', 'name', 'unit', 'fixesLeftOut'])

const withoutWords = (report: unknown) =>
  JSON.stringify(report, (key, value: unknown) => (WORDED.has(key) ? undefined : value), 1)

/** The version of the format when the reports were recorded. */
const RECORDED_VERSION = 4

const digest = (text: string) => createHash('sha256').update(text).digest('hex').slice(0, 16)

/** The reports of a plan as other software gets them, without their words. */
export interface PlanReports {
  readonly plan: string
  readonly survey: string
  readonly review: string
  /** The commands of all fixes. */
  readonly fixes?: string
}

/** What a plan's reports say, as text; the fixes only when they are asked for, for they take long. */
export function planReports(plan: Plan, withFixes: boolean): PlanReports {
  const { survey, review, remedies } = assessWithFixes(plan)
  return {
    // A version more of the format is no other plan.
    plan: JSON.stringify({ ...plan, version: RECORDED_VERSION }),
    survey: withoutWords(surveyReport(survey)),
    review: withoutWords(reviewReport(survey, review, () => [])),
    ...(withFixes && {
      fixes: withoutWords(
        review.findings.map((each) => remedies(each, { parts: [] }).map(({ command }) => command)),
      ),
    }),
  }
}

/** The digest of each of a plan's reports. */
export const reportDigests = (reports: PlanReports): PlanReports => ({
  plan: digest(reports.plan),
  survey: digest(reports.survey),
  review: digest(reports.review),
  ...(reports.fixes !== undefined && { fixes: digest(reports.fixes) }),
})
