import { METRIC, type Part, type UnitChoice } from '../src/core/api/plan'
import { parseLogText, parsePartsText, type ReadLog } from '../src/core/api/files'
import { bayOf } from './bay-command'
import { type Asked, assessFile, type Output, UNREADABLE } from './assess-file'

interface ShellStreams {
  read(path: string): Promise<string>
  /** What is said of each file, in their order. */
  tell(files: readonly string[], asked: Asked): AsyncIterable<Output>
  out(line: string): void
  err(line: string): void
}

const USAGE = `Usage:
  ypsos review FILE...            one line each; several lines for a single file
  ypsos review FILE... --json     the review, as docs/review.schema.json describes it
  ypsos survey FILE... --json     the survey, as docs/survey.schema.json describes it
  ypsos bay FILE                  the state of the fitting: the next step, what holds it, what is left
  ypsos bay FILE --json           the same, as docs/bay.schema.json describes it
  --log=FILE                      the log of the work, as the log page writes it
  --us                            pounds and inches in sentences
  --stock=FILE                    a JSON list of spare parts, to propose where a part is too weak

Exit: 0 clear, mind or nothing planned, 1 stop, 2 find out, 3 unreadable file or wrong usage. Of many files, the
worst. Fitting: 0 all done, 1 a reading or a count stops it, 2 steps to do.`

const WORST_FIRST = [UNREADABLE, 1, 2, 0]

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
  const outcome = await assessFile(file, shell.read)
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
  const { code, lines } = bayOf(outcome.assessment, log.events, flags.includes('--json'), choice)
  for (const line of lines) (code === UNREADABLE ? shell.err : shell.out)(line)
  return code
}

/** Runs the command line; gives the exit code. */
export async function runCommandLine(args: readonly string[], shell: ShellStreams): Promise<number> {
  const [verb, ...rest] = args
  const flags = rest.filter((arg) => arg.startsWith('--'))
  const files = rest.filter((arg) => !arg.startsWith('--'))
  const [file] = files
  const own = verb === 'bay' ? LOG_FLAG : STOCK_FLAG
  const unknown = flags.find((flag) => flag !== '--json' && flag !== '--us' && !flag.startsWith(own))
  const understood = verb === 'review' || verb === 'survey' || (verb === 'bay' && files.length === 1)
  if (!understood || file === undefined || unknown !== undefined) {
    shell.err(unknown === undefined ? USAGE : `${unknown} is no known option.\n${USAGE}`)
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
  const asked: Asked = { verb, json, choice, parts: stock.parts, many: files.length > 1 }
  const codes = new Set<number>()
  const reports: unknown[] = []
  for await (const { code, out, err, report } of shell.tell(files, asked)) {
    codes.add(code)
    for (const line of err) shell.err(line)
    for (const line of out) shell.out(line)
    if (report !== undefined) reports.push(report)
  }
  if (json && reports.length > 0) shell.out(JSON.stringify(files.length > 1 ? reports : reports[0], null, 2))
  return WORST_FIRST.find((code) => codes.has(code)) ?? 0
}
