/**
 * Records the reports of survey and review, without their words, of every demo plan and of made plans, and tells after
 * a change whether they are still the same: `npm run recorded keep`, then `npm run recorded`. The digests are kept in
 * the project; the reports themselves stay in the cache of this machine, to show the first line that differs.
 */
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  type PlanReports,
  planReports,
  recordedPlans,
  reportDigests,
} from '../src/core/formats/report-digests.testing'
import { DEMO_PLANS } from '../src/demo/plans'

const DIGESTS = 'src/core/formats/report-digests.json'
const CACHE = '.cache/recorded'
const SEED = 20261201
const MADE = 200

interface Recorded {
  readonly seed: number
  readonly made: number
  readonly reports: readonly PlanReports[]
}

const cached = (i: number) => join(CACHE, `${i}.json`)
const PARTS = ['plan', 'survey', 'review', 'fixes'] as const

function firstDifference(before: string, now: string): string {
  const [was, is] = [before.split('\n'), now.split('\n')]
  const at = was.findIndex((line, n) => line !== is[n])
  return `line ${at + 1}:\n  was ${was[at] ?? ''}\n  is  ${is[at] ?? ''}`
}

const keep = process.argv[2] === 'keep'
const recorded = keep
  ? { seed: SEED, made: MADE, reports: [] }
  : (JSON.parse(readFileSync(DIGESTS, 'utf8')) as Recorded)
const plans = [...DEMO_PLANS, ...recordedPlans(recorded.seed, recorded.made)]
const digests: PlanReports[] = []
let different = 0
mkdirSync(CACHE, { recursive: true })
for (const [i, plan] of plans.entries()) {
  const reports = planReports(plan, true)
  const now = reportDigests(reports)
  digests.push(now)
  if (keep) {
    writeFileSync(cached(i), JSON.stringify(reports))
    continue
  }
  const was = recorded.reports[i]
  const part = PARTS.find((each) => was?.[each] !== now[each])
  if (part === undefined) continue
  different += 1
  const before = existsSync(cached(i))
    ? (JSON.parse(readFileSync(cached(i), 'utf8')) as PlanReports)
    : undefined
  const shown = before
    ? firstDifference(before[part] ?? '', reports[part] ?? '')
    : 'no copy of the report here'
  if (different <= 5) console.log(`${i} ${plan.job.name}: ${part}, ${shown}`)
}
if (keep) {
  writeFileSync(DIGESTS, `${JSON.stringify({ seed: SEED, made: MADE, reports: digests }, undefined, 1)}\n`)
  console.log(`Recorded the reports of ${plans.length} plans (seed ${SEED}).`)
} else {
  console.log(`${plans.length - different} of ${plans.length} plans have the same reports.`)
  if (different > 0) process.exit(1)
}
