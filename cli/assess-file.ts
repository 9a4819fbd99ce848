import {
  leftIn,
  leftPhrase,
  linksPhrase,
  assessWithFixes,
  type AssessmentWithFixes,
  fixesLeftOut,
  isOpen,
  notLookedAt,
  OUTCOME_WORD,
  type RemedyStock,
  STATE_WORD,
  type Verdict,
  VERDICT_WORD,
} from '../src/core/api/assess'
import { parsePlanText, reviewReport, surveyReport } from '../src/core/api/files'
import { type Part, phraseText, STATES, type UnitChoice } from '../src/core/api/plan'

/** Worst last: an unreadable file, then a Stop, then Find out. */
const EXIT: Readonly<Record<Verdict, number>> = { unplanned: 0, clear: 0, mind: 0, findOut: 2, stop: 1 }
export const UNREADABLE = 3

/** How files are judged and told of. */
export interface Asked {
  readonly verb: 'review' | 'survey'
  readonly json: boolean
  readonly choice: UnitChoice
  readonly parts: readonly Part[]
  /** One of several files is one line. */
  readonly many: boolean
}

/** What is said of a file: plain data, so that it can come from another thread. */
export interface Output {
  readonly code: number
  readonly out: readonly string[]
  readonly err: readonly string[]
  /** Where JSON was asked for and the file could be read. */
  readonly report?: unknown
}

type Outcome = { readonly code: number } & (
  { readonly assessment: AssessmentWithFixes } | { readonly problems: readonly string[] }
)

/** A plan's file, judged; or why it cannot be. */
export async function assessFile(path: string, read: (path: string) => Promise<string>): Promise<Outcome> {
  let text: string
  try {
    text = await read(path)
  } catch (error) {
    return {
      code: UNREADABLE,
      problems: [`plan cannot be opened: ${error instanceof Error ? error.message : 'unknown reason'}.`],
    }
  }
  const plan = parsePlanText(text)
  if (!plan.ok) return { code: UNREADABLE, problems: plan.problems.map((problem) => problem.text) }
  const assessment = assessWithFixes(plan.plan)
  return { code: EXIT[assessment.review.verdict], assessment }
}

/** What was not looked at, by name, as the end of a line. */
function notLookedWords({ review }: AssessmentWithFixes): string {
  const names = notLookedAt(review)
  return names.length === 0 ? '' : `. Not looked at: ${names.join(', ')}`
}

function oneLine(assessment: AssessmentWithFixes, choice: UnitChoice): string {
  const { survey, review } = assessment
  const { name } = survey.plan.job
  if (!review.planned) return `${name}. ${VERDICT_WORD.unplanned}: no rack and no gear`
  const states = STATES.map((state) => {
    const answer = leftIn(survey, state)
    const by = answer && 'by' in answer && answer.by.length > 0 ? `${linksPhrase(answer.by)}, ` : ''
    const left = answer ? ` (${by}${phraseText(leftPhrase(answer), choice)})` : ''
    return `${STATE_WORD[state]}: ${VERDICT_WORD[review.states[state]]}${left}`
  })
  return `${name}. ${states.join('; ')}${notLookedWords(assessment)}`
}

function inFull(assessment: AssessmentWithFixes, stock: RemedyStock, choice: UnitChoice): string[] {
  const { review, plan } = assessment
  const leftOut = fixesLeftOut(plan)
  return [
    oneLine(assessment, choice),
    ...review.findings
      .filter(isOpen)
      .flatMap((finding) => [
        `  ${OUTCOME_WORD[finding.severity]}: ${phraseText(finding.sentence, choice)}`,
        ...(finding.aside
          ? [`      Set aside by ${finding.aside.by} on ${finding.aside.on}: ${finding.aside.reason}`]
          : []),
        ...assessment.remedies(finding, stock).map((remedy) => `      ${phraseText(remedy.message, choice)}`),
      ]),
    ...(leftOut === undefined ? [] : [`  ${leftOut}`]),
    ...review.cautions.map((caution) => `  Caution: ${caution}`),
  ]
}

/** So much of what is wrong with a file that stands alone is said. */
const MOST_PROBLEMS = 20

/** Judges a file and says what was asked of it. */
export async function reportFile(
  path: string,
  { verb, json, choice, parts, many }: Asked,
  read: (path: string) => Promise<string>,
): Promise<Output> {
  const outcome = await assessFile(path, read)
  const { code } = outcome
  if ('problems' in outcome) {
    const said = outcome.problems.slice(0, many ? 1 : MOST_PROBLEMS)
    return { code, out: [], err: said.map((problem) => `${path}: ${problem}`) }
  }
  const { assessment } = outcome
  const stock = { parts }
  if (json)
    return {
      code,
      out: [],
      err: [],
      report:
        verb === 'survey'
          ? surveyReport(assessment.survey)
          : reviewReport(
              assessment.survey,
              assessment.review,
              (finding) => assessment.remedies(finding, stock),
              choice,
            ),
    }
  const out = many ? [`${path}: ${oneLine(assessment, choice)}`] : inFull(assessment, stock, choice)
  return { code, out, err: [] }
}
