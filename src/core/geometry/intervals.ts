/** From one end to the other, both within. */
export type Interval = readonly [from: number, to: number]
/** Intervals apart from each other, in order. */
export type Intervals = readonly Interval[]

const EPS = 1e-9

/** Any intervals put in order, those that meet joined. */
export function normal(intervals: Iterable<Interval>): Intervals {
  const sorted = [...intervals].filter(([from, to]) => to >= from - EPS).sort((a, b) => a[0] - b[0])
  const joined: [number, number][] = []
  for (const [from, to] of sorted) {
    const last = joined.at(-1)
    if (last && from <= last[1] + EPS) last[1] = Math.max(last[1], to)
    else joined.push([from, Math.max(from, to)])
  }
  return joined
}

/** What lies in both. */
export function intersect(a: Intervals, b: Intervals): Intervals {
  const both: Interval[] = []
  for (const [from, to] of a)
    for (const [from2, to2] of b) {
      const low = Math.max(from, from2)
      const high = Math.min(to, to2)
      if (high >= low - EPS) both.push([low, Math.max(low, high)])
    }
  return normal(both)
}

/** What of `a` is left when the insides of `b` are taken out: ends that touch stay. */
export function subtract(a: Intervals, b: Intervals): Intervals {
  let left = [...a]
  for (const [from, to] of b)
    left = left.flatMap(([low, high]): Interval[] => {
      if (to <= low || from >= high) return [[low, high]]
      const parts: Interval[] = []
      if (from >= low) parts.push([low, from])
      if (to <= high) parts.push([to, high])
      return parts
    })
  return normal(left)
}

/** Every difference of a value of `b` and a value of `a`. */
export function differences(a: Intervals, b: Intervals): Intervals {
  return normal(a.flatMap(([from, to]) => b.map(([from2, to2]): Interval => [from2 - to, to2 - from])))
}

/** Whether a value lies in them, ends included. */
export function holds(intervals: Intervals, value: number, tolerance = 1e-6): boolean {
  return intervals.some(([from, to]) => value >= from - tolerance && value <= to + tolerance)
}

/** The value in them that is nearest to one given; nothing when they are empty. */
export function nearest(intervals: Intervals, value: number): number | undefined {
  let best: number | undefined
  for (const [from, to] of intervals) {
    const inside = Math.min(Math.max(value, from), to)
    if (best === undefined || Math.abs(inside - value) < Math.abs(best - value)) best = inside
  }
  return best
}
