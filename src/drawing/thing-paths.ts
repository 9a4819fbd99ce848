import type { Gear } from '@/core/api/plan'
import { hull, scaled, shell, spindle, type Facing, type ThingPaths } from './hull-paths'
import { boxPath, ellipsePath, linePath, polygonPath, roundedPath, type PlanePoint } from './path'

function bike(facing: Facing, u: number, v: number): ThingPaths {
  if (facing === 'along') {
    const r = Math.min(v * 0.33, u * 0.2)
    const left: PlanePoint = [-u / 2 + r, -v / 2 + r]
    const right: PlanePoint = [u / 2 - r, -v / 2 + r]
    return {
      outline: ellipsePath(left[0], left[1], r, r) + ellipsePath(right[0], right[1], r, r),
      detail:
        polygonPath([left, [-u * 0.14, v * 0.32], [u * 0.14, v * 0.28], [0, left[1]]]) +
        linePath([[u * 0.14, v * 0.28], right, [0, left[1]], [u * 0.16, v * 0.42]]) +
        linePath([
          [-u * 0.14, v * 0.32],
          [-u * 0.2, v / 2],
        ]),
    }
  }
  if (facing === 'above')
    return {
      outline: boxPath(-u / 2, -v * 0.07, u / 2, v * 0.07, v * 0.06),
      detail: linePath([
        [-u * 0.2, -v / 2],
        [-u * 0.2, v / 2],
      ]),
    }
  return {
    outline: boxPath(-u * 0.07, -v / 2, u * 0.07, v * 0.45, u * 0.06),
    detail: linePath([
      [-u / 2, v * 0.42],
      [u / 2, v * 0.42],
    ]),
  }
}

function poles(facing: Facing, u: number, v: number): ThingPaths {
  const outline = boxPath(-u / 2, -v / 2, u / 2, v / 2)
  if (facing === 'across') return { outline, detail: '' }
  const rows = facing === 'above' ? 4 : 2
  const lines: string[] = []
  for (let i = 1; i < rows; i += 1) {
    const at = -v / 2 + (v * i) / rows
    lines.push(
      linePath([
        [-u / 2, at],
        [u / 2, at],
      ]),
    )
  }
  return { outline, detail: lines.join(' ') }
}

function tray(facing: Facing, u: number, v: number): ThingPaths {
  if (facing === 'above') {
    const inset = Math.min(u, v) * 0.1
    return {
      outline: boxPath(-u / 2, -v / 2, u / 2, v / 2, Math.min(u, v) * 0.12),
      detail: boxPath(-u / 2 + inset, -v / 2 + inset, u / 2 - inset, v / 2 - inset, inset * 0.5),
    }
  }
  return {
    outline: polygonPath(
      scaled(
        [
          [-0.5, 0.5],
          [-0.47, -0.5],
          [0.47, -0.5],
          [0.5, 0.5],
        ],
        u,
        v,
      ),
    ),
    detail: linePath([
      [-u * 0.48, 0],
      [u * 0.48, 0],
    ]),
  }
}

function pairOf(
  facing: Facing,
  u: number,
  v: number,
  short: number,
  piece = Math.min(u * 0.12, short),
): ThingPaths {
  if (facing === 'across')
    return {
      outline: polygonPath(
        scaled(
          [
            [-0.5, 0.5],
            [-0.25, -0.5],
            [0.25, -0.5],
            [0.5, 0.5],
            [0.2, -0.1],
            [-0.2, -0.1],
          ],
          u,
          v,
        ),
      ),
      detail: '',
    }
  const half = Math.min(piece, u / 2) / 2
  const at = u / 2 - half
  return {
    outline:
      boxPath(-at - half, -v / 2, -at + half, v / 2, half * 0.5) +
      boxPath(at - half, -v / 2, at + half, v / 2, half * 0.5),
    detail: '',
  }
}

function slats(facing: Facing, u: number, v: number): ThingPaths {
  const outline = boxPath(-u / 2, -v / 2, u / 2, v / 2, Math.min(u, v) * 0.06)
  if (facing !== 'above') return { outline, detail: '' }
  const count = Math.max(3, Math.round(u / 200))
  const lines: string[] = []
  for (let i = 1; i < count; i += 1) {
    const at = -u / 2 + (u * i) / count
    lines.push(
      linePath([
        [at, -v * 0.44],
        [at, v * 0.44],
      ]),
    )
  }
  return { outline, detail: lines.join(' ') }
}

function person(facing: Facing, u: number, v: number): ThingPaths {
  if (facing === 'above')
    return { outline: ellipsePath(0, 0, u * 0.3, v * 0.5), detail: ellipsePath(0, 0, u * 0.2, u * 0.2) }
  const head = Math.min(u * 0.3, v * 0.08)
  return {
    outline:
      ellipsePath(0, v / 2 - head, head, head) +
      roundedPath(
        scaled(
          [
            [-0.36, -0.5],
            [-0.42, 0.38],
            [0.42, 0.38],
            [0.36, -0.5],
          ],
          u,
          v,
        ),
        u * 0.2,
      ),
    detail: '',
  }
}

function wheel(facing: Facing, u: number, v: number, onEdge: boolean): ThingPaths {
  const round = facing === (onEdge ? 'along' : 'above')
  return round
    ? { outline: ellipsePath(0, 0, u / 2, v / 2), detail: ellipsePath(0, 0, u * 0.28, v * 0.28) }
    : { outline: boxPath(-u / 2, -v / 2, u / 2, v / 2, Math.min(u, v) * 0.22), detail: '' }
}

/**
 * A thing as seen along its length's side, across it (its end) or from above, centred on (0, 0) and `u` by `v`
 * mm large. Shapes say what kind of thing it is; the box they fill is its own.
 */
export function thingPaths(gear: Gear, facing: Facing, u: number, v: number, onEdge: boolean): ThingPaths {
  if (gear.kind === 'bike') return bike(facing, u, v)
  switch (gear.shape) {
    case 'hull':
      return hull(facing, u, v, false)
    case 'canoe':
      return hull(facing, u, v, true)
    case 'board':
      return facing === 'above'
        ? { outline: roundedPath(spindle(u, v, 1.6), u * 0.16), detail: '' }
        : { outline: boxPath(-u / 2, -v / 2, u / 2, v / 2, v * 0.45), detail: '' }
    case 'shell':
      return shell(facing, u, v)
    case 'tray':
      return tray(facing, u, v)
    case 'cradles':
      return pairOf(facing, u, v, 150, gear.pieceMm)
    case 'clamps':
      return pairOf(facing, u, v, 70, gear.pieceMm)
    case 'deck':
      return slats(facing, u, v)
    case 'can':
      return {
        outline: boxPath(-u / 2, -v / 2, u / 2, v / 2, Math.min(u, v) * 0.14),
        detail:
          linePath([
            [-u * 0.36, -v * 0.36],
            [u * 0.36, v * 0.36],
          ]) +
          linePath([
            [-u * 0.36, v * 0.36],
            [u * 0.36, -v * 0.36],
          ]),
      }
    case 'bag':
      return {
        outline: boxPath(-u / 2, -v / 2, u / 2, v / 2, Math.min(u, v) * 0.3),
        detail:
          facing === 'across'
            ? ''
            : linePath([
                [-u * 0.25, -v / 2],
                [-u * 0.25, v / 2],
              ]) +
              linePath([
                [u * 0.25, -v / 2],
                [u * 0.25, v / 2],
              ]),
      }
    case 'person':
      return person(facing, u, v)
    case 'wheel':
      return wheel(facing, u, v, onEdge)
    case 'poles':
      return poles(facing, u, v)
    case 'box':
      return { outline: boxPath(-u / 2, -v / 2, u / 2, v / 2, Math.min(u, v) * 0.05), detail: '' }
  }
}
