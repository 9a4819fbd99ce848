import fc from 'fast-check'
import { afterAll, describe, expect, inject, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { nightly } from '@/core/runs.testing'
import { dueOf } from '../bay/due'
import { handoverOf, placardLines } from '../handover/handover'
import { someEvents } from '../log/events.testing'
import { NOTHING_DONE } from '../log/record'
import { replay } from '../log/replay'
import { fullPlan } from '../plan/full-plan.testing'
import { bayRulesOf } from '../plan/schema/house'
import { patchBetween } from '../history/patch'
import type { Plan } from '../plan/schema/plan'
import { assess } from '../review/assess'
import { phraseText } from '../units/phrase'
import { printBackup, readBackup } from './backup'
import { logCsv, parseLogText, printLog } from './log-file'
import { compareCopies } from './copies'
import { mutated, mutatedTable } from './mutate.testing'
import { printBundle, readBundle } from './job-bundle'
import { parsePlanText, printPlan } from './plan-file'
import { reviewReport, surveyReport } from './report'
import { restorePreview } from './restoring'
import { readStockCsv, stockCsv } from './stock-csv'
import { parseStockText, stockText } from './stock-file'
import { STOCK_KINDS, type StockKind, type StockLists } from './stock-kinds'

const AT = '2026-03-02T08:00:00.000Z'
const EMPTY = { plans: {}, stock: {}, settings: {}, log: {}, pictures: {} }

/** The path of the first number in a value that is none, or of the first text that says so. */
function oddIn(value: unknown, path = ''): string | undefined {
  if (typeof value === 'number') return Number.isFinite(value) ? undefined : path
  if (typeof value === 'string') return /\bNaN\b|Infinity|undefined|\[object/.test(value) ? path : undefined
  if (typeof value !== 'object' || value === null) return undefined
  for (const [key, each] of Object.entries(value)) {
    const odd = oddIn(each, `${path}.${key}`)
    if (odd !== undefined) return odd
  }
  return undefined
}

const sound = (out: unknown) => expect(oddIn(out)).toBeUndefined()

/** Everything that is made of a plan: its survey and review as they go out, and its handover sheet. */
function fromPlan(plan: Plan): void {
  const { survey, review } = assess(plan)
  sound(surveyReport(survey))
  sound(reviewReport(survey, review, () => []))
  for (const finding of review.findings) sound(phraseText(finding.sentence))
  const rules = bayRulesOf(plan.rules)
  const sheet = handoverOf(
    survey,
    review,
    replay(someEvents).jobs.get(plan.id) ?? NOTHING_DONE,
    dueOf(someEvents, rules, [plan]),
    rules,
  )
  sound(sheet)
  sound(placardLines(sheet))
}

function fromStock(stock: StockLists): void {
  for (const kind of STOCK_KINDS) sound(stockCsv(kind, stock[kind] as never, 'us'))
}

const csvOf = (kind: StockKind) => stockCsv(kind, FEW[kind] as never, 'metric')
const FEW = Object.fromEntries(
  STOCK_KINDS.map((kind) => [kind, DEMO_STOCK[kind].slice(0, 3)]),
) as unknown as StockLists
const plans = [...DEMO_PLANS, fullPlan()]
const parcelOf = (plan: Plan) => {
  const before = { ...plan, job: { ...plan.job, name: 'Before' } }
  return {
    madeAt: AT,
    plan,
    steps: [{ at: AT, back: patchBetween(plan, before) }],
    events: someEvents,
    pictures: {},
  }
}

/** Each kind of file that comes in: what there is of it, and what is done with one; whether it was read. */
interface Kind {
  readonly texts: readonly string[]
  readonly damaged?: typeof mutated
  readonly read: (text: string) => boolean
}
const FILES: Readonly<Record<string, Kind>> = {
  plan: {
    texts: plans.map(printPlan),
    read(text) {
      const read = parsePlanText(text)
      if (read.ok) fromPlan(read.plan)
      else sound(read.problems)
      return read.ok
    },
  },
  parcel: {
    texts: plans.map((plan) => printBundle(parcelOf(plan), '0'.repeat(64))),
    read(text) {
      let raw: unknown
      try {
        raw = JSON.parse(text)
      } catch {
        return false
      }
      const read = readBundle(raw)
      if (!read.ok) return false
      const mine = plans.find(({ id }) => id === read.bundle.plan.id) ?? read.bundle.plan
      sound(compareCopies({ plan: mine, steps: [] }, read.bundle, AT))
      return true
    },
  },
  stock: {
    texts: [stockText(FEW)],
    read(text) {
      const read = parseStockText(text)
      if (read.ok) fromStock(read.stock)
      else sound(read.problems)
      return read.ok
    },
  },
  log: {
    texts: [printLog(someEvents)],
    read(text) {
      const read = parseLogText(text)
      if (!read.ok) return false
      sound(logCsv(read.events))
      const [plan] = DEMO_PLANS
      if (plan) sound(dueOf(read.events, bayRulesOf(plan.rules), [plan]))
      return true
    },
  },
  backup: {
    texts: [
      printBackup(
        {
          ...EMPTY,
          plans: Object.fromEntries(DEMO_PLANS.slice(0, 1).map((plan) => [plan.id, plan])),
          log: { a: someEvents[0] },
        },
        {},
        AT,
        'a'.repeat(64),
      ),
    ],
    read(text) {
      const read = readBackup(text)
      if (read.ok) sound(restorePreview(EMPTY, read.shelves, 'replace'))
      return read.ok
    },
  },
  ...Object.fromEntries(
    STOCK_KINDS.map((kind) => [
      `${kind} as CSV`,
      {
        texts: [csvOf(kind)],
        damaged: mutatedTable,
        read(text: string) {
          const preview = readStockCsv(kind, text, FEW[kind] as never, 'metric')
          sound(preview)
          return preview.problems.length === 0
        },
      },
    ]),
  ),
}

const ALL = 1_000_000
const count = new Map<string, { read: number; refused: number }>()

describe('files from elsewhere, damaged by dice', () => {
  const kinds = Object.entries(FILES)
  for (const [kind, { texts, damaged = mutated, read }] of kinds)
    it(`${kind}: is refused, or everything made of it holds`, () => {
      const tally = { read: 0, refused: 0 }
      count.set(kind, tally)
      fc.assert(
        fc.property(
          fc.nat(texts.length - 1),
          fc.array(fc.nat(), { minLength: 3, maxLength: 7 }),
          (which, dice) => {
            if (read(damaged(texts[which] ?? '', dice))) tally.read += 1
            else tally.refused += 1
          },
        ),
        { numRuns: Math.ceil(nightly(ALL) / kinds.length) },
      )
      expect(tally.read).toBeGreaterThan(0)
      expect(tally.refused).toBeGreaterThan(0)
    })
  afterAll(() => {
    if (!inject('deep')) return
    const said = [...count].map(([kind, { read, refused }]) => `${kind} ${read} read, ${refused} refused`)
    console.log(`Damaged files: ${said.join('; ')}`)
  })
})
