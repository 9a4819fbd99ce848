import { onVehicle, type Survey } from '@/core/api/assess'

interface Pane {
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
}

export interface Extent {
  readonly x0: number
  readonly x1: number
  readonly halfY: number
  readonly topZ: number
  /** Room for the spans of the spread ruler, px. */
  readonly underRulerPx: number
}

/** How far in, and about which point of the vehicle frame (mm). */
export interface Zoom {
  readonly factor: number
  readonly x: number
  readonly y: number
  readonly z: number
}

/** Where the three views stand on the sheet (px), to one scale (px per mm), and the point they are centred on (mm). */
export interface SheetLayout {
  readonly width: number
  readonly height: number
  readonly scale: number
  readonly stacked: boolean
  readonly centre: { readonly x: number; readonly y: number; readonly z: number }
  readonly side: Pane
  readonly rear: Pane
  readonly plan: Pane
}

/** In the order in which they are drawn. */
export const VIEWS = ['plan', 'side', 'rear'] as const
export type ViewName = (typeof VIEWS)[number]

const MARGIN_LEFT = 58
const MARGIN_TOP = 30
const MARGIN_END = 14
const BETWEEN = 22
/** Room for the ruler of lengths between the side view and the plan. */
const RULER = 64
/** A little ground under the wheels. */
const GROUND_MM = 45
/** Doors more than this over the load are noted, not drawn: they would only shrink the drawing. */
export const CEILING_IN_SIGHT_MM = 700

/** One row of the spread ruler, and how many of them are shown at most. */
export const SPAN_ROW_PX = 14
export const MOST_SPAN_ROWS = 6

const spanRows = (survey: Survey) =>
  Math.min(MOST_SPAN_ROWS, Math.max(0, ...survey.fit.spreads().pairs.map(({ wants }) => wants.length)))

/** The space in the vehicle frame that the sheet must show, with a little air around it. mm. */
export function extentOf(survey: Survey): Extent {
  const { body, plan, things, bars, racks, drivingTop } = survey
  const fixed = onVehicle(plan.vehicle)
  const x0 = Math.min(body.noseXMm, ...things.map(({ box }) => box.x0))
  const x1 = Math.max(body.tailXMm, ...[...things, ...bars, ...fixed].map(({ box }) => box.x1))
  const halfY = Math.max(
    plan.vehicle.widthMm / 2,
    ...things.flatMap(({ box }) => [Math.abs(box.y0), Math.abs(box.y1)]),
    ...bars.map(({ box }) => box.y1),
  )
  const top = Math.max(
    plan.vehicle.heightMm,
    ...racks.map((rack) => rack.topZMm),
    ...things.map(({ outer }) => outer.z1),
    ...fixed.map(({ box }) => box.z1),
  )
  const ceilings = plan.clearances
    .map(({ heightMm }) => heightMm)
    .filter((height) => height <= drivingTop.topMm + CEILING_IN_SIGHT_MM)
  return {
    x0: x0 - 60,
    x1: x1 + 60,
    halfY: halfY + 60,
    topZ: Math.max(top + 120, ...ceilings.map((z) => z + 60)),
    underRulerPx: spanRows(survey) === 0 ? 0 : spanRows(survey) * SPAN_ROW_PX + 14,
  }
}

/** Lays the views out as an engineering drawing: side over plan sharing x, side beside rear sharing z. */
export function layoutSheet(
  extent: Extent,
  size: { readonly width: number; readonly height: number },
  zoom: Zoom | undefined,
): SheetLayout {
  const ruler = RULER + extent.underRulerPx
  const lengthX = extent.x1 - extent.x0
  const widthY = extent.halfY * 2
  const tall = extent.topZ + GROUND_MM
  const stacked = size.width < 600
  const fit = stacked
    ? (size.width - MARGIN_LEFT - MARGIN_END) / lengthX
    : Math.max(
        0.01,
        Math.min(
          (size.width - MARGIN_LEFT - BETWEEN - MARGIN_END) / (lengthX + widthY),
          (size.height - MARGIN_TOP - ruler - MARGIN_END) / (tall + widthY),
        ),
      )
  const spareX = stacked ? 0 : size.width - MARGIN_LEFT - BETWEEN - MARGIN_END - (lengthX + widthY) * fit
  const spareY = stacked ? 0 : size.height - MARGIN_TOP - ruler - MARGIN_END - (tall + widthY) * fit
  const pane = (left: number, top: number, width: number, height: number): Pane => ({
    left,
    top,
    width: Math.max(width, 1),
    height: Math.max(height, 1),
  })
  const side = pane(MARGIN_LEFT, MARGIN_TOP, lengthX * fit + spareX * 0.6, tall * fit + spareY * 0.55)
  const plan = pane(side.left, side.top + side.height + ruler, side.width, widthY * fit + spareY * 0.45)
  const rear = stacked
    ? pane(side.left, plan.top + plan.height + MARGIN_TOP, side.width, side.height)
    : pane(side.left + side.width + BETWEEN, side.top, widthY * fit + spareX * 0.4, side.height)
  const height = stacked ? rear.top + rear.height + MARGIN_END : size.height
  const scale = fit * (zoom?.factor ?? 1)
  const centre = zoom ?? {
    x: (extent.x0 + extent.x1) / 2,
    y: 0,
    z: side.height / 2 / fit - GROUND_MM,
  }
  return {
    width: size.width,
    height,
    scale,
    stacked,
    centre: { x: centre.x, y: centre.y, z: centre.z },
    side,
    rear,
    plan,
  }
}

/** The middle of a view on the sheet (px) and the vehicle point it shows: u to the right, v up (mm). */
function anchor(layout: SheetLayout, view: ViewName) {
  const pane = layout[view]
  const { x, y, z } = layout.centre
  return {
    px: pane.left + pane.width / 2,
    py: pane.top + pane.height / 2,
    u: view === 'rear' ? y : x,
    v: view === 'plan' ? y : z,
  }
}

/** The transform that turns a view's mm (u right, v up) into px on the sheet. */
export function viewMatrix(layout: SheetLayout, view: ViewName): string {
  const { px, py, u, v } = anchor(layout, view)
  const s = layout.scale
  return `matrix(${s} 0 0 ${-s} ${px - u * s} ${py + v * s})`
}

/** Where a point of a view stands on the sheet, px. */
export function toSheet(
  layout: SheetLayout,
  view: ViewName,
  uMm: number,
  vMm: number,
): readonly [number, number] {
  const { px, py, u, v } = anchor(layout, view)
  return [px + (uMm - u) * layout.scale, py - (vMm - v) * layout.scale]
}

/** Which point of a view lies under a place on the sheet, mm. */
export function fromSheet(
  layout: SheetLayout,
  view: ViewName,
  left: number,
  top: number,
): readonly [number, number] {
  const { px, py, u, v } = anchor(layout, view)
  return [u + (left - px) / layout.scale, v - (top - py) / layout.scale]
}

/** The view under a place on the sheet, if any. */
export function viewAt(layout: SheetLayout, left: number, top: number): ViewName | undefined {
  return VIEWS.find((view) => {
    const pane = layout[view]
    return (
      left >= pane.left && left <= pane.left + pane.width && top >= pane.top && top <= pane.top + pane.height
    )
  })
}
