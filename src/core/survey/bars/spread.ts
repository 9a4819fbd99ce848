import { hasSpacing, OPEN_MM, rangeEnds } from '../../kinds/mount'
import type { SingleCommand } from '../../plan/commands/command'
import type { Placement } from '../../plan/schema/placement'
import type { Plan } from '../../plan/schema/plan'
import type { HouseRules } from '../../plan/schema/house'
import { roofZ, type Arrangement, type BarAt, type ThingAt } from '../frame/arrangement'
import { intersect, nearest, normal, type Interval, type Intervals } from '../../geometry/intervals'
import { seatsOfBar, sheetSpread } from './seat-windows'
import {
  conflicts,
  membersOf,
  onlyMembers,
  solveSpread,
  type BarWindow,
  type SpreadAsk,
  type SpreadProblem,
  type SpreadSolution,
} from './spread-problem'
import { forwardToClear, sharesWidth, slideBox, swingsOf, tiltOf } from '../openings/swings'

/** Who has a say in where bars stand, by name. Its id is that of a thing, of the vehicle or of an obstacle. */
export interface SpreadMember {
  readonly id: string
  readonly name: string
  readonly kind: 'vehicle' | 'obstacle' | 'sheet' | 'thing'
}

/** What one thing wants between two neighbouring bars of its own, mm: of several spreads the one nearest to how they stand. */
export interface WantedSpread {
  readonly member: SpreadMember
  readonly from: number
  readonly to: number
  /** How many other spreads would do as well. */
  readonly or?: number | undefined
  /** Where it is best, of what it may have. */
  readonly likesMm?: number | undefined
}

/** Two neighbouring bars, with what everything wants of the spread between them. mm. */
export interface SpreadPair {
  readonly front: BarAt
  readonly rear: BarAt
  readonly nowMm: number
  readonly wants: readonly WantedSpread[]
  /** What the wants alone leave, before the vehicle has its say. */
  readonly common: Intervals
}

/** The spread of all bars on the plan: bars in order of x, pairs, and the problem they pose. */
export interface Spreads {
  readonly bars: readonly BarAt[]
  readonly pairs: readonly SpreadPair[]
  readonly problem: SpreadProblem
  readonly memberById: ReadonlyMap<string, SpreadMember>
  /** Whether the vehicle leaves the bar no choice. */
  locked(bar: BarAt): boolean
  /** Where a fit sheet puts the bar, of all that it lets pass. x in mm */
  sheetPlace(bar: BarAt): number | undefined
  solution(): SpreadSolution | undefined
  conflicts(): readonly (readonly SpreadMember[])[]
}

/** All of a thing that its say in the spread of its bars depends on: where on them it stands is no matter. */
type Wanting = Pick<ThingAt, 'gear' | 'turn'> & {
  readonly placement: Pick<Placement, 'id' | 'host' | 'fitting'>
}
export const spreadInputs = ({
  gear,
  turn,
  placement: { id, host, fitting },
}: Wanting): readonly unknown[] => [gear, turn, id, host, fitting]

/** The spreads that a thing may have between neighbouring bars, from its sheet, its adapter or its brackets. mm. */
export function spreadWanted({ gear, placement, turn }: Wanting): Intervals | undefined {
  const { mount, spreadMm, otherSpreadsMm = [] } = gear.fit
  const across = turn === 90 || turn === 270
  const brackets = hasSpacing(mount) && (mount.direction === 'along') !== across ? mount.spacingMm : undefined
  const own = spreadMm ? [spreadMm, ...otherSpreadsMm] : otherSpreadsMm
  const wants = [own, brackets ? [brackets] : [], placement.fitting?.adapter?.spreadMm ?? []]
    .map((each) => [each].flat())
    .filter((each) => each.length > 0)
  if (wants.length === 0) return undefined
  const intervals = wants.map((each) => normal(each.map(rangeEnds)))
  return intervals.reduce((common, each) => intersect(common, each))
}

/** Of several spreads, the one that the bars stand in or nearest to. mm. */
export function nearestOf(spreads: Intervals, nowMm: number): Interval | undefined {
  const off = ([from, to]: Interval) => Math.max(from - nowMm, nowMm - to, 0)
  return spreads.toSorted((a, b) => off(a) - off(b))[0]
}

const VEHICLE: SpreadMember = { id: 'vehicle', name: 'the vehicle', kind: 'vehicle' }

/** Where a sunroof and a hatch leave a bar room to stand. */
function obstacleWindows(
  plan: Pick<Plan, 'vehicle' | 'rules'>,
  bars: readonly BarAt[],
): { member: SpreadMember; bar: number; within: Intervals }[] {
  const { obstacles } = plan.vehicle
  const { sunroof: paneGap, hatch: hatchGap } = plan.rules.gapsMm
  const found: { member: SpreadMember; bar: number; within: Intervals }[] = []
  for (const obstacle of obstacles) {
    const member: SpreadMember = { id: obstacle.id, name: obstacle.name, kind: 'obstacle' }
    bars.forEach((at, bar) => {
      const half = at.bar.profile.widthMm / 2
      const roof = roofZ(plan.vehicle)
      if (obstacle.kind === 'sunroof') {
        if (!sharesWidth(at.box, obstacle.widthMm / 2)) return
        const room = at.box.z0 - roof - paneGap
        const barred: Interval[] = []
        const tilt = tiltOf(obstacle, plan.vehicle)
        const rise = obstacle.tiltRiseMm ?? 0
        const { fromMm, toMm } = obstacle.openingMm
        if (tilt && rise > room)
          barred.push([
            fromMm + Math.max(0, room / rise) * (toMm - fromMm) - half - paneGap,
            toMm + half + paneGap,
          ])
        const slide = slideBox(obstacle, plan.vehicle)
        if (slide && slide.z1 - roof > room)
          barred.push([slide.x0 - half - paneGap, slide.x1 + half + paneGap])
        if (barred.length === 0) return
        const edge = normal(barred)
        const open: Interval[] = []
        let from = -OPEN_MM
        for (const [low, high] of edge) {
          open.push([from, low])
          from = high
        }
        found.push({ member, bar, within: normal([...open, [from, OPEN_MM]]) })
      }
      if (obstacle.kind === 'hatch' && sharesWidth(at.box, obstacle.halfWidthMm)) {
        const swings = swingsOf(obstacle, obstacles)
        const last = Math.max(obstacle.hinge.xMm, at.bar.xMm)
        const box = { ...at.box, x0: last - half, x1: last + half }
        const by = forwardToClear(swings, box, hatchGap)
        if (by !== undefined && by > 0) found.push({ member, bar, within: [[-OPEN_MM, last - by]] })
      }
    })
  }
  return found
}

/** Everything that has a say in the spread of the bars. Solved only when it is asked for. */
export function spreadsOf(
  plan: Pick<Plan, 'vehicle' | 'rules'>,
  arrangement: Pick<Arrangement, 'racks' | 'bars'> & { readonly things: readonly Wanting[] },
): Spreads {
  const bars = arrangement.bars.toSorted((a, b) => a.bar.xMm - b.bar.xMm)
  const order = new Map(bars.map((at, index) => [at.bar.id, index]))
  const memberById = new Map<string, SpreadMember>([[VEHICLE.id, VEHICLE]])
  const asks: (SpreadAsk & { member: SpreadMember; likesMm: number | undefined })[] = []
  for (const thing of arrangement.things) {
    const { host, id } = thing.placement
    const wanted = host.on === 'bars' && host.barIds.length > 1 ? spreadWanted(thing) : undefined
    if (!wanted || host.on !== 'bars') continue
    const member: SpreadMember = { id, name: thing.gear.name, kind: 'thing' }
    memberById.set(id, member)
    const all = host.barIds.flatMap((barId) => order.get(barId) ?? []).sort((a, b) => a - b)
    // On one rack the spread is that of neighbours; over two racks what counts is from its first bar to its last.
    const several = new Set(all.map((i) => bars[i]?.rack.id)).size > 1
    const own = several ? [all[0] ?? 0, all.at(-1) ?? 0] : all
    own.forEach((to, i) => {
      const from = own[i - 1]
      if (from !== undefined)
        asks.push({ member, by: id, from, to, spread: wanted, likesMm: thing.gear.fit.likesMm })
    })
  }
  for (const rack of arrangement.racks) {
    const sheet = sheetSpread(rack)
    if (!sheet || sheet.locked) continue
    const member: SpreadMember = {
      id: rack.rack.id,
      name: `the fit sheet of ${rack.rack.name}`,
      kind: 'sheet',
    }
    memberById.set(member.id, member)
    const [from, to] = [order.get(sheet.front.bar.id) ?? 0, order.get(sheet.rear.bar.id) ?? 0]
    asks.push({ member, by: member.id, from, to, spread: [sheet.spread], likesMm: undefined })
  }
  const apart: SpreadAsk[] = []
  const pairKeys = new Set<string>()
  const pairs: SpreadPair[] = []
  const pair = (from: number, to: number) => {
    const [front, rear] = [bars[from], bars[to]]
    const key = `${from}-${to}`
    if (!front || !rear || pairKeys.has(key)) return
    pairKeys.add(key)
    const here = asks.filter((ask) => ask.from === from && ask.to === to)
    const nowMm = rear.bar.xMm - front.bar.xMm
    pairs.push({
      front,
      rear,
      nowMm,
      wants: here.flatMap(({ member, spread, likesMm }) => {
        const piece = nearestOf(spread, nowMm)
        return piece ? [{ member, from: piece[0], to: piece[1], or: spread.length - 1, likesMm }] : []
      }),
      common: here.reduce<Intervals>((common, { spread }) => intersect(common, spread), [[0, 200_000]]),
    })
  }
  for (const rack of arrangement.racks)
    rack.bars.forEach((at, i) => {
      const before = rack.bars[i - 1]
      if (!before) return
      const [from, to] = [order.get(before.bar.id) ?? -1, order.get(at.bar.id) ?? -1]
      pair(from, to)
      // Two bars keep a bar's width between them, edge to edge.
      const wide = Math.max(before.bar.profile.widthMm, at.bar.profile.widthMm)
      const least = wide + (before.bar.profile.widthMm + at.bar.profile.widthMm) / 2
      apart.push({ by: VEHICLE.id, from, to, spread: [[least, 200_000]] })
    })
  for (const { from, to } of asks) pair(from, to)

  let posed: SpreadProblem | undefined
  const problem = (): SpreadProblem => {
    if (posed) return posed
    const windows: BarWindow[] = bars.flatMap((at, bar) => {
      const seats = seatsOfBar(arrangement, at)?.within
      const { fromXMm, toXMm } = plan.vehicle.roof
      const within = seats && at.onRoof && fromXMm < toXMm ? intersect(seats, [[fromXMm, toXMm]]) : seats
      return within ? [{ by: VEHICLE.id, bar, within }] : []
    })
    for (const { member, bar, within } of obstacleWindows(plan, bars)) {
      memberById.set(member.id, member)
      windows.push({ by: member.id, bar, within })
    }
    posed = { bars: bars.length, windows, asks: [...asks, ...apart] }
    return posed
  }
  let solved: { readonly solution: SpreadSolution | undefined } | undefined
  let conflicting: readonly (readonly SpreadMember[])[] | undefined
  return {
    bars,
    pairs,
    memberById,
    get problem() {
      return problem()
    },
    locked: (at) => seatsOfBar(arrangement, at)?.locked ?? false,
    sheetPlace: (at) => seatsOfBar(arrangement, at)?.atMm,
    solution: () => (solved ??= { solution: solveSpread(problem()) }).solution,
    conflicts: () =>
      (conflicting ??= conflicts(problem()).map((set) => set.flatMap((id) => memberById.get(id) ?? []))),
  }
}

/** Who binds an end of what a pair may have: without them it would reach further. */
export function binding(
  spreads: Spreads,
  pair: SpreadPair,
): { readonly low: SpreadMember[]; readonly high: SpreadMember[] } {
  const { problem } = spreads
  const [from, to] = [spreads.bars.indexOf(pair.front), spreads.bars.indexOf(pair.rear)]
  const all = spreads.solution()?.between(from, to)
  const [first, last] = [all?.[0], all?.at(-1)]
  if (!first || !last) return { low: [], high: [] }
  const members = membersOf(problem)
  const low: SpreadMember[] = []
  const high: SpreadMember[] = []
  for (const id of members) {
    const rest = new Set(members.filter((each) => each !== id))
    const without = solveSpread(onlyMembers(problem, rest))?.between(from, to)
    const member = spreads.memberById.get(id)
    if (!member || !without) continue
    if ((without[0]?.[0] ?? 0) < first[0] - 1e-6) low.push(member)
    if ((without.at(-1)?.[1] ?? 0) > last[1] + 1e-6) high.push(member)
  }
  return { low, high }
}

/** How the bars' new places are chosen: with the least movement from the front or the rear, or by the house's school. */
export type SpreadChoice = 'frontStays' | 'rearStays' | HouseRules['spread']

/** A bar that must move goes to where its sheet puts it, not to the edge of what the sheet lets pass. */
function pointOr(
  able: Intervals,
  x: number | undefined,
  wanted: number,
  { bars, sheetPlace }: Spreads,
  bar: number,
): number | undefined {
  const at = bars[bar]
  if (!at || x === undefined || x === wanted) return x
  const point = sheetPlace(at)
  return point !== undefined && able.some(([from, to]) => point >= from && point <= to) ? point : x
}

const fixed = (problem: SpreadProblem, bar: number, x: number): SpreadProblem => ({
  ...problem,
  windows: [...problem.windows, { by: 'chosen', bar, within: [[x - 1e-6, x + 1e-6]] }],
})

/** The middle of a range, mm; the end it has where the other is open. */
const middleOf = (low: number, high: number): number =>
  high >= OPEN_MM ? low : low <= 0 ? high : (low + high) / 2

/**
 * Where the bars go, mm, or nothing when no place suits all. The house's schools: `wide` takes the largest
 * spread, `nominal` the middle of what the gear asks, `clear` keeps the rearmost bar as far forward as it can
 * be (hatch and sunroof first). Common practice, no source.
 */
export function chooseBars(spreads: Spreads, choice: SpreadChoice): readonly number[] | undefined {
  const now = spreads.bars.map(({ bar }) => bar.xMm)
  const count = now.length
  let { problem } = spreads
  const chosen: number[] = []
  const order = now.map((_, i) => i)
  if (choice === 'rearStays' || choice === 'clear') order.reverse()
  if (choice === 'wide' || choice === 'nominal')
    for (const { front, rear, wants } of spreads.pairs) {
      const [from, to] = [spreads.bars.indexOf(front), spreads.bars.indexOf(rear)]
      const able = solveSpread(problem)?.between(from, to)
      // A fit sheet's range is what may be, and no wish.
      const wishes = choice === 'wide' ? wants : wants.filter(({ member }) => member.kind !== 'sheet')
      if (!able || wishes.length === 0) continue
      const likes = wishes.map(({ from: low, to: high, likesMm }) => likesMm ?? middleOf(low, high))
      const middle = likes.reduce((sum, each) => sum + each, 0) / likes.length
      const target = choice === 'wide' ? able.at(-1)?.[1] : nearest(able, middle)
      if (target !== undefined)
        problem = {
          ...problem,
          asks: [...problem.asks, { by: 'chosen', from, to, spread: [[target - 1e-6, target + 1e-6]] }],
        }
    }
  for (const bar of order) {
    const able = solveSpread(problem)?.positions[bar]
    if (!able) return undefined
    const wanted = choice === 'clear' && bar === count - 1 ? -OPEN_MM : (now[bar] ?? 0)
    const x = pointOr(able, nearest(able, wanted), wanted, spreads, bar)
    if (x === undefined) return undefined
    chosen[bar] = x
    problem = fixed(problem, bar, x)
  }
  return chosen
}

/** The edits that bring the bars there; none for a bar that stands there already. Whole tenths of a millimetre. */
export function barMoves(spreads: Spreads, xs: readonly number[]): SingleCommand[] {
  return spreads.bars.flatMap(({ bar }, i): SingleCommand[] => {
    const x = Math.round((xs[i] ?? bar.xMm) * 10) / 10
    return Math.abs(x - bar.xMm) < 0.05 ? [] : [{ do: 'moveBar', barId: bar.id, xMm: x }]
  })
}
