/** A load on a beam, downward positive, in any one unit of force (the reactions come out in the same). */
export type BeamLoad =
  | { readonly kind: 'point'; readonly atMm: number; readonly load: number }
  /** Spread along the beam, its intensity (load per mm) running straight from one end's to the other's. */
  | {
      readonly kind: 'line'
      readonly fromMm: number
      readonly toMm: number
      readonly fromPerMm: number
      readonly toPerMm: number
    }

/** A load spread over a base so that its resultant stands at `atMm`: even when that is the middle. */
export function spreadLoad(fromMm: number, toMm: number, load: number, atMm: number): BeamLoad {
  const length = toMm - fromMm
  if (length < 1e-6) return { kind: 'point', atMm, load }
  const mean = load / length
  const tilt = (6 * (atMm - (fromMm + toMm) / 2)) / length
  return { kind: 'line', fromMm, toMm, fromPerMm: mean * (1 - tilt), toPerMm: mean * (1 + tilt) }
}

const perMmAt = (load: Extract<BeamLoad, { kind: 'line' }>, x: number) =>
  load.fromPerMm + ((load.toPerMm - load.fromPerMm) * (x - load.fromMm)) / (load.toMm - load.fromMm)

/** Nodes and weights of three-point Gauss integration: exact up to the fifth power. */
const GAUSS = [
  [-Math.sqrt(3 / 5), 5 / 18],
  [0, 4 / 9],
  [Math.sqrt(3 / 5), 5 / 18],
] as const

interface Point {
  readonly at: number
  readonly load: number
}

/**
 * Loads as points that leave every end moment and reaction unchanged: within a span these are cubics of the
 * load's place, and a straight intensity times a cubic is integrated exactly by three points a piece.
 */
function asPoints(loads: readonly BeamLoad[], supports: readonly number[]): Point[] {
  return loads.flatMap((load): Point[] => {
    if (load.kind === 'point') return [{ at: load.atMm, load: load.load }]
    const cuts = [load.fromMm, ...supports.filter((x) => x > load.fromMm && x < load.toMm), load.toMm]
    return cuts.slice(1).flatMap((to, i) => {
      const from = cuts[i] ?? to
      return GAUSS.map(([node, weight]) => {
        const at = (from + to) / 2 + (node * (to - from)) / 2
        return { at, load: perMmAt(load, at) * weight * (to - from) }
      })
    })
  })
}

/** Solves a symmetric system with three diagonals, diagonally dominant as a beam's always is. */
function tridiagonal(diagonal: number[], beside: readonly number[], right: number[]): number[] {
  const n = diagonal.length
  for (let i = 1; i < n; i++) {
    const factor = (beside[i - 1] ?? 0) / (diagonal[i - 1] ?? 1)
    diagonal[i] = (diagonal[i] ?? 1) - factor * (beside[i - 1] ?? 0)
    right[i] = (right[i] ?? 0) - factor * (right[i - 1] ?? 0)
  }
  const result = new Array<number>(n).fill(0)
  for (let i = n - 1; i >= 0; i--)
    result[i] = ((right[i] ?? 0) - (beside[i] ?? 0) * (result[i + 1] ?? 0)) / (diagonal[i] ?? 1)
  return result
}

/**
 * Reactions of a beam on supports at one height, with overhangs: one for each support, in the loads' unit; a
 * negative one is uplift. Supports from left to right, at least two. Euler-Bernoulli by direct stiffness: the unknowns
 * are the beam's turns over its supports, so loads add no nodes. Two supports come out as the lever rule, whatever
 * the section. Handbook: slope-deflection, e.g. Hibbeler, Structural Analysis, from memory.
 */
export function beamReactions(supports: readonly number[], loads: readonly BeamLoad[]): number[] {
  const n = supports.length
  const first = supports[0] ?? 0
  const last = supports[n - 1] ?? first
  const reactions = new Array<number>(n).fill(0)
  const diagonal = new Array<number>(n).fill(0)
  const beside = new Array<number>(Math.max(0, n - 1)).fill(0)
  const right = new Array<number>(n).fill(0)
  const spans = supports
    .slice(1)
    .map((to, i) => ({ from: supports[i] ?? to, length: to - (supports[i] ?? to) }))
  const fixed = spans.map(() => ({ left: 0, right: 0, shearLeft: 0, shearRight: 0 }))
  const add = (list: number[], i: number, value: number) => {
    list[i] = (list[i] ?? 0) + value
  }
  for (const { at, load } of asPoints(loads, supports)) {
    if (at <= first) {
      add(right, 0, load * (first - at))
      add(reactions, 0, load)
    } else if (at >= last) {
      add(right, n - 1, -load * (at - last))
      add(reactions, n - 1, load)
    } else {
      const i = spans.findIndex((span) => at <= span.from + span.length)
      const [span, ends] = [spans[i], fixed[i]]
      if (!span || !ends) continue
      const a = at - span.from
      const b = span.length - a
      ends.left += (load * a * b * b) / span.length ** 2
      ends.right -= (load * a * a * b) / span.length ** 2
      ends.shearLeft += (load * b) / span.length
      ends.shearRight += (load * a) / span.length
    }
  }
  spans.forEach(({ length }, i) => {
    add(diagonal, i, 4 / length)
    add(diagonal, i + 1, 4 / length)
    beside[i] = 2 / length
    add(right, i, -(fixed[i]?.left ?? 0))
    add(right, i + 1, -(fixed[i]?.right ?? 0))
  })
  const turns = tridiagonal(diagonal, beside, right)
  spans.forEach(({ length }, i) => {
    const [a, b] = [turns[i] ?? 0, turns[i + 1] ?? 0]
    const ends = fixed[i] ?? { left: 0, right: 0, shearLeft: 0, shearRight: 0 }
    const moments = (6 * (a + b)) / length + ends.left + ends.right
    add(reactions, i, ends.shearLeft + moments / length)
    add(reactions, i + 1, ends.shearRight - moments / length)
  })
  return reactions
}

/** A beam with its loads and reactions: what goes on along it. Sagging moments are positive, deflection is downward positive. */
export interface Beam {
  readonly supports: readonly number[]
  readonly reactions: readonly number[]
  readonly fromMm: number
  readonly toMm: number
  /** Where anything begins, ends or stands. */
  readonly events: readonly number[]
  readonly shearAt: (xMm: number) => number
  /** In load × mm. */
  readonly momentAt: (xMm: number) => number
  /** For a stiffness of 1: divide by E·I in the loads' unit × mm². */
  readonly deflectionAt: (xMm: number) => number
  readonly largestMoment: { readonly atMm: number; readonly value: number }
}

/** What a line load has put on the beam's left part up to x: force, moment about x, and the latter's two integrals. */
function lineUpTo(load: Extract<BeamLoad, { kind: 'line' }>, x: number) {
  const slope = (load.toPerMm - load.fromPerMm) / (load.toMm - load.fromMm)
  const part = (start: number, intensity: number) => {
    const t = Math.max(0, x - start)
    return {
      force: intensity * t + (slope * t ** 2) / 2,
      moment: (intensity * t ** 2) / 2 + (slope * t ** 3) / 6,
      twice: (intensity * t ** 4) / 24 + (slope * t ** 5) / 120,
    }
  }
  const begun = part(load.fromMm, load.fromPerMm)
  const ended = part(load.toMm, load.toPerMm)
  return {
    force: begun.force - ended.force,
    moment: begun.moment - ended.moment,
    twice: begun.twice - ended.twice,
  }
}

/** Everything along a beam of a length (mm) on its supports under its loads. Exact, by integration of the moment. */
export function beamOf(
  supports: readonly number[],
  loads: readonly BeamLoad[],
  ends: { readonly fromMm: number; readonly toMm: number },
): Beam {
  const reactions = beamReactions(supports, loads)
  const first = supports[0] ?? 0
  const last = supports.at(-1) ?? first
  const sumUpTo = (x: number, of: 'force' | 'moment' | 'twice') => {
    const point = (at: number, load: number): number => {
      const t = x - at
      if (t <= 0) return 0
      return of === 'force' ? load : of === 'moment' ? load * t : (load * t ** 3) / 6
    }
    let sum = 0
    supports.forEach((at, i) => {
      sum += point(at, reactions[i] ?? 0)
    })
    for (const load of loads)
      sum -= load.kind === 'point' ? point(load.atMm, load.load) : lineUpTo(load, x)[of]
    return sum
  }
  const atFirst = sumUpTo(first, 'twice')
  const turn = last > first ? -(sumUpTo(last, 'twice') - atFirst) / (last - first) : 0
  const events = [
    ...new Set([
      ends.fromMm,
      ...supports,
      ...loads.flatMap((load) => (load.kind === 'point' ? [load.atMm] : [load.fromMm, load.toMm])),
      ends.toMm,
    ]),
  ].sort((a, b) => a - b)
  const momentAt = (x: number) => sumUpTo(x, 'moment')
  const shearAt = (x: number) => sumUpTo(x, 'force')
  return {
    supports,
    reactions,
    fromMm: Math.min(ends.fromMm, events[0] ?? ends.fromMm),
    toMm: Math.max(ends.toMm, events.at(-1) ?? ends.toMm),
    events,
    shearAt,
    momentAt,
    deflectionAt: (x) => -(sumUpTo(x, 'twice') - atFirst + turn * (x - first)),
    largestMoment: largest(events, momentAt, shearAt),
  }
}

/** A moment is largest where something stands, or where the shear of a line load passes zero (a parabola between events). */
function largest(
  events: readonly number[],
  momentAt: (x: number) => number,
  shearAt: (x: number) => number,
): { atMm: number; value: number } {
  const places = [...events]
  events.slice(1).forEach((to, i) => {
    const from = events[i] ?? to
    const step = to - from
    if (step < 1e-9) return
    const [a, b, c] = [shearAt(from + step * 1e-9), shearAt(from + step / 2), shearAt(to - step * 1e-9)]
    const square = 2 * (a - 2 * b + c)
    const straight = 4 * b - 3 * a - c
    for (const t of roots(square, straight, a)) if (t > 0 && t < 1) places.push(from + t * step)
  })
  return places
    .map((atMm) => ({ atMm, value: momentAt(atMm) }))
    .reduce((so, each) => (Math.abs(each.value) > Math.abs(so.value) ? each : so), { atMm: 0, value: 0 })
}

function roots(a: number, b: number, c: number): number[] {
  if (Math.abs(a) < 1e-12 * (Math.abs(b) + Math.abs(c))) return b === 0 ? [] : [-c / b]
  const inside = b * b - 4 * a * c
  if (inside < 0) return []
  const q = -(b + Math.sign(b || 1) * Math.sqrt(inside)) / 2
  return q === 0 ? [0] : [q / a, c / q]
}
