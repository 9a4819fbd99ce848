import type { Arrangement, BarAt, RackAt, ThingAt } from '../frame/arrangement'
import { intersect, normal, subtract, type Interval, type Intervals } from '../../geometry/intervals'

/** What takes width on a bar: a thing's box across it. mm. */
interface Taken {
  readonly thing: ThingAt
  readonly from: number
  readonly to: number
}

/** One bar's width: what it offers, what is taken, and what is left with the house's gap kept. y in mm. */
export interface BarWidth {
  readonly bar: BarAt
  readonly usable: Interval
  readonly taken: readonly Taken[]
  readonly free: Intervals
  readonly leftMm: number
}

/** The widths of a rack's bars, and the widest thing that would still go over all of them. mm. */
export interface RackWidth {
  readonly rack: RackAt
  readonly bars: readonly BarWidth[]
  readonly widestMm: number
  readonly free: Intervals
}

const standsOn = (thing: ThingAt, at: BarAt): boolean => {
  const { host } = thing.placement
  return host.on === 'bars' && host.barIds.includes(at.bar.id)
}

/** Whether a thing hangs over a bar without standing on it: it takes the bar's width all the same. */
const passesOver = ({ box, placement, parent }: ThingAt, at: BarAt): boolean =>
  !parent &&
  placement.host.on === 'bars' &&
  box.x0 < at.box.x1 &&
  box.x1 > at.box.x0 &&
  box.z0 < at.box.z1 + 400

function widthOf(at: BarAt, things: readonly ThingAt[], gapMm: number): BarWidth {
  const taken = things
    .filter((thing) => standsOn(thing, at) || passesOver(thing, at))
    .map((thing) => ({ thing, from: thing.box.y0, to: thing.box.y1 }))
    .sort((a, b) => a.from - b.from)
  const usable: Interval = [at.usableY[0], at.usableY[1]]
  const free = subtract([usable], normal(taken.map(({ from, to }) => [from - gapMm, to + gapMm] as const)))
  return {
    bar: at,
    usable,
    taken,
    free: free.filter(([from, to]) => to - from > 1e-6),
    leftMm: free.reduce((sum, [from, to]) => sum + to - from, 0),
  }
}

/** Each rack's width, bar by bar, and over all its bars together: the shortest rules. Common practice, no source. */
export function rackWidths({ racks, things }: Arrangement, gapMm: number): RackWidth[] {
  return racks
    .filter(({ bars }) => bars.length > 0)
    .map((rack) => {
      const bars = rack.bars.map((at) => widthOf(at, things, gapMm))
      const free = bars.reduce<Intervals>((common, each) => intersect(common, each.free), [[-30_000, 30_000]])
      return { rack, bars, free, widestMm: Math.max(0, ...free.map(([from, to]) => to - from)) }
    })
}
