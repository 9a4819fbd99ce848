import { assessWithFixes } from '@/core/api/assess'
import { readPlan, reviewReport } from '@/core/api/files'
import type { ReviewAnswer, ReviewQuestion } from './review-messages'

/** What parts the shop that asks has is not known here, so none is proposed. */
const NO_STOCK = { parts: [] }
/** So many fields are named of a plan that cannot be read; the rest is counted. */
const NAMED = 20

type Problem = { readonly path: string; readonly text: string }

function refused(problems: readonly Problem[]): ReviewAnswer {
  const error = problems[0]?.text ?? 'The plan cannot be read.'
  const more = problems.length > NAMED ? { more: problems.length - NAMED } : {}
  return { status: 400, body: JSON.stringify({ error, problems: problems.slice(0, NAMED), ...more }) }
}

/** What is answered to a body: its plan's review, or what is wrong with it. */
export function answerTo({ text, fixes }: ReviewQuestion): ReviewAnswer {
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch {
    return refused([{ path: 'plan', text: 'plan is not JSON.' }])
  }
  const read = readPlan(raw)
  if (!read.ok) return refused(read.problems)
  const { survey, review, remedies } = assessWithFixes(read.plan)
  const report = reviewReport(survey, review, (finding) => (fixes ? remedies(finding, NO_STOCK) : []))
  return { status: 200, body: JSON.stringify(report) }
}
