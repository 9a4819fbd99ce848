import { moveBy, type UnitChoice } from '@/core/api/plan'
import type { Survey, ThingAt } from '@/core/api/assess'
import { type Picked, planStore } from '@/ui/state/plan-store'

/** What the keys, the palette and the strip do alike. */

const FINE_MM = 5
const FINE_US_MM = 25.4 / 4
const COARSE = 10

/** A nudge of the picked thing or bar: 5 mm or 1/4 in, ten times that when coarse. */
export function nudge(
  survey: Survey,
  picked: Picked,
  along: number,
  across: number,
  coarse: boolean,
  units: UnitChoice,
): void {
  const { run } = planStore.getState()
  const step = (units.show === 'us' ? FINE_US_MM : FINE_MM) * (coarse ? COARSE : 1)
  if (picked.kind === 'bar') {
    const bar = survey.bars.find((at) => at.bar.id === picked.id)?.bar
    if (bar && along !== 0) run({ do: 'moveBar', barId: bar.id, xMm: bar.xMm + along * step })
    return
  }
  const placement = survey.thingById.get(picked.id)?.placement
  if (placement) run(moveBy(survey, picked.id, placement, along * step, across * step))
}

/** Turns a thing to the next way it may lie. */
export function turnNext({ gear, placement }: ThingAt): void {
  const next = gear.turns[(gear.turns.indexOf(placement.turn) + 1) % gear.turns.length]
  if (next !== undefined && next !== placement.turn)
    planStore.getState().run({ do: 'turn', placementId: placement.id, turn: next })
}

export function setOnEdge({ gear, placement }: ThingAt): void {
  if (gear.onEdge)
    planStore.getState().run({ do: 'setOnEdge', placementId: placement.id, onEdge: !placement.onEdge })
}
