import { TOUCH_MM } from '../geometry/boxes'
import { contactYs } from '../survey/mounting/contacts'
import { rootOf, type BarAt, type ThingAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { atMost, type Compared } from './comparison'

/** What stands beside each other on one bar, from left to right, against what the bar offers. mm across the vehicle */
interface SideBySide {
  readonly at: BarAt
  readonly things: readonly ThingAt[]
  /** What they take with the house's gap between each two, against the usable width. */
  readonly packed: Compared
  /** The gap that is left between each two where they take all of it; below nought they do not go side by side. */
  readonly gapMm: number
  readonly goesThere: boolean
}

/** What lies on a bar with all that it carries: how far that reaches, and between which contacts it stands. y in mm */
interface OnBar {
  readonly thing: ThingAt
  readonly y0: number
  readonly y1: number
  readonly least: number
  readonly most: number
}

const extentOf = (thing: ThingAt, whole: readonly ThingAt[]): OnBar => {
  const ys = contactYs(thing)
  return {
    thing,
    y0: Math.min(...whole.map(({ box }) => box.y0)),
    y1: Math.max(...whole.map(({ box }) => box.y1)),
    least: Math.min(...ys),
    most: Math.max(...ys),
  }
}

/** Whether a thing lies with its whole width under another that stands over the bar. */
const liesUnder = (low: OnBar, high: OnBar): boolean =>
  low.thing.outer.z1 <= high.thing.outer.z0 + TOUCH_MM && low.y0 >= high.y0 && low.y1 <= high.y1

const middleOf = ({ y0, y1 }: OnBar) => (y0 + y1) / 2

/** Things whose middles are so near stand side by side in either order. mm */
const SAME_MM = 1e-6

/** The two that give most: where the first stands at the other end too, the second takes its place. */
const mostOf = (ends: readonly OnBar[], givesMm: (each: OnBar) => number) =>
  ends
    .map((each) => ({ each, mm: Math.max(0, givesMm(each)) }))
    .sort((a, b) => b.mm - a.mm)
    .slice(0, 2)

/**
 * How far the bodies at either end may reach past what holds them. Where several stand in one place, whichever of them at
 * either end gives most, so that an answer is the same from both sides.
 */
function past(on: readonly OnBar[]): number {
  const middles = on.map(middleOf)
  const [from, to] = [Math.min(...middles), Math.max(...middles)]
  const atLeft = mostOf(
    on.filter((each) => middleOf(each) - from < SAME_MM),
    ({ least, y0 }) => least - y0,
  )
  const atRight = mostOf(
    on.filter((each) => to - middleOf(each) < SAME_MM),
    ({ y1, most }) => y1 - most,
  )
  const pairs = atLeft.flatMap((left) => atRight.map((right) => ({ left, right })))
  return Math.max(
    0,
    ...pairs
      .filter(({ left, right }) => left.each !== right.each)
      .map(({ left, right }) => left.mm + right.mm),
  )
}

/** Every bar on which more than one thing stands. A body may pass the end of what a bar offers; what holds it may not. */
export function sideBySide(survey: Survey): readonly SideBySide[] {
  const gap = survey.plan.rules.gapsMm.between
  const wholes = new Map<ThingAt, ThingAt[]>()
  for (const thing of survey.things) {
    const root = rootOf(thing)
    const whole = wholes.get(root)
    if (whole) whole.push(thing)
    else wholes.set(root, [thing])
  }
  return survey.bars.flatMap((at): SideBySide[] => {
    const on = survey.things
      .filter(({ placement: { host } }) => host.on === 'bars' && host.barIds.includes(at.bar.id))
      .map((thing) => extentOf(thing, wholes.get(thing) ?? []))
      .filter((each, _, all) => !all.some((other) => other !== each && liesUnder(each, other)))
      .sort((a, b) => a.y0 + a.y1 - b.y0 - b.y1)
    if (on.length < 2) return []
    const bodies = on.reduce((sum, { y0, y1 }) => sum + y1 - y0, 0)
    const touching = bodies - past(on)
    const [from, to] = at.usableY
    const gaps = on.length - 1
    return [
      {
        at,
        things: on.map(({ thing }) => thing),
        packed: atMost(touching + gap * gaps, to - from),
        gapMm: (to - from - touching) / gaps,
        goesThere: touching <= to - from,
      },
    ]
  })
}
