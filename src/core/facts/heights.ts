import type { Clearance } from '../plan/schema/placement'
import type { Survey } from '../survey/survey'
import type { State } from '../units/scalars'
import { atLeast, type Compared } from './comparison'

/** The highest point of a driving state under a door: what is left over it against the gap that the house wants. mm. */
interface UnderDoor {
  readonly clearance: Clearance
  readonly state: State
  readonly topMm: number
  readonly name: string
  readonly placementId: string | undefined
  readonly left: Compared
  /** The same against none at all: whether it would strike. */
  readonly strikes: Compared
}

/** Every door on the list, in the driving states. */
export function underDoors({ plan, heights }: Survey): readonly UnderDoor[] {
  const gap = plan.rules.gapsMm.ceiling
  return plan.clearances.flatMap((clearance) =>
    (['road', 'trail'] as const).map((state): UnderDoor => {
      const { topMm, name, placementId } = heights[state]
      const leftMm = clearance.heightMm - topMm
      return {
        clearance,
        state,
        topMm,
        name,
        placementId,
        left: atLeast(leftMm, gap),
        strikes: atLeast(leftMm, 0, 'exact'),
      }
    }),
  )
}
