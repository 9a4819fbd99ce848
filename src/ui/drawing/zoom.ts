import type { Box } from '@/core/api/plan'
import {
  fromSheet,
  layoutSheet,
  viewAt,
  type Extent,
  type SheetLayout,
  type ViewName,
  type Zoom,
} from '@/drawing/layout'

const LARGEST = 14

interface Size {
  readonly width: number
  readonly height: number
}

/** Air left around what is zoomed onto. */
const AIR = 0.82

/** The zoom at which a box of the vehicle frame (mm) fills all three views as far as it can. */
export function zoomOnto(extent: Extent, size: Size, box: Box): Zoom | undefined {
  const whole = layoutSheet(extent, size, undefined)
  const scale =
    AIR *
    Math.min(
      whole.side.width / Math.max(box.x1 - box.x0, 1),
      whole.side.height / Math.max(box.z1 - box.z0, 1),
      whole.plan.height / Math.max(box.y1 - box.y0, 1),
      whole.rear.width / Math.max(box.y1 - box.y0, 1),
    )
  const factor = Math.min(scale / whole.scale, LARGEST)
  if (factor <= 1.02) return undefined
  return {
    factor,
    x: (box.x0 + box.x1) / 2,
    y: (box.y0 + box.y1) / 2,
    z: (box.z0 + box.z1) / 2,
  }
}

/** Zooms by a factor with the place under the pointer (px on the sheet) standing still; all views together. */
export function zoomAt(
  layout: SheetLayout,
  zoom: Zoom | undefined,
  by: number,
  at: readonly [left: number, top: number] | undefined,
): Zoom | undefined {
  const before = zoom?.factor ?? 1
  const factor = Math.min(before * by, LARGEST)
  if (factor <= 1.02) return undefined
  const keep = 1 - before / factor
  const { x, y, z } = layout.centre
  const view = at && viewAt(layout, at[0], at[1])
  const toward = (from: number, to: number) => from + (to - from) * keep
  if (!at || !view) return { factor, x, y, z }
  const [u, v] = fromSheet(layout, view, at[0], at[1])
  return {
    factor,
    x: view === 'rear' ? x : toward(x, u),
    y: view === 'side' ? y : toward(y, view === 'rear' ? u : v),
    z: view === 'plan' ? z : toward(z, v),
  }
}

/** Shifts what a view shows by the given px; the other views follow along the axis they share. */
export function pan(layout: SheetLayout, zoom: Zoom, view: ViewName, dx: number, dy: number): Zoom {
  const du = -dx / layout.scale
  const dv = dy / layout.scale
  return {
    factor: zoom.factor,
    x: zoom.x + (view === 'rear' ? 0 : du),
    y: zoom.y + (view === 'rear' ? du : view === 'plan' ? dv : 0),
    z: zoom.z + (view === 'plan' ? 0 : dv),
  }
}
