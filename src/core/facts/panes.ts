import type { Box } from '../geometry/boxes'
import { paneLacks, sharesWidth, type Sunroof } from '../survey/openings/swings'
import type { PaneCollision } from '../survey/openings/collisions'
import type { Survey } from '../survey/survey'
import { atLeast, type Compared } from './comparison'

/** Whether something stands over a pane, seen from above. */
const overPane = (pane: Sunroof, box: Box): boolean =>
  sharesWidth(box, pane.widthMm / 2) && box.x0 < pane.openingMm.toMm && box.x1 > pane.openingMm.fromMm

/** Panes under something, of which nobody knows how or how far they open. */
export const unknownPanes = (
  survey: Survey,
): readonly { readonly pane: Sunroof; readonly lacks: NonNullable<ReturnType<typeof paneLacks>> }[] =>
  survey.plan.vehicle.obstacles.flatMap((pane) => {
    if (pane.kind !== 'sunroof') return []
    const lacks = paneLacks(pane)
    const over = [...survey.bars, ...survey.things].some(({ box }) => overPane(pane, box))
    return lacks && over ? [{ pane, lacks }] : []
  })

/** What a pane meets on its way, each with the gap to it. mm. */
export const paneFacts = (
  survey: Survey,
): readonly { readonly collision: PaneCollision; readonly gap: Compared }[] =>
  survey.fit.panes().map((collision) => ({
    collision,
    gap: atLeast(collision.gapMm, survey.plan.rules.gapsMm.sunroof, 'gap'),
  }))
