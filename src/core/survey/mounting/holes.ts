import type { Range } from '../../kinds/mount'
import type { ThingAt } from '../frame/arrangement'

/** The holes of the place that a thing sits in, and which of them is chosen: the first until somebody chooses. */
export function holesFor({
  parent,
  placement,
}: ThingAt):
  { readonly carrier: string; readonly holes: readonly Range[]; readonly chosen: number } | undefined {
  const { host, fitting } = placement
  if (!parent || host.on !== 'place') return undefined
  const place = parent.gear.carries?.places.find(({ id }) => id === host.placeId)
  return place?.holesMm && { carrier: parent.gear.name, holes: place.holesMm, chosen: fitting?.hole ?? 0 }
}
