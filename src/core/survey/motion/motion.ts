import type { Plan } from '../../plan/plan'
import type { Arrangement } from '../frame/arrangement'
import type { MassPoint } from '../loads/mass-points'
import { kept, type Kept } from '../../units/once'
import { feetInMotion, type FootInMotion } from './foot-forces'
import { liftsOf, type Lift } from './lifting'
import { noseUps, type NoseUp } from './long-lines'
import { tieDowns, type TieDown } from './securing'
import { feetUnderSleepers, type SleptOn } from './sleepers'
import { axleLoads, standingOf, type AxleLoad, type Standing } from './standing'
import { windOf, type Wind } from './wind'

/** What driving, the wind, a slope and sleepers do to the load, and what lifting it takes. Each part computed when first asked for. */
export interface Motion {
  readonly feet: Kept<readonly FootInMotion[]>
  readonly tieDowns: Kept<readonly TieDown[]>
  readonly wind: Kept<Wind>
  readonly noseUps: Kept<readonly NoseUp[]>
  readonly standing: Kept<Standing>
  /** Both axles in the driving states; nothing where what they bear empty is not known. */
  readonly axles: Readonly<Record<'road' | 'trail', Kept<readonly AxleLoad[] | undefined>>>
  readonly sleepers: Kept<readonly SleptOn[]>
  readonly lifts: Kept<readonly Lift[]>
  /** Lifting one thing, by its placement's id. */
  readonly liftById: Kept<ReadonlyMap<string, Lift>>
}

/** The motion of everything on a plan; of that before an edit, each part that hangs on nothing that was changed. */
export function motionOf(
  plan: Plan,
  arrangement: Arrangement,
  masses: readonly MassPoint[],
  before: Motion | undefined,
): Motion {
  const { vehicle, use, rules } = plan
  const { racks, things } = arrangement
  const wind = kept(before?.wind, [vehicle, use.roadKmH, racks, things], () =>
    windOf(vehicle, use.roadKmH, arrangement),
  )
  const lifts = kept(before?.lifts, [things, masses], () => liftsOf(things, masses))
  const axles = (state: 'road' | 'trail') =>
    kept(before?.axles[state], [vehicle, masses], () => axleLoads(vehicle, masses, state))
  return {
    feet: kept(before?.feet, [use, racks, masses], () => feetInMotion(use, arrangement, masses)),
    tieDowns: kept(before?.tieDowns, [things, masses, rules], () => tieDowns(things, masses, rules)),
    wind,
    noseUps: kept(before?.noseUps, [racks, things, masses, wind], () =>
      noseUps(things, arrangement.bars, masses, wind().items),
    ),
    standing: kept(before?.standing, [vehicle, masses], () => standingOf(vehicle, masses)),
    axles: { road: axles('road'), trail: axles('trail') },
    sleepers: kept(before?.sleepers, [racks, masses], () => feetUnderSleepers(arrangement, masses)),
    lifts,
    // Of a thing and what is in it, the first one told is the thing's own.
    liftById: kept(
      before?.liftById,
      [lifts],
      () =>
        new Map(
          lifts()
            .toReversed()
            .map((lift) => [lift.thing.placement.id, lift]),
        ),
    ),
  }
}
