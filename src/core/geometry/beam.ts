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
  const points: Point[] = []
  for (const load of loads) {
    if (load.kind === 'point') {
      points.push({ at: load.atMm, load: load.load })
      continue
    }
    let from = load.fromMm
    for (const cut of [...supports, load.toMm]) {
      if (cut <= from || cut > load.toMm) continue
      for (const [node, weight] of GAUSS) {
        const at = (from + cut) / 2 + (node * (cut - from)) / 2
        points.push({ at, load: perMmAt(load, at) * weight * (cut - from) })
      }
      from = cut
    }
  }
  return points
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

/** A stretch of beam between two places where anything begins, ends or stands. Its start's values, and the load on it. */
interface Stretch {
  readonly from: number
  readonly length: number
  readonly shear: number
  readonly moment: number
  readonly turn: number
  readonly sink: number
  /** Line load at its start, and its slope. */
  readonly perMm: number
  readonly slope: number
}

const shearIn = ({ shear, perMm, slope }: Stretch, t: number) => shear - t * (perMm + (slope * t) / 2)
const momentIn = ({ moment, shear, perMm, slope }: Stretch, t: number) =>
  moment + t * (shear - t * (perMm / 2 + (slope * t) / 6))
const turnIn = ({ turn, moment, shear, perMm, slope }: Stretch, t: number) =>
  turn + t * (moment + t * (shear / 2 - t * (perMm / 6 + (slope * t) / 24)))
const sinkIn = ({ sink, turn, moment, shear, perMm, slope }: Stretch, t: number) =>
  sink + t * (turn + t * (moment / 2 + t * (shear / 6 - t * (perMm / 24 + (slope * t) / 120))))

/** A beam with its loads and reactions: what goes on along it. Sagging moments are positive, deflection is downward positive. */
export interface Beam {
  readonly supports: readonly number[]
  readonly reactions: readonly number[]
  readonly fromMm: number
  readonly toMm: number
  readonly shearAt: (xMm: number) => number
  /** In load × mm. */
  readonly momentAt: (xMm: number) => number
  /** For a stiffness of 1: divide by E·I in the loads' unit × mm². */
  readonly deflectionAt: (xMm: number) => number
  readonly largestMoment: { readonly atMm: number; readonly value: number }
  /** Where it bends down most, for a stiffness of 1. */
  readonly lowest: () => { readonly atMm: number; readonly value: number }
}

/** What begins or ends at a place: a force (upward), and how the line load and its slope change there. */
interface Event {
  readonly at: number
  force: number
  perMm: number
  slope: number
}

function eventsOf(
  supports: readonly number[],
  reactions: readonly number[],
  loads: readonly BeamLoad[],
  ends: { readonly fromMm: number; readonly toMm: number },
): Event[] {
  const events = new Map<number, Event>()
  const here = (at: number): Event => {
    const cached = events.get(at)
    if (cached) return cached
    const event = { at, force: 0, perMm: 0, slope: 0 }
    events.set(at, event)
    return event
  }
  supports.forEach((at, i) => {
    here(at).force += reactions[i] ?? 0
  })
  for (const load of loads) {
    if (load.kind === 'point') {
      here(load.atMm).force -= load.load
      continue
    }
    const slope = (load.toPerMm - load.fromPerMm) / (load.toMm - load.fromMm)
    const [begins, stops] = [here(load.fromMm), here(load.toMm)]
    begins.perMm += load.fromPerMm
    begins.slope += slope
    stops.perMm -= load.toPerMm
    stops.slope -= slope
  }
  here(ends.fromMm)
  here(ends.toMm)
  return [...events.values()].sort((a, b) => a.at - b.at)
}

/** Walks along the beam from its left end: shear and moment from what stands on the way, turn and deflection by integrating them. */
function stretchesOf(events: readonly Event[]): Stretch[] {
  const stretches: Stretch[] = []
  let at = { shear: 0, moment: 0, turn: 0, sink: 0, perMm: 0, slope: 0 }
  for (let i = 0; i + 1 < events.length; i++) {
    const event = events[i]
    const length = (events[i + 1]?.at ?? 0) - (event?.at ?? 0)
    if (!event) continue
    const stretch: Stretch = {
      from: event.at,
      length,
      shear: at.shear + event.force,
      moment: at.moment,
      turn: at.turn,
      sink: at.sink,
      perMm: at.perMm + event.perMm,
      slope: at.slope + event.slope,
    }
    stretches.push(stretch)
    at = {
      shear: shearIn(stretch, length),
      moment: momentIn(stretch, length),
      turn: turnIn(stretch, length),
      sink: sinkIn(stretch, length),
      perMm: stretch.perMm + stretch.slope * length,
      slope: stretch.slope,
    }
  }
  return stretches
}

/** Everything along a beam of a length (mm) on its supports under its loads. Exact, by integration of the moment. */
export function beamOf(
  supports: readonly number[],
  loads: readonly BeamLoad[],
  ends: { readonly fromMm: number; readonly toMm: number },
): Beam {
  const reactions = beamReactions(supports, loads)
  const events = eventsOf(supports, reactions, loads, ends)
  const stretches = stretchesOf(events)
  const at = (x: number, of: (stretch: Stretch, t: number) => number): number => {
    let low = 0
    let high = stretches.length
    while (high - low > 1) {
      const middle = (low + high) >> 1
      if ((stretches[middle]?.from ?? Infinity) > x) high = middle
      else low = middle
    }
    const found = stretches[low]
    return found ? of(found, x - found.from) : 0
  }
  // The walk began with no turn and no deflection: a straight line puts both end supports back at none.
  const [first, last] = [supports[0] ?? 0, supports.at(-1) ?? 0]
  const [sunkFirst, sunkLast] = [at(first, sinkIn), at(last, sinkIn)]
  const tilt = last > first ? (sunkLast - sunkFirst) / (last - first) : 0
  const deflectionAt = (x: number) => -(at(x, sinkIn) - sunkFirst - tilt * (x - first))
  return {
    supports,
    reactions,
    fromMm: events[0]?.at ?? ends.fromMm,
    toMm: events.at(-1)?.at ?? ends.toMm,
    shearAt: (x) => at(x, shearIn),
    momentAt: (x) => at(x, momentIn),
    deflectionAt,
    largestMoment: largestMoment(stretches),
    lowest: () => lowestOf(stretches, tilt, sunkFirst - tilt * first),
  }
}

interface Place {
  readonly atMm: number
  readonly value: number
}

/** A moment is largest where something stands, or where a line load's shear passes nothing. */
function largestMoment(stretches: readonly Stretch[]): Place {
  let extreme: Place = { atMm: 0, value: 0 }
  const look = (stretch: Stretch, t: number) => {
    const value = momentIn(stretch, t)
    if (Math.abs(value) > Math.abs(extreme.value)) extreme = { atMm: stretch.from + t, value }
  }
  for (const stretch of stretches) {
    look(stretch, 0)
    look(stretch, stretch.length)
    if (stretch.perMm === 0 && stretch.slope === 0) continue
    for (const t of roots(-stretch.slope / 2, -stretch.perMm, stretch.shear))
      if (t > 0 && t < stretch.length) look(stretch, t)
  }
  return extreme
}

const PARTS = 4

/** It comes down most at an end, or where it runs level: there the turn changes sign, and halving finds the place to a micrometre. */
function lowestOf(stretches: readonly Stretch[], tilt: number, straight: number): Place {
  let extreme: Place = { atMm: stretches[0]?.from ?? 0, value: -Infinity }
  const look = (stretch: Stretch, t: number) => {
    const atMm = stretch.from + t
    const value = straight + tilt * atMm - sinkIn(stretch, t)
    if (value > extreme.value) extreme = { atMm, value }
  }
  for (const stretch of stretches) {
    look(stretch, 0)
    look(stretch, stretch.length)
    let low = 0
    let before = turnIn(stretch, 0) - tilt
    for (let part = 1; part <= PARTS; part++) {
      let high = (stretch.length * part) / PARTS
      const after = turnIn(stretch, high) - tilt
      const falling = before
      const to = high
      if (falling * after < 0) {
        while (high - low > 1e-6) {
          const middle = (low + high) / 2
          if ((turnIn(stretch, middle) - tilt) * falling > 0) low = middle
          else high = middle
        }
        look(stretch, low)
      }
      // Level just here: no change of sign is seen on either side.
      look(stretch, to)
      low = to
      before = after
    }
  }
  return extreme
}

function roots(a: number, b: number, c: number): number[] {
  if (Math.abs(a) < 1e-12 * (Math.abs(b) + Math.abs(c))) return b === 0 ? [] : [-c / b]
  const inside = b * b - 4 * a * c
  if (inside < 0) return []
  const q = -(b + Math.sign(b || 1) * Math.sqrt(inside)) / 2
  return q === 0 ? [0] : [q / a, c / q]
}
