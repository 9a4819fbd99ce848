import type { Survey } from '@/core/api/assess'
import { extentOf } from './layout'
import type { Mark } from './mark'
import { attachmentPath, rackPaths } from './rack-paths'
import { placedAt, thingMarks } from './thing-marks'
import { vehicleMarks } from './vehicle-marks'

/** Vehicle, racks and things from the side, in the view's own mm: what small drawings and printed ones share. */
export function sideMarks({ plan, body, racks, things }: Survey): readonly Mark[] {
  return [
    ...vehicleMarks('side', plan.vehicle, body),
    ...racks.flatMap((rack): Mark[] => {
      const { line, plate, ink } = rackPaths(rack, 'side')
      return [
        ...rack.attachments.map((each) => ({
          d: attachmentPath(plan.vehicle, each, 'side'),
          variant: 'draw-rail-side',
        })),
        { d: line, variant: 'draw-line' },
        { d: plate, variant: 'draw-plate' },
        { d: ink, variant: 'draw-ink' },
      ].filter(({ d }) => d !== '')
    }),
    ...things
      .toSorted((a, b) => b.box.y0 - a.box.y0)
      .flatMap((thing) =>
        thingMarks(thing, 'side').map((mark) => ({ ...mark, at: placedAt(thing, 'side') })),
      ),
  ]
}

/** A job from the side, small, always to the same scale: its lines, and what of the view is seen. mm. */
export interface Picture {
  readonly left: number
  readonly width: number
  readonly marks: readonly Mark[]
}

const LEAST_WIDTH_MM = 6600

export function pictureOf(survey: Survey): Picture {
  const { x0, x1 } = extentOf(survey)
  const width = Math.max(x1 - x0, LEAST_WIDTH_MM)
  return { left: (x0 + x1 - width) / 2, width, marks: sideMarks(survey) }
}
