import type { Vehicle } from '../plan/schema/vehicle'
import type { BarAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { atLeast, atMost, type Compared } from './comparison'

type DoorEdge = Extract<Vehicle['obstacles'][number], { kind: 'doorEdge' }>

/** A bar's end against the door edge under it, mm past it; and its underside against a head there, mm over the ground. */
interface BarEndAtDoor {
  readonly edge: DoorEdge
  readonly at: BarAt
  readonly past: Compared
  readonly head: Compared
}

/** Every bar at every door edge that is described. */
export const barEndFacts = ({ plan, bars }: Survey): readonly BarEndAtDoor[] =>
  plan.vehicle.obstacles.flatMap((edge) =>
    edge.kind === 'doorEdge'
      ? bars.map((at) => ({
          edge,
          at,
          past: atMost(Math.max(at.box.y1, -at.box.y0) - edge.halfWidthMm, 0),
          head: atLeast(at.box.z0, edge.headZMm, 'exact'),
        }))
      : [],
  )
