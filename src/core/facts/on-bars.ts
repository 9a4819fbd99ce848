import type { BarAt, ThingAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { mostBy } from '../units/pick'
import { atMost, between, fails, type Compared } from './comparison'

/** What shims or legs may still make up between the tops of bars. Common practice, no source. mm. */
const SHIM_MM = 20

/** How a thing stands on the bars that are said to hold it. mm. */
interface OnBars {
  /** The bar that it reaches least, and whether that is ahead of it. */
  readonly at: BarAt
  readonly forward: boolean
  /** How far it ends short of that bar. */
  readonly short: Compared
  readonly count: number
  /** How many bars it asks for. */
  readonly bars: Compared | undefined
  /** How far the tops of its bars differ, against what the house levels without asking. */
  readonly step: Compared
  /** The same against what shims or legs can make up. */
  readonly shim: Compared
  /** How near it is to a Stop, by what kind of length. */
  readonly toStop: Readonly<Record<'gear' | 'bar' | 'rack' | 'vehicle' | 'attachment', number>>
}

const overBar = ({ box }: ThingAt, { bar }: BarAt): number => Math.max(box.x0 - bar.xMm, bar.xMm - box.x1)

/** How a thing stands on its bars; nothing where it stands on none. */
export function barsUnder(survey: Survey, thing: ThingAt): OnBars | undefined {
  const { host } = thing.placement
  if (host.on !== 'bars') return undefined
  const own = survey.bars.filter(({ bar }) => host.barIds.includes(bar.id))
  const at = mostBy(own, (each) => overBar(thing, each))
  if (!at) return undefined
  const { fit } = thing.gear
  const tops = own.map(({ box }) => box.z1)
  const stepMm = Math.max(...tops) - Math.min(...tops)
  const shortMm = overBar(thing, at)
  const room = SHIM_MM - stepMm
  const apart = new Set(own.map(({ attachment }) => attachment)).size > 1 ? room : Infinity
  const count = host.barIds.length
  return {
    at,
    forward: thing.box.x0 - at.bar.xMm > at.bar.xMm - thing.box.x1,
    short: atMost(shortMm, 0),
    count,
    bars: fit.bars && between(count, fit.bars.from, fit.bars.to, 'exact'),
    step: atMost(stepMm, survey.plan.rules.tolerancesMm.legs),
    shim: atMost(stepMm, SHIM_MM, 'exact'),
    toStop: { gear: -shortMm, bar: room, rack: Infinity, vehicle: apart, attachment: apart },
  }
}

/** Whether a thing ends short of a bar that is to hold it. */
export const endsShort = ({ bars }: Survey, thing: ThingAt): boolean => {
  const { host } = thing.placement
  return (
    host.on === 'bars' &&
    bars.some((at) => host.barIds.includes(at.bar.id) && fails(atMost(overBar(thing, at), 0)))
  )
}
