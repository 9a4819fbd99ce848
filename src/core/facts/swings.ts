import { forwardToClear } from '../survey/openings/swings'
import type { SwingCollision } from '../survey/openings/collisions'
import type { Survey } from '../survey/survey'
import { atLeast, type Compared } from './comparison'
import { skinOffMm } from './length-facts'

/** What a hatch or tailgate meets on its way: touched after so many degrees, or passed with so many mm. */
type SwingFact = {
  readonly collision: SwingCollision
  /** Whether touching it stops a job: the rear door's glass on what stands there for good. */
  readonly grave: boolean
} & (
  | {
      readonly is: 'touches'
      readonly atDeg: number
      /** How far forward it would pass; nothing where it goes nowhere. mm */
      readonly byMm: number | undefined
      /** The same wherever the roof's unmeasured skin is. mm */
      readonly surelyMm: number | undefined
    }
  | { readonly is: 'passes'; readonly gap: Compared }
)

/** Everything that shares width with a hatch or tailgate. */
/** What has opened by less has not opened. Degrees */
const AT_ONCE_DEG = 0.05

/** Whether what opens touches something as soon as it does. Degrees */
export const touchesAtOnce = (atDeg: number): boolean => atDeg < AT_ONCE_DEG

export function swingFacts(survey: Survey): readonly SwingFact[] {
  const wanted = survey.plan.rules.gapsMm.hatch
  const skinMm = skinOffMm(survey)
  return survey.fit.swings().map((collision): SwingFact => {
    const { swept, met, swings, hatch } = collision
    const stays = met.kind === 'tentFloor' || met.kind === 'tentLadder' || met.kind === 'tail'
    const grave = hatch.kind === 'hatch' && !stays
    if (swept.kind !== 'touches')
      return { collision, grave, is: 'passes', gap: atLeast(swept.gapMm, wanted, 'gap') }
    const ahead = (gapMm: number): number | undefined => {
      const byMm = stays ? undefined : forwardToClear(swings, met.box, gapMm)
      return byMm !== undefined && byMm > 0 ? byMm : undefined
    }
    const byMm = ahead(wanted)
    const surelyMm = skinMm > 0 ? ahead(wanted + skinMm) : undefined
    return {
      collision,
      grave,
      is: 'touches',
      atDeg: swept.atDeg,
      byMm,
      surelyMm: byMm !== undefined && surelyMm !== undefined && surelyMm > byMm ? surelyMm : undefined,
    }
  })
}
