import { Session } from 'node:inspector/promises'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { bayRulesOf, type Plan } from '@/core/api/plan'
import { handoverOf, NOTHING_DONE } from '@/core/api/fit'
import { assess } from '@/core/api/assess'
import { readPlan, reviewReport } from '@/core/api/files'
import { boatAndBox } from '@/demo/plans'

/** How many things, and kinds of them, the format lets a plan hold. */
const MOST = { placements: 1000, gear: 500 }

/**
 * How often anything in the core ran: counted, so that a busy machine changes nothing. It stands beside what runs the core,
 * in a world of its own: counting slows down whatever shares one with it.
 */
const session = new Session()
beforeAll(async () => {
  session.connect()
  await session.post('Profiler.enable')
  await session.post('Profiler.startPreciseCoverage', { callCount: true, detailed: true })
})
afterAll(async () => {
  await session.post('Profiler.stopPreciseCoverage')
  session.disconnect()
})

async function work(run: () => unknown): Promise<number> {
  await session.post('Profiler.takePreciseCoverage')
  run()
  const { result } = await session.post('Profiler.takePreciseCoverage')
  return result
    .filter(({ url }) => url.includes('/src/core/') || url.includes('zod'))
    .flatMap(({ functions }) => functions.flatMap(({ ranges }) => ranges.map(({ count }) => count)))
    .reduce((sum, count) => sum + count, 0)
}

const box = boatAndBox.placements.find(({ id }) => id === 'long-box')!
const boxGear = boatAndBox.gear.find(({ id }) => id === box.gearId)!

/** So many boxes, each of its own kind: along the vehicle, or all in one place. */
const boxes = (count: number, apartMm: number): Plan => ({
  ...boatAndBox,
  gear: Array.from({ length: Math.min(count, MOST.gear) }, (_, i) => ({
    ...boxGear,
    id: `gear-${i}`,
    name: `Box ${i}`,
  })),
  placements: Array.from({ length: count }, (_, i) => ({
    ...box,
    id: `placed-${i}`,
    gearId: `gear-${i % MOST.gear}`,
    xMm: box.xMm + (i - count / 2) * apartMm,
  })),
})

function all(raw: unknown): void {
  const read = readPlan(raw)
  if (!read.ok) throw new Error(read.problems[0]?.text)
  const { survey, review } = assess(read.plan)
  reviewReport(survey, review, () => [])
  const rules = bayRulesOf(read.plan.rules)
  handoverOf(survey, review, NOTHING_DONE, [], rules)
}

/** How the work grows from one doubling of the things to the next. */
async function growth(apartMm: number, counts: readonly number[]): Promise<number[]> {
  const works: number[] = []
  for (const count of counts) works.push(await work(() => all(boxes(count, apartMm))))
  return works.slice(1).map((each, i) => each / (works[i] ?? 1))
}

describe('reading, survey, review and sheet', () => {
  it('take twice the work for twice the things where those stand apart', async () => {
    all(boxes(100, 40))
    for (const ratio of await growth(40, [100, 200, 400])) expect(ratio).toBeLessThan(2.4)
  })

  it('take no more than the pairs of a heap in which everything meets everything', async () => {
    // Of a smaller heap more of the work is that of its things.
    const [count, perPair] = inject('deep') ? [MOST.placements, 41] : [400, 80]
    const heap = boxes(count, 0)
    const pairs = (count * (count - 1)) / 2
    expect(await work(() => all(heap))).toBeLessThan(pairs * perPair)
  })
})
