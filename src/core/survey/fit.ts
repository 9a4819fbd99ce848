import type { Plan } from '../plan/plan'
import type { Arrangement } from './frame/arrangement'
import { kept, type Kept } from '../units/once'
import { gatesOf, type GateAt } from './mounting/gates'
import { paneMeetings, swingMeetings, type PaneMeeting, type SwingMeeting } from './openings/meetings'
import { nearOnes, type Near } from './frame/space'
import { spreadsOf, type Spreads } from './bars/spread'
import { rackWidths, type RackWidth } from './bars/width'
import type { Statics } from './statics/statics'

/** What mounts where, and what is in whose way. Each part is computed when it is first asked for. */
export interface Fit {
  readonly spreads: Kept<Spreads>
  readonly widths: Kept<readonly RackWidth[]>
  readonly near: Kept<readonly Near[]>
  readonly swings: Kept<readonly SwingMeeting[]>
  readonly panes: Kept<readonly PaneMeeting[]>
  readonly gates: Kept<readonly GateAt[]>
}

/** The fit of everything on a plan; of the fit before an edit, each part that hangs on nothing that was changed. */
export function fitOf(plan: Plan, arrangement: Arrangement, statics: Statics, before: Fit | undefined): Fit {
  const { vehicle, rules } = plan
  const { racks, things } = arrangement
  const { between } = rules.gapsMm
  return {
    // Where on its bars a thing stands is no matter to how far apart they must be.
    spreads: kept(
      before?.spreads,
      [
        vehicle,
        rules,
        racks,
        ...things.flatMap(({ gear, placement }) => [gear, placement.id, placement.host]),
      ],
      () => spreadsOf(plan, arrangement),
    ),
    widths: kept(before?.widths, [racks, things, between], () => rackWidths(arrangement, between)),
    near: kept(before?.near, [things, between], () => nearOnes(things, between)),
    swings: kept(before?.swings, [vehicle, racks, things], () => swingMeetings(vehicle, arrangement)),
    panes: kept(before?.panes, [vehicle, racks, things, statics.bars], () =>
      paneMeetings(vehicle, arrangement, statics.sagMm),
    ),
    gates: kept(before?.gates, [plan.racks, plan.gear, plan.placements, plan.measurements], () =>
      gatesOf(plan),
    ),
  }
}
