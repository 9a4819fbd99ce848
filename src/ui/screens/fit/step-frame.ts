/** What a place takes in the drawing of a step: its square, px. */
export const PLACE_PX = 44
export const DRAWN = { width: 720, height: 330 } as const
/** Room for the names beside the outermost places, px. */
const BESIDE_PX = 86
const OVER_PX = 56

/** The least that a drawing shows along and across, mm: what is smaller is drawn as large as that. */
const LEAST_MM = 60

export interface StepExtent {
  readonly x0: number
  readonly x1: number
  readonly y0: number
  readonly y1: number
}

/**
 * Where a point of the vehicle lies in the drawing of a step, front to the left and the right side at the top, px.
 * What is shown fills the drawing, so that the places of a small clamp stand apart as those of a rack do.
 */
export function frameOf({ x0, x1, y0, y1 }: StepExtent) {
  const scale = Math.min(
    (DRAWN.width - 2 * BESIDE_PX) / Math.max(x1 - x0, LEAST_MM),
    (DRAWN.height - 2 * OVER_PX) / Math.max(y1 - y0, LEAST_MM),
  )
  const at = (x: number, y: number) => ({
    x: DRAWN.width / 2 + (x - (x0 + x1) / 2) * scale,
    y: DRAWN.height / 2 - (y - (y0 + y1) / 2) * scale,
  })
  return { at }
}

/** What some points take up, mm. */
export const extentAround = (
  points: readonly { readonly xMm: number; readonly yMm: number }[],
): StepExtent => {
  const [xs, ys] = [points.map(({ xMm }) => xMm), points.map(({ yMm }) => yMm)]
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) }
}
