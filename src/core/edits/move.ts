import type { Command } from '../plan/commands/command'
import type { Turn } from '../plan/schema/gear'
import { turned } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'

const BACK: Readonly<Record<Turn, Turn>> = { 0: 0, 90: 270, 180: 180, 270: 90 }

/** A thing's present middle in its own placement's terms: mm in the vehicle frame, or from its place's middle. */
export interface StartedAt {
  readonly xMm: number
  readonly yMm: number
}

/**
 * The edit that moves a thing by the given mm along (x, rearward) and across (y, to the right) the vehicle from
 * where it stood. A thing in another's place keeps its position in that thing's own, possibly turned, frame.
 */
export function moveBy(
  survey: Survey,
  placementId: string,
  from: StartedAt,
  dxMm: number,
  dyMm: number,
): Command {
  const turn = survey.thingById.get(placementId)?.parent?.turn ?? 0
  const [dx, dy] = turned(dxMm, dyMm, BACK[turn])
  return { do: 'move', placementId, xMm: from.xMm + dx, yMm: from.yMm + dy }
}
