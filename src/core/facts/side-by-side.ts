import { contactYs } from '../survey/mounting/contacts'
import { rootOf, type BarAt, type ThingAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { atMost, type Held } from './comparison'

/** What stands beside each other on one bar, from left to right, against what the bar offers. mm across the vehicle */
interface SideBySide {
  readonly at: BarAt
  readonly things: readonly ThingAt[]
  /** What they take with the house's gap between each two, against the usable width. */
  readonly packed: Held
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

const extentOf = (thing: ThingAt, all: readonly ThingAt[]): OnBar => {
  const whole = all.filter((each) => rootOf(each) === thing)
  const ys = contactYs(thing)
  return {
    thing,
    y0: Math.min(...whole.map(({ box }) => box.y0)),
    y1: Math.max(...whole.map(({ box }) => box.y1)),
    least: Math.min(...ys),
    most: Math.max(...ys),
  }
}

/** Every bar on which more than one thing stands. A body may pass the end of what a bar offers; what holds it may not. */
export function sideBySide(survey: Survey): readonly SideBySide[] {
  const gap = survey.plan.rules.gapsMm.between
  return survey.bars.flatMap((at): SideBySide[] => {
    const on = survey.things
      .filter(({ placement: { host } }) => host.on === 'bars' && host.barIds.includes(at.bar.id))
      .map((thing) => extentOf(thing, survey.things))
      .sort((a, b) => a.y0 + a.y1 - b.y0 - b.y1)
    const [first, last] = [on[0], on.at(-1)]
    if (!first || !last || first === last) return []
    const bodies = on.reduce((sum, { y0, y1 }) => sum + y1 - y0, 0)
    const touching = bodies - Math.max(0, first.least - first.y0) - Math.max(0, last.y1 - last.most)
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
