import type { BarAt, ThingAt } from '../survey/frame/arrangement'
import { barEnds } from '../survey/bars/bar-ends'
import type { Survey } from '../survey/survey'
import { leastBy } from '../units/pick'
import { atLeast, type Compared } from './comparison'

/** What a bar runs past its foot on the side of a thing, against what the thing wants. mm. */
interface SideOverhang {
  readonly at: BarAt
  readonly side: 'left' | 'right'
  readonly compared: Compared
}

/** What a bar runs past its foot on one side: from the foot's edge, or its centre, to just inside the cap. mm. */
function runPast({ bar, rack }: BarAt, side: 'left' | 'right'): number {
  const { leftMm, rightMm } = barEnds(bar)
  return (side === 'left' ? leftMm : rightMm) - (bar.capMm ?? 0) - (rack.footWidthMm ?? 0) / 2
}

const sideOf = ({ box }: ThingAt): 'left' | 'right' => (box.y0 + box.y1 < 0 ? 'left' : 'right')

/** The bar under a thing that runs least past its foot; nothing where the thing asks for no overhang. */
export function sideOverhangOf(survey: Survey, thing: ThingAt): SideOverhang | undefined {
  const { host } = thing.placement
  const want = thing.gear.fit.overhangMm
  if (want === undefined || host.on !== 'bars') return undefined
  const side = sideOf(thing)
  const at = leastBy(
    survey.bars.filter(({ bar }) => host.barIds.includes(bar.id)),
    (each) => runPast(each, side),
  )
  return at && { at, side, compared: atLeast(runPast(at, side), want) }
}
