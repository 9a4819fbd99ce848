import type { ThingAt } from '../survey/frame/arrangement'
import { askingOf, matchThrough, type Match, type Short } from '../survey/mounting/match'
import { offersFor, type OfferAt } from '../survey/mounting/offers'
import type { Survey } from '../survey/survey'
import { between, type Compared } from './comparison'

interface MountAt {
  readonly at: OfferAt
  readonly match: Match
}

const ORDER: Readonly<Record<Match['kind'], number>> = { doesNot: 0, fitsWith: 1, unknown: 2, fits: 3 }

/** How a thing is held at each place that holds it, the worst first. */
export function heldAt(survey: Survey, thing: ThingAt): readonly MountAt[] {
  const { mount } = thing.gear.fit
  return offersFor(survey.plan.vehicle, survey, thing, survey.statics.sagMm)
    .map((at) => ({
      at,
      match: matchThrough(at.offer, mount, askingOf(thing), thing.placement.fitting ?? {}),
    }))
    .sort((a, b) => ORDER[a.match.kind] - ORDER[b.match.kind])
}

/** Whether a bolt is shorter than what its joint takes; else it is longer. mm */
export const isTooShort = ({
  haveMm,
  bolt,
}: {
  readonly haveMm: number
  readonly bolt: { readonly neededMm: number }
}): boolean => haveMm < bolt.neededMm

/** The size that a mount does not take, against the nearer of its bounds. mm */
export const sizeOf = ({ haveMm, wantFromMm, wantToMm }: Short): Compared =>
  between(haveMm, wantFromMm, wantToMm, 'part')
