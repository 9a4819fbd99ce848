import {
  assess,
  type Assessment,
  formatQuantity,
  isOpen,
  METRIC,
  notLookedAt,
  OUTCOME_WORD,
  parseLogText,
  parsePartsText,
  fixesLeftOut,
  parsePlanText,
  type Part,
  phraseText,
  type ReadLog,
  type RemedyStock,
  reviewReport,
  STATE_WORD,
  STATES,
  surveyReport,
  type UnitChoice,
  type Verdict,
  VERDICT_WORD,
} from '../src/core'
import { bayOf } from './bay-command'

interface ShellStreams {
  read(path: string): Promise<string>
  out(line: string): void
  err(line: string): void
}

const USAGE = `Usage:
  ypsos review FILE...            one line each; several lines for a single file
  ypsos review FILE... --json     the review, as docs/review.schema.json describes it
  ypsos survey FILE... --json     the survey, as docs/survey.schema.json describes it
  ypsos bay FILE                  where the job stands in the bay: what is next, what holds it, what is left
  ypsos bay FILE --json           the same, as docs/bay.schema.json describes it
  --log=FILE                      the log that says what was done, as the log page writes it
  --us                            pounds and inches in sentences
  --stock=FILE                    a JSON list of parts on the shelf, to be proposed where one is too weak

Exit: 0 clear, mind or nothing planned, 1 stop, 2 find out, 3 unreadable file or wrong usage. Of many files, the
worst. In the bay: 0 all done, 1 something read or counted stops it, 2 still to do.`

/** Worst last: an unreadable file, then a Stop, then Find out. */
const EXIT: Readonly<Record<Verdict, number>> = { unplanned: 0, clear: 0, mind: 0, findOut: 2, stop: 1 }
const UNREADABLE = 3
const WORST_FIRST = [UNREADABLE, 1, 2, 0]

type Outcome = { readonly code: number; readonly path: string } & (
  { readonly judged: Assessment } | { readonly problems: readonly string[] }
)

async function judgeFile(path: string, shell: ShellStreams): Promise<Outcome> {
  let text: string
  try {
    text = await shell.read(path)
  } catch (error) {
    return {
      code: UNREADABLE,
      path,
      problems: [`plan cannot be opened: ${error instanceof Error ? error.message : 'unknown reason'}.`],
    }
  }
  const read = parsePlanText(text)
  if (!read.ok) return { code: UNREADABLE, path, problems: read.problems.map((problem) => problem.text) }
  const judged = assess(read.plan)
  return { code: EXIT[judged.review.verdict], path, judged }
}

const STOCK_FLAG = '--stock='
const LOG_FLAG = '--log='

async function readStock(
  file: string | undefined,
  shell: ShellStreams,
): Promise<{ readonly parts: readonly Part[] } | { readonly problem: string }> {
  if (file === undefined) return { parts: [] }
  try {
    const read = parsePartsText(await shell.read(file))
    return read.ok ? { parts: read.parts } : { problem: read.problems[0]?.text ?? 'parts cannot be read.' }
  } catch (error) {
    return {
      problem: `parts cannot be opened: ${error instanceof Error ? error.message : 'unknown reason'}.`,
    }
  }
}

/** The bay of one file, with its log. */
async function runBay(
  file: string,
  flags: readonly string[],
  shell: ShellStreams,
  choice: UnitChoice,
): Promise<number> {
  const outcome = await judgeFile(file, shell)
  if ('problems' in outcome) {
    for (const problem of outcome.problems.slice(0, 20)) shell.err(`${file}: ${problem}`)
    return UNREADABLE
  }
  const logFile = flags.find((flag) => flag.startsWith(LOG_FLAG))?.slice(LOG_FLAG.length)
  let log: ReadLog = { ok: true, events: [] }
  if (logFile !== undefined)
    try {
      log = parseLogText(await shell.read(logFile))
    } catch (error) {
      log = {
        ok: false,
        problems: [
          {
            path: 'log',
            text: `log cannot be opened: ${error instanceof Error ? error.message : 'unknown reason'}.`,
          },
        ],
      }
    }
  if (!log.ok) {
    shell.err(`${logFile ?? ''}: ${log.problems[0]?.text ?? 'log cannot be read.'}`)
    return UNREADABLE
  }
  const { code, lines } = bayOf(outcome.judged, log.events, flags.includes('--json'), choice)
  for (const line of lines) (code === UNREADABLE ? shell.err : shell.out)(line)
  return code
}

/** What was not looked at, by name, as the end of a line. */
function notLookedWords({ review }: Assessment): string {
  const names = notLookedAt(review)
  return names.length === 0 ? '' : `. Not looked at: ${names.join(', ')}`
}

function oneLine(assessment: Assessment, choice: UnitChoice): string {
  const { survey, review } = assessment
  const { name } = survey.plan.job
  if (!review.planned) return `${name}. ${VERDICT_WORD.unplanned}: no rack and no gear`
  const states = STATES.map((state) => {
    const governing = survey.loadPath.governing[state]
    const left =
      governing?.leftKg === undefined
        ? ''
        : ` (${governing.layer.name}, ${formatQuantity('mass', Math.abs(governing.leftKg), choice)} ${governing.leftKg < 0 ? 'over' : 'left'})`
    return `${STATE_WORD[state]}: ${VERDICT_WORD[review.states[state]]}${left}`
  })
  return `${name}. ${states.join('; ')}${notLookedWords(assessment)}`
}

function inFull(assessment: Assessment, stock: RemedyStock, choice: UnitChoice): string[] {
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

/** Runs the command line; gives the exit code. */
export async function runCommandLine(args: readonly string[], shell: ShellStreams): Promise<number> {
  const [verb, ...rest] = args
  const flags = rest.filter((arg) => arg.startsWith('--'))
  const files = rest.filter((arg) => !arg.startsWith('--'))
  const [file] = files
  const own = verb === 'bay' ? LOG_FLAG : STOCK_FLAG
  const unknown = flags.find((flag) => flag !== '--json' && flag !== '--us' && !flag.startsWith(own))
  const known = verb === 'review' || verb === 'survey' || (verb === 'bay' && files.length === 1)
  if (!known || file === undefined || unknown !== undefined) {
    shell.err(unknown === undefined ? USAGE : `${unknown} is not known here.\n${USAGE}`)
    return UNREADABLE
  }
  const json = flags.includes('--json') || verb === 'survey'
  const choice: UnitChoice = flags.includes('--us') ? { show: 'us', denominator: 16 } : METRIC

  if (verb === 'bay') return runBay(file, flags, shell, choice)

  const stockFile = flags.find((flag) => flag.startsWith(STOCK_FLAG))?.slice(STOCK_FLAG.length)
  const stock = await readStock(stockFile, shell)
  if ('problem' in stock) {
    shell.err(`${stockFile ?? ''}: ${stock.problem}`)
    return UNREADABLE
  }
  const outcomes: Outcome[] = []
  for (const path of files) outcomes.push(await judgeFile(path, shell))
  const reports: unknown[] = []
  for (const outcome of outcomes) {
    if ('problems' in outcome) {
      for (const problem of outcome.problems.slice(0, files.length > 1 ? 1 : 20))
        shell.err(`${outcome.path}: ${problem}`)
      continue
    }
    const { judged } = outcome
    if (json)
      reports.push(
        verb === 'survey'
          ? surveyReport(judged.survey)
          : reviewReport(judged.survey, judged.review, (finding) => judged.remedies(finding, stock), choice),
      )
    else if (files.length > 1) shell.out(`${outcome.path}: ${oneLine(judged, choice)}`)
    else for (const line of inFull(judged, stock, choice)) shell.out(line)
  }
  if (json && reports.length > 0) shell.out(JSON.stringify(files.length > 1 ? reports : reports[0], null, 2))
  const codes = outcomes.map((outcome) => outcome.code)
  return WORST_FIRST.find((code) => codes.includes(code)) ?? 0
}
