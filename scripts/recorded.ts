import { assess, type Plan, planSchema } from '../src/core'
/**
 * Keeps what survey and review say of every demo plan and of a thousand made plans, and tells after a change whether
 * they still say the same, byte for byte: `npm run recorded keep`, then `npm run recorded`.
 */
import fc from 'fast-check'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { gunzipSync, gzipSync } from 'node:zlib'
import { madePlans } from '../src/core/plan/made-plans.testing'
import { DEMO_PLANS } from '../src/demo/plans'

const FOLDER = '.cache/recorded'
const SEED = 20261126
const NUMBER = 1000

/** Text of all that hangs on a value: maps as entries, what is worked out lazily worked out, what comes again by its number. */
function textOf(whole: unknown): string {
  const seen = new Map<object, number>()
  const plain = (value: unknown): unknown => {
    if (value === undefined) return 'undefined'
    if (typeof value === 'number')
      return Object.is(value, -0) ? 0 : Number.isFinite(value) ? value : String(value)
    if (typeof value === 'function')
      return value.length === 0 ? plain((value as () => unknown)()) : 'function'
    if (typeof value !== 'object' || value === null) return value
    const number = seen.get(value)
    if (number !== undefined) return `#${number}`
    seen.set(value, seen.size)
    if (value instanceof Map) return [...value].map(([key, each]) => [plain(key), plain(each)])
    if (value instanceof Set) return [...value].map(plain)
    if (ArrayBuffer.isView(value)) return [...(value as Float64Array)]
    if (Array.isArray(value)) return value.map(plain)
    return Object.fromEntries(
      Object.entries(value)
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([key, each]) => [key, plain(each)]),
    )
  }
  return JSON.stringify(plain(whole), undefined, 1)
}

function saidOf(plan: Plan): string {
  const { survey, review } = assess(plan)
  return `${textOf(survey)}\n${textOf(review)}`
}

const file = (name: string) => `${FOLDER}/${name}.gz`
const read = (name: string) => gunzipSync(readFileSync(file(name))).toString()
const write = (name: string, text: string) => writeFileSync(file(name), gzipSync(text, { level: 1 }))

if (process.argv[2] === 'keep') {
  mkdirSync(FOLDER, { recursive: true })
  const made = fc.sample(madePlans, { numRuns: NUMBER, seed: SEED })
  const plans = [...DEMO_PLANS, ...made].map((plan) => planSchema.parse(plan))
  write('plans', JSON.stringify(plans))
  for (const [i, plan] of plans.entries()) write(String(i), saidOf(plan))
  console.log(`Kept what is said of ${plans.length} plans (seed ${SEED}).`)
} else if (!existsSync(file('plans'))) {
  console.error('Nothing is kept yet: run "npm run recorded keep" before the change.')
  process.exit(2)
} else {
  const plans = (JSON.parse(read('plans')) as unknown[]).map((plan) => planSchema.parse(plan))
  let other = 0
  for (const [i, plan] of plans.entries()) {
    const [before, now] = [read(String(i)), saidOf(plan)]
    if (before === now) continue
    other += 1
    const [was, is] = [before.split('\n'), now.split('\n')]
    const at = was.findIndex((line, n) => line !== is[n])
    if (other <= 5) console.log(`${i} ${plan.job.name}, line ${at + 1}:\n  was ${was[at]}\n  is  ${is[at]}`)
  }
  console.log(`${plans.length - other} of ${plans.length} plans are said the same.`)
  if (other > 0) process.exit(1)
}
