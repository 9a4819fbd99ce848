import type { State } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import { toSheet, type SheetLayout, type ViewName } from '@/drawing/layout'
import { inPane } from './load-labels'
import type { LabelBox } from './place-labels'

export interface GravityMark {
  readonly key: string
  readonly at: readonly [number, number]
}

export const GRAVITY_RADIUS_PX = 7

/** Where all that a rack carries has its centre of gravity in the state, in each view that shows it, px. */
export function gravityMarks(survey: Survey, layout: SheetLayout, state: State): readonly GravityMark[] {
  return survey.statics
    .evenness()
    .filter((each) => each.state === state)
    .flatMap(({ rack, centre: { xMm, yMm, zMm } }) => {
      const places: readonly (readonly [ViewName, readonly [number, number]])[] = [
        ['plan', toSheet(layout, 'plan', xMm, yMm)],
        ['side', toSheet(layout, 'side', xMm, zMm)],
        ['rear', toSheet(layout, 'rear', yMm, zMm)],
      ]
      return places
        .filter(([view, at]) => inPane(layout, view, at))
        .map(([view, at]) => ({ key: `${rack.rack.id} ${view}`, at }))
    })
}

export const gravityBox = ({ at: [x, y] }: GravityMark): LabelBox => ({
  left: x - GRAVITY_RADIUS_PX - 1,
  right: x + GRAVITY_RADIUS_PX + 1,
  top: y - GRAVITY_RADIUS_PX - 1,
  bottom: y + GRAVITY_RADIUS_PX + 1,
})
