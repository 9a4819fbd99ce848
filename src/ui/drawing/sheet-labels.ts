import type { State, UnitChoice } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import type { Picked } from '@/ui/state/plan-store'
import { footLabels } from './foot-labels'
import { gravityBox, gravityMarks } from './gravity-marks'
import { kiloFields, kiloLabels } from './kilo-cells'
import type { SheetLayout } from '@/drawing/layout'
import { heightLabels, nameLabels, viewLabels } from './load-labels'
import { pickedLabels } from './picked-labels'
import { placeLabels } from './place-labels'
import { spanLabels, spreadLabels, tickLabels, widthRowLabels } from './ruler-labels'

export interface SheetShown {
  readonly survey: Survey
  readonly layout: SheetLayout
  readonly units: UnitChoice
  readonly state: State
  readonly picked: Picked | undefined
  /** Whether the plan shows what each spot still takes. */
  readonly field: boolean
}

/** Everything written on the sheet, each word with a place of its own. */
export function sheetLabels({ survey, layout, units, state, picked, field }: SheetShown) {
  const marks = gravityMarks(survey, layout, state)
  const fields = field ? kiloFields(survey, layout, state) : []
  const placed = placeLabels(
    [
      ...viewLabels(survey, layout),
      ...heightLabels(survey, layout, units, state),
      ...pickedLabels(survey, layout, units, picked),
      ...footLabels(survey, layout, units, state, field),
      ...spreadLabels(survey, layout, units),
      ...spanLabels(survey, layout, units),
      ...widthRowLabels(survey, layout, units),
      ...kiloLabels(fields, layout, units),
      ...nameLabels(survey, layout, picked),
      ...tickLabels(layout, units),
    ],
    marks.map(gravityBox),
  )
  return { placed, marks, fields }
}
