import type { Plan } from '../plan/plan'
import type { Arrangement } from './frame/arrangement'
import { once } from '../units/once'
import { gatesOf, type GateAt } from './mounting/gates'
import { paneMeetings, swingMeetings, type PaneMeeting, type SwingMeeting } from './openings/meetings'
import type { SagMm } from './mounting/offers'
import { nearOnes, type Near } from './frame/space'
import { spreadsOf, type Spreads } from './bars/spread'
import { rackWidths, type RackWidth } from './bars/width'

/** What mounts where, and what is in whose way. Each part is computed when it is first asked for. */
export interface Fit {
  spreads(): Spreads
  widths(): readonly RackWidth[]
  near(): readonly Near[]
  swings(): readonly SwingMeeting[]
  panes(): readonly PaneMeeting[]
  gates(): readonly GateAt[]
}

/** The fit of everything on a plan. */
export function fitOf(plan: Plan, arrangement: Arrangement, sagMm: SagMm): Fit {
  const { between } = plan.rules.gapsMm
  return {
    spreads: once(() => spreadsOf(plan, arrangement)),
    widths: once(() => rackWidths(arrangement, between)),
    near: once(() => nearOnes(arrangement.things, between)),
    swings: once(() => swingMeetings(plan.vehicle, arrangement)),
    panes: once(() => paneMeetings(plan.vehicle, arrangement, sagMm)),
    gates: once(() => gatesOf(plan)),
  }
}
