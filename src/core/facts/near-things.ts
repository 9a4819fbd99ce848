import type { Near } from '../survey/frame/space'
import type { Survey } from '../survey/survey'
import { atLeast, type Compared } from './comparison'

type Kinds = 'gear' | 'bar' | 'rack' | 'vehicle' | 'attachment'

/** Two things nearer than the house wants: what is between them; below nought they are in each other's way. mm */
export interface NearFact {
  readonly near: Near
  readonly gap: Compared
  /** How near they are to meeting, by what kind of length may be off. */
  readonly toStop: Readonly<Record<Kinds, number>>
}

/** Things of different racks come nearer to each other when what one of the racks stands on is off; else they move together. */
function roomOf({ racks }: Survey, gapMm: number): NearFact['toStop'] {
  const stoodOn = new Set(racks.flatMap(({ attachments }) => attachments))
  const apart = stoodOn.size > 1 ? gapMm : Infinity
  return { gear: gapMm, bar: gapMm, rack: gapMm, vehicle: apart, attachment: apart }
}

/** Every two things nearer than the house wants, and how near all the others may come. */
export function nearThings(survey: Survey): {
  readonly all: readonly NearFact[]
  readonly othersToStop: NearFact['toStop']
} {
  const wanted = survey.plan.rules.gapsMm.between
  return {
    all: survey.fit.near().map((near) => {
      const gapMm = near.kind === 'overlap' ? -near.intoMm : near.gapMm
      return { near, gap: atLeast(gapMm, wanted, 'exact'), toStop: roomOf(survey, gapMm) }
    }),
    othersToStop: roomOf(survey, wanted),
  }
}
