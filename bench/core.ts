import { readFile } from 'node:fs/promises'
import { apply, type Plan, STATES } from '@/core/api/plan'
import { assess, compatible, leftIn, linkVerdict, remediesFor, type Survey } from '@/core/api/assess'
import { parsePlanText } from '@/core/api/files'
import { contents, weighedMass } from '@/demo/compose'
import { gearBag, tripodCase, waveBoard } from '@/demo/gear/cargo'
import { longBox } from '@/demo/gear/carriers'
import { DEMO_PLANS, yardVan } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { alternating, median, ratio, type Ratio } from './ratio'

const size = (plan: Plan) => JSON.stringify(plan).length

/** The demo plan with most in it, so that no part of the survey is idle. */
const largest = DEMO_PLANS.reduce((so, plan) => (size(plan) > size(so) ? plan : so))

/** A plan with so many things of several kinds side by side on the van, every fourth of them a box with a load. */
export function withThings(count: number): Plan {
  const [like] = yardVan.placements
  if (!like) throw new Error('the van is empty')
  const kinds = [waveBoard, longBox, gearBag, tripodCase]
  return {
    ...yardVan,
    id: `things-${count}`,
    job: { name: `${count} things on the van` },
    gear: kinds,
    placements: Array.from({ length: count }, (_, i) => ({
      ...like,
      id: `thing-${i}`,
      gearId: kinds[i % kinds.length]?.id ?? gearBag.id,
      xMm: -2000 + (i % 5) * 2200,
      yMm: -2400 + Math.floor(i / 5) * 660,
      loads: i % 4 === 1 ? [contents(`load-${i}`, 'Contents', weighedMass(2))] : [],
    })),
  }
}

/** Reads plan files one after the other, as the shell does before it judges them. */
export async function readEach(files: readonly string[]): Promise<void> {
  for (const file of files)
    if (!parsePlanText(await readFile(file, 'utf8')).ok) throw new Error(`${file} cannot be read`)
}

const reviewed = (plan: Plan) => assess(plan).review

function allRemedies(plan: Plan): void {
  const { survey: surveyed, review: found } = assess(plan)
  for (const finding of found.findings) remediesFor(surveyed, found, finding, DEMO_STOCK)
}

/** Asks a survey for everything that is drawn while something is dragged: each link judged, what is left, feet, heights, what meets what. */
function drawn(of: Survey): void {
  for (const cell of of.loadPath.cells) linkVerdict(cell, of)
  for (const state of STATES) leftIn(of, state)
  const { fit, statics } = of
  for (const part of [fit.spreads, fit.widths, fit.near, fit.swings, fit.panes, statics.evenness]) part()
  if (of.footLoads.length === 0 || of.heights.road.topMm <= 0) throw new Error('nothing is drawn')
}

/** One step of a drag: the thing elsewhere, and all that is drawn from that. The verdicts follow a frame later. */
function dragging(plan: Plan): () => void {
  let now = assess(plan)
  let by = 10
  return () => {
    const [first] = now.plan.placements
    if (!first) throw new Error('nothing stands on the plan')
    by = -by
    const moved = apply(now.plan, {
      do: 'move',
      placementId: first.id,
      xMm: first.xMm + by,
      yMm: first.yMm,
    })
    if (!moved.ok) throw new Error(moved.reason)
    now = assess(moved.plan, now)
    drawn(now.survey)
  }
}

/** The core's ratios: against a copy of the plan, and as the plan grows. */
export function coreRatios(): Ratio[] {
  const assessment = alternating(
    () => reviewed(largest),
    () => structuredClone(largest),
    600,
    3000,
  )
  const step = alternating(dragging(largest), () => structuredClone(largest), 600, 1000)
  for (const plan of DEMO_PLANS) median(() => allRemedies(plan), 16)
  const worst = DEMO_PLANS.map((plan) => ({
    plan,
    times: alternating(
      () => allRemedies(plan),
      () => structuredClone(plan),
      16,
      16,
    ),
  })).reduce((so, each) => (each.times > so.times ? each : so))
  const gear = Array.from({ length: 5 }, (_, i) =>
    DEMO_STOCK.gear.map((each) => ({ ...each, id: `${each.id}-${i}` })),
  ).flat()
  const surveyed = assess(largest).survey
  const rackId = largest.racks[0]?.id ?? ''
  const shelf = median(
    () => gear.forEach((each) => compatible(surveyed, each, rackId, DEMO_STOCK.adapters, 'trial')),
    12,
  )
  const few = median(() => reviewed(withThings(10)), 60)
  const many = median(() => reviewed(withThings(400)), 20)
  const nLogN = (400 * Math.log(400)) / (10 * Math.log(10))
  return [
    ratio(
      `survey + review of the largest demo plan (${largest.job.name}), against structuredClone of it`,
      assessment,
      6,
    ),
    ratio(`a drag's step in the same plan, moved and surveyed again, against the same`, step, 3),
    ratio(
      `all remedies of the slowest demo plan (${worst.plan.job.name}), against structuredClone of it`,
      worst.times,
      120,
    ),
    ratio(
      `${gear.length} pieces of gear judged against the largest demo plan, against 50 ms (it runs in a worker)`,
      shelf / 50,
      1,
    ),
    ratio('growth from 10 to 400 placements, against n log n', many / few / nLogN, 1),
  ]
}
