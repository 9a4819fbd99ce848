import { boxPath, ellipsePath, linePath, roundedPath, type PlanePoint } from './path'

/** A thing drawn in its own box: what is filled, and thin lines on it. */
export interface ThingPaths {
  readonly outline: string
  readonly detail: string
}

/** Seen along its length's side, across it (its end) or from above. */
export type Facing = 'along' | 'across' | 'above'

/** Points given as shares of a box, in its own size. */
export const scaled = (points: readonly PlanePoint[], u: number, v: number): PlanePoint[] =>
  points.map(([a, b]) => [a * u, b * v])

/** Half of a spindle's edge from bow to stern, as share of half its width. */
const SPINDLE: readonly PlanePoint[] = [
  [-0.5, 0],
  [-0.36, 0.2],
  [-0.18, 0.42],
  [0, 0.5],
  [0.18, 0.42],
  [0.36, 0.2],
  [0.5, 0],
]
/** A spindle's outline, bow to stern and back. */
export const spindle = (u: number, v: number, blunt = 1): PlanePoint[] => {
  const upper = scaled(SPINDLE, u, v).map(([a, b]): PlanePoint => [a, Math.min(v / 2, b * blunt)])
  return [
    ...upper,
    ...upper
      .slice(1, -1)
      .toReversed()
      .map(([a, b]): PlanePoint => [a, -b]),
  ]
}

/** A closed boat, or an open one. */
export function hull(facing: Facing, u: number, v: number, open: boolean): ThingPaths {
  if (facing === 'across')
    return {
      outline: roundedPath(
        scaled(
          [
            [-0.5, 0.2],
            [-0.34, -0.4],
            [0, -0.5],
            [0.34, -0.4],
            [0.5, 0.2],
            [0.3, 0.46],
            [-0.3, 0.46],
          ],
          u,
          v,
        ),
        Math.min(u, v) * 0.3,
      ),
      detail: '',
    }
  if (facing === 'above')
    return {
      outline: roundedPath(spindle(u, v, open ? 1.3 : 1), Math.min(u * 0.2, 900)),
      detail: open
        ? linePath([
            [-u * 0.2, -v * 0.4],
            [-u * 0.2, v * 0.4],
          ]) +
          linePath([
            [u * 0.2, -v * 0.4],
            [u * 0.2, v * 0.4],
          ])
        : ellipsePath(u * 0.03, 0, Math.min(u * 0.09, 420), v * 0.3),
    }
  return {
    outline: roundedPath(
      scaled(
        [
          [-0.5, 0.5],
          [-0.4, -0.1],
          [-0.24, -0.46],
          [0.24, -0.46],
          [0.4, -0.1],
          [0.5, 0.5],
          [0.22, 0.2],
          [0, 0.28],
          [-0.22, 0.2],
        ],
        u,
        v,
      ),
      v * 0.7,
    ),
    detail: '',
  }
}

/** A hard shell: blunt behind, falling away in front. */
export function shell(facing: Facing, u: number, v: number): ThingPaths {
  const seam = (at: number) =>
    linePath([
      [-u * 0.49, at],
      [u * 0.49, at],
    ])
  if (facing === 'above')
    return {
      outline: roundedPath(
        scaled(
          [
            [-0.5, 0.36],
            [-0.34, 0.5],
            [0.5, 0.5],
            [0.5, -0.5],
            [-0.34, -0.5],
            [-0.5, -0.36],
          ],
          u,
          v,
        ),
        Math.min(u, v) * 0.14,
      ),
      detail: '',
    }
  if (facing === 'along')
    return {
      outline: roundedPath(
        scaled(
          [
            [-0.5, -0.5],
            [-0.5, 0],
            [-0.3, 0.46],
            [0.42, 0.5],
            [0.5, 0.1],
            [0.5, -0.5],
          ],
          u,
          v,
        ),
        v * 0.32,
      ),
      detail: seam(-v * 0.16),
    }
  return { outline: boxPath(-u / 2, -v / 2, u / 2, v / 2, v * 0.24), detail: seam(-v * 0.16) }
}
