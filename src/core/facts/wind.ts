import { mountTraits } from '../kinds/mount'
import type { ThingAt } from '../survey/frame/arrangement'
import { withContents } from '../survey/loads/mass-points'
import type { Survey } from '../survey/survey'
import { STANDARD_GRAVITY } from '../units/dimension'
import { atMost, fails, type Compared } from './comparison'

/** A thing that only its weight holds down, against what the wind of driving lifts with. N */
interface LiftedByWind {
  readonly id: string
  readonly name: string
  readonly compared: Compared
}

/** Whether something besides its weight holds a thing down: a mount of its own, or straps on the plan. */
function isHeld({ gear, placement }: ThingAt): boolean {
  return !mountTraits(gear.fit.mount.kind).byWeight || (placement.straps?.count ?? 0) > 0
}

/** Everything that the wind may lift as nothing but its weight holds it. */
export function liftedByWind(survey: Survey): readonly LiftedByWind[] {
  const weights = withContents(survey.masses, ({ kg, states }) =>
    states.includes('road') ? kg * STANDARD_GRAVITY : 0,
  )
  return survey.motion.wind().items.flatMap(({ id, name, thing, liftN }): LiftedByWind[] => {
    if (!thing || isHeld(thing)) return []
    const compared = atMost(liftN.to, weights.get(thing) ?? 0, 'exact')
    return fails(compared) ? [{ id, name, compared }] : []
  })
}
