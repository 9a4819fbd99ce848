export type PlanePoint = readonly [u: number, v: number]

const point = ([u, v]: PlanePoint) => `${Math.round(u * 10) / 10} ${Math.round(v * 10) / 10}`

function toward(from: PlanePoint, to: PlanePoint, distance: number): PlanePoint {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1])
  const part = length === 0 ? 0 : distance / length
  return [from[0] + (to[0] - from[0]) * part, from[1] + (to[1] - from[1]) * part]
}

/** A chain of straight lines as SVG path data, each corner rounded by at most `radius` and 45 % of its shorter side. */
export function roundedPath(points: readonly PlanePoint[], radius: number, closed = true): string {
  const n = points.length
  const at = (i: number): PlanePoint => points[(i + n) % n] ?? [0, 0]
  const corner = (i: number): string => {
    const here = at(i)
    const before = at(i - 1)
    const after = at(i + 1)
    const shorter = Math.min(
      Math.hypot(here[0] - before[0], here[1] - before[1]),
      Math.hypot(after[0] - here[0], after[1] - here[1]),
    )
    const r = Math.min(radius, shorter * 0.45)
    return `${point(toward(here, before, r))} Q ${point(here)} ${point(toward(here, after, r))}`
  }
  if (closed) {
    const all = points.map((_, i) => corner(i))
    return `M ${all.join(' L ')} Z`
  }
  const inner = points.slice(1, -1).map((_, i) => corner(i + 1))
  return `M ${[point(at(0)), ...inner, point(at(n - 1))].join(' L ')}`
}

export function polygonPath(points: readonly PlanePoint[]): string {
  return `M ${points.map(point).join(' L ')} Z`
}

export function linePath(points: readonly PlanePoint[]): string {
  return `M ${points.map(point).join(' L ')}`
}

/** A box from corner to corner, its corners rounded. */
export function boxPath(u0: number, v0: number, u1: number, v1: number, radius = 0): string {
  const corners: PlanePoint[] = [
    [u0, v0],
    [u1, v0],
    [u1, v1],
    [u0, v1],
  ]
  return radius > 0 ? roundedPath(corners, radius) : polygonPath(corners)
}

export function ellipsePath(u: number, v: number, ru: number, rv: number): string {
  return `M ${point([u - ru, v])} A ${ru} ${rv} 0 1 0 ${point([u + ru, v])} A ${ru} ${rv} 0 1 0 ${point([u - ru, v])} Z`
}
