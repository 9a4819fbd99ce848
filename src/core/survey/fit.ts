import type { Plan } from '../plan/plan'
import type { Arrangement } from './frame/arrangement'
import { lasting, type Lasting } from '../units/once'
import { gatesOf, type GateAt } from './mounting/gates'
import { paneMeetings, swingMeetings, type PaneMeeting, type SwingMeeting } from './openings/meetings'
import { nearOnes, type Near } from './frame/space'
import { sayHangsOn, spreadsOf, type Spreads } from './bars/spread'
import { rackWidths, type RackWidth } from './bars/width'
import type { Statics } from './statics/statics'

/** What mounts where, and what is in whose way. Each part is computed when it is first asked for. */
export interface Fit {
  readonly spreads: Lasting<Spreads>
  readonly widths: Lasting<readonly RackWidth[]>
  readonly near: Lasting<readonly Near[]>
  readonly swings: Lasting<readonly SwingMeeting[]>
  readonly panes: Lasting<readonly PaneMeeting[]>
  readonly gates: Lasting<readonly GateAt[]>
}

/** The fit of everything on a plan; of the fit before an edit, each part that hangs on nothing that was changed. */
export function fitOf(plan: Plan, arrangement: Arrangement, statics: Statics, before: Fit | undefined): Fit {
  const { vehicle, rules } = plan
  const { racks, things } = arrangement
  const { between } = rules.gapsMm
  return {
    // Where on its bars a thing stands is no matter to how far apart they must be.
    spreads: lasting(
      before?.spreads,
      () => [vehicle, rules, racks, ...things.flatMap(sayHangsOn)],
      () => spreadsOf(plan, arrangement),
    ),
    widths: lasting(
      before?.widths,
      () => [racks, things, between],
      () => rackWidths(arrangement, between),
    ),
    near: lasting(
      before?.near,
      () => [things, between],
      () => nearOnes(things, between),
    ),
    swings: lasting(
      before?.swings,
      () => [vehicle, racks, things],
      () => swingMeetings(vehicle, arrangement),
    ),
    panes: lasting(
      before?.panes,
      () => [vehicle, racks, things, statics.bars()],
      () => paneMeetings(vehicle, arrangement, statics.sagMm),
    ),
    gates: lasting(
      before?.gates,
      () => [plan.racks, plan.gear, plan.placements, plan.measurements],
      () => gatesOf(plan),
    ),
  }
}
