import type { Plan } from '../../plan/schema/plan'
import type { Arrangement } from '../frame/arrangement'
import type { MassPoint } from '../loads/mass-point'
import { memo, type Memo } from '../../units/memo'
import { feetInMotion, type FootInMotion } from './foot-forces'
import { liftsOf, type Lift } from './lifting'
import { noseUps, type NoseUp } from './long-lines'
import { tieDowns, type TieDown } from './securing'
import { feetUnderSleepers, type SleptOn } from './sleepers'
import { tipOverOf, type TipOver } from './tip-over'
import { windOf, type Wind } from './wind'

/** What driving, the wind, a slope and sleepers do to the load, and what lifting it takes. Each part computed when first asked for. */
export interface Motion {
  readonly feet: Memo<readonly FootInMotion[]>
  readonly tieDowns: Memo<readonly TieDown[]>
  readonly wind: Memo<Wind>
  readonly noseUps: Memo<readonly NoseUp[]>
  readonly standing: Memo<TipOver>
  readonly sleepers: Memo<readonly SleptOn[]>
  readonly lifts: Memo<readonly Lift[]>
  /** Lifting one thing, by its placement's id. */
  readonly liftById: Memo<ReadonlyMap<string, Lift>>
}

/** The motion of everything on a plan; of that before an edit, each part that depends on nothing that was changed. */
export function motionOf(
  plan: Plan,
  arrangement: Arrangement,
  masses: () => readonly MassPoint[],
  before: Motion | undefined,
): Motion {
  const { vehicle, use, rules } = plan
  const { racks, things } = arrangement
  const wind = memo(
    before?.wind,
    () => [vehicle, use.roadKmH, racks, things],
    () => windOf(vehicle, use.roadKmH, arrangement),
  )
  const lifts = memo(
    before?.lifts,
    () => [things, masses()],
    () => liftsOf(things, masses()),
  )
  return {
    feet: memo(
      before?.feet,
      () => [use, racks, masses()],
      () => feetInMotion(use, arrangement, masses()),
    ),
    tieDowns: memo(
      before?.tieDowns,
      () => [things, masses(), rules],
      () => tieDowns(things, masses(), rules),
    ),
    wind,
    noseUps: memo(
      before?.noseUps,
      () => [racks, things, masses(), wind()],
      () => noseUps(things, arrangement.bars, masses(), wind().items),
    ),
    standing: memo(
      before?.standing,
      () => [vehicle, masses()],
      () => tipOverOf(vehicle, masses()),
    ),
    sleepers: memo(
      before?.sleepers,
      () => [racks, masses()],
      () => feetUnderSleepers(arrangement, masses()),
    ),
    lifts,
    // Of a thing and what is in it, the first one told is the thing's own.
    liftById: memo(
      before?.liftById,
      () => [lifts()],
      () =>
        new Map(
          lifts()
            .toReversed()
            .map((lift) => [lift.thing.placement.id, lift]),
        ),
    ),
  }
}
