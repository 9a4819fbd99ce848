import { extentOf, layoutSheet } from '@/drawing/layout'
import { zoomStore } from '@/ui/drawing/zoom-store'
import { assessmentOf } from '@/ui/state/assessment'
import { planStore } from '@/ui/state/plan-store'

/** The drawing as it is on the page, for whoever holds something over it from elsewhere. */
export const drawnSheet: { element: SVGSVGElement | null } = { element: null }

/** The plan and the sheet as they stand when an event comes; a drag leaves the sheet still under the hand. */
export function sheetNow() {
  const { plan, dragFrom } = planStore.getState()
  if (!plan) return undefined
  const { size, zoom } = zoomStore.getState()
  const { survey } = assessmentOf(plan)
  const extent = extentOf(dragFrom ? assessmentOf(dragFrom).survey : survey)
  return { survey, zoom, layout: layoutSheet(extent, size, zoom) }
}
