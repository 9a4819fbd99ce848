import type { Plan } from '../../plan/plan'
import type { Arrangement } from '../frame/arrangement'
import type { MassPoint } from '../loads/mass-points'
import { once } from '../../units/once'
import { feetInMotion, type FootInMotion } from './foot-forces'
import { liftsOf, type Lift } from './lifting'
import { noseUps, type NoseUp } from './long-lines'
import { tieDowns, type TieDown } from './securing'
import { feetUnderSleepers, type SleptOn } from './sleepers'
import { axleLoads, standingOf, type AxleLoad, type Standing } from './standing'
import { windOf, type Wind } from './wind'

/** What driving, the wind, a slope and sleepers do to the load, and what lifting it takes. Each part computed when first asked for. */
export interface Motion {
  readonly feet: () => readonly FootInMotion[]
  readonly tieDowns: () => readonly TieDown[]
  readonly wind: () => Wind
  readonly noseUps: () => readonly NoseUp[]
  readonly standing: () => Standing
  readonly axles: (state: 'road' | 'trail') => readonly AxleLoad[] | undefined
  readonly sleepers: () => readonly SleptOn[]
  readonly lifts: () => readonly Lift[]
  /** Lifting one thing, by its placement's id. */
  readonly liftOf: (placementId: string) => Lift | undefined
}

/** The motion of everything on a plan. */
export function motionOf(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): Motion {
  const wind = once(() => windOf(plan.vehicle, plan.use.roadKmH, arrangement))
  const lifts = once(() => liftsOf(arrangement.things, masses))
  // Of a thing and what is in it, the first one told is the thing's own.
  const liftById = once(
    () =>
      new Map(
        lifts()
          .toReversed()
          .map((lift) => [lift.thing.placement.id, lift]),
      ),
  )
  return {
    feet: once(() => feetInMotion(plan, arrangement, masses)),
    tieDowns: once(() => tieDowns(arrangement.things, masses, plan.rules)),
    wind,
    noseUps: once(() => noseUps(arrangement.things, arrangement.bars, masses, wind().items)),
    standing: once(() => standingOf(plan.vehicle, masses)),
    axles: (state) => axleLoads(plan.vehicle, masses, state),
    sleepers: once(() => feetUnderSleepers(arrangement, masses)),
    lifts,
    liftOf: (placementId) => liftById().get(placementId),
  }
}
