import { contactYs } from '../survey/mounting/contacts'
import type { ThingAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { TOLERANCE } from '../units/tolerance'

/** How far a thing reaches past the vehicle's sides, mm; nought within them. */
const pastSides = ({ plan: { vehicle } }: Survey, { box }: ThingAt) =>
  Math.max(0, -box.y0 - vehicle.widthMm / 2, box.y1 - vehicle.widthMm / 2)

/** How far what holds a thing is past an end of a bar under it, mm; nought on them. */
function pastBars({ bars }: Survey, thing: ThingAt): number {
  const { host } = thing.placement
  if (host.on !== 'bars') return 0
  const ys = contactYs(thing)
  const [least, most] = [Math.min(...ys), Math.max(...ys)]
  return bars
    .filter(({ bar }) => host.barIds.includes(bar.id))
    .reduce((past, { box }) => Math.max(past, box.y0 - least, most - box.y1), 0)
}

/** Whether an edit brings anything further past a bar's end or the vehicle's side than it was. */
export const movesOut = (before: Survey, after: Survey): boolean =>
  after.things.some((thing) => {
    const was = before.thingById.get(thing.placement.id)
    if (!was || was === thing) return false
    return [pastSides, pastBars].some((past) => past(after, thing) > past(before, was) + TOLERANCE.lengthMm)
  })
