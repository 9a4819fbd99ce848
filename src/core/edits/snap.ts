import type { Survey } from '../survey/survey'

interface Snap {
  readonly xMm: readonly number[]
  readonly yMm: readonly number[]
}

/**
 * Where a thing's middle likes to sit (mm): over a bar, midway between its bars, on the centreline, and beside
 * a neighbour it passes or behind one in its way, with the house's gap between them.
 */
export function snapsFor(survey: Survey, placementId: string): Snap {
  const thing = survey.thingById.get(placementId)
  if (!thing || thing.parent) return { xMm: [0], yMm: [0] }
  const { host } = thing.placement
  const gap = survey.plan.rules.gapsMm.between
  const halfLength = (thing.box.x1 - thing.box.x0) / 2
  const halfWidth = (thing.box.y1 - thing.box.y0) / 2
  const barXs =
    host.on === 'bars'
      ? survey.bars.filter(({ bar }) => host.barIds.includes(bar.id)).map(({ bar }) => bar.xMm)
      : survey.bars
          .filter(({ rack }) => 'rackId' in host && rack.id === host.rackId)
          .map(({ bar }) => bar.xMm)
  const middle = barXs.length > 0 ? [(Math.min(...barXs) + Math.max(...barXs)) / 2] : []
  const neighbours = survey.things.filter((other) => other !== thing && !other.parent)
  const beside = neighbours.filter(({ box }) => box.x0 < thing.box.x1 && box.x1 > thing.box.x0)
  const inLine = neighbours.filter(({ box }) => box.y0 < thing.box.y1 && box.y1 > thing.box.y0)
  return {
    xMm: [
      ...barXs,
      ...middle,
      ...inLine.flatMap(({ box }) => [box.x0 - gap - halfLength, box.x1 + gap + halfLength]),
    ],
    yMm: [0, ...beside.flatMap(({ box }) => [box.y0 - gap - halfWidth, box.y1 + gap + halfWidth])],
  }
}

/** The nearest of several places within reach (mm), or the value as it is. */
export function snapTo(value: number, places: readonly number[], reachMm: number): number {
  let best = value
  let distance = reachMm
  for (const place of places) {
    const away = Math.abs(place - value)
    if (away <= distance) {
      best = place
      distance = away
    }
  }
  return best
}
