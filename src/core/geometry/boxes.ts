/** An upright box in the vehicle frame, mm. */
export interface Box {
  readonly x0: number
  readonly x1: number
  readonly y0: number
  readonly y1: number
  readonly z0: number
  readonly z1: number
}

/** Two boxes share space only beyond this much in every direction: touching is not overlapping. mm. */
export const TOUCH_MM = 0.01

/** How far two upright boxes reach into each other along x, y and z (mm); negative is apart. */
export function reachInto(a: Box, b: Box): { readonly x: number; readonly y: number; readonly z: number } {
  return {
    x: Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0),
    y: Math.min(a.y1, b.y1) - Math.max(a.y0, b.y0),
    z: Math.min(a.z1, b.z1) - Math.max(a.z0, b.z0),
  }
}

/** Whether two upright boxes share space. */
export function overlap(a: Box, b: Box): boolean {
  const into = reachInto(a, b)
  return into.x > TOUCH_MM && into.y > TOUCH_MM && into.z > TOUCH_MM
}

/** How far two boxes are from meeting, mm: the widest gap between them along an axis; below nought they meet. */
export const distanceMm = (a: Box, b: Box): number =>
  Math.max(a.x0 - b.x1, b.x0 - a.x1, a.y0 - b.y1, b.y0 - a.y1, a.z0 - b.z1, b.z0 - a.z1)
