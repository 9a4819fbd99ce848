import type { Plan } from '../plan/schema/plan'
import type { Arrangement } from './frame/arrangement'
import { memo, type Memo } from '../units/memo'
import { gatesOf, type GateAt } from './mounting/gates'
import {
  paneCollisions,
  swingCollisions,
  type PaneCollision,
  type SwingCollision,
} from './openings/collisions'
import { nearOnes, type Near } from './frame/space'
import { spreadInputs, spreadsOf, type Spreads } from './bars/spread'
import { rackWidths, type RackWidth } from './bars/width'
import type { Statics } from './statics/statics'

/** What mounts where, and what is in whose way. Each part is computed when it is first asked for. */
export interface Fit {
  readonly spreads: Memo<Spreads>
  readonly widths: Memo<readonly RackWidth[]>
  readonly near: Memo<readonly Near[]>
  readonly swings: Memo<readonly SwingCollision[]>
  readonly panes: Memo<readonly PaneCollision[]>
  readonly gates: Memo<readonly GateAt[]>
}

/** The fit of everything on a plan; of the fit before an edit, each part that depends on nothing that was changed. */
export function fitOf(plan: Plan, arrangement: Arrangement, statics: Statics, before: Fit | undefined): Fit {
  const { vehicle, rules } = plan
  const { racks, things } = arrangement
  const { between } = rules.gapsMm
  return {
    // Where on its bars a thing stands is no matter to how far apart they must be.
    spreads: memo(
      before?.spreads,
      () => [vehicle, rules, racks, ...things.flatMap(spreadInputs)],
      () => spreadsOf(plan, arrangement),
    ),
    widths: memo(
      before?.widths,
      () => [racks, things, between],
      () => rackWidths(arrangement, between),
    ),
    near: memo(
      before?.near,
      () => [things, between],
      () => nearOnes(things, between),
    ),
    swings: memo(
      before?.swings,
      () => [vehicle, racks, things],
      () => swingCollisions(vehicle, arrangement),
    ),
    panes: memo(
      before?.panes,
      () => [vehicle, racks, things, statics.bars()],
      () => paneCollisions(vehicle, arrangement, statics.sagMm),
    ),
    gates: memo(
      before?.gates,
      () => [plan.racks, plan.gear, plan.placements, plan.measurements],
      () => gatesOf(plan),
    ),
  }
}
