import { OPEN_MM } from '../../kinds/mount'
import { differences, intersect, normal, type Interval, type Intervals } from '../../geometry/intervals'

/** Where a bar may stand, as one member of the problem sees it. x in mm. */
export interface BarWindow {
  readonly by: string
  readonly bar: number
  readonly within: Intervals
}

/** What a member wants from one bar to a later one, centre to centre, mm. */
export interface SpreadAsk {
  readonly by: string
  readonly from: number
  readonly to: number
  readonly spread: Intervals
}

/** Bars in order of x, and everything that says where they may stand. */
export interface SpreadProblem {
  readonly bars: number
  readonly windows: readonly BarWindow[]
  readonly asks: readonly SpreadAsk[]
}

const ANYWHERE: Intervals = [[-OPEN_MM, OPEN_MM]]
const EPS = 1e-7

/** Every bar's window: what all its members leave. */
function windowsOf({ bars, windows }: SpreadProblem): Intervals[] {
  return Array.from({ length: bars }, (_, bar) =>
    windows
      .filter((each) => each.bar === bar)
      .reduce<Intervals>((common, { within }) => intersect(common, within), ANYWHERE),
  )
}

interface Link {
  readonly from: number
  readonly to: number
  readonly spread: Intervals
}

/** What all asks between the same two bars leave; bars keep their order. */
function linksOf({ bars, asks }: SpreadProblem): Link[] {
  const links = new Map<string, Link>()
  const put = (from: number, to: number, spread: Intervals) => {
    const key = `${from}-${to}`
    const cached = links.get(key)
    links.set(key, { from, to, spread: cached ? intersect(cached.spread, spread) : spread })
  }
  for (let bar = 1; bar < bars; bar += 1) put(bar - 1, bar, [[0, 200_000]])
  for (const { from, to, spread } of asks) put(from, to, spread)
  return [...links.values()]
}

/** The bounds of every difference that follow from bounds between pairs: shortest paths (Floyd, Warshall). */
function tightened(bars: number, windows: readonly Interval[], links: readonly (Link & { at: Interval })[]) {
  const n = bars + 1
  const bound = Array.from({ length: n }, (_, i) =>
    Array.from({ length: n }, (__, j) => (i === j ? 0 : Infinity)),
  )
  const limit = (i: number, j: number, most: number) => {
    const row = bound[i]
    if (row) row[j] = Math.min(row[j] ?? Infinity, most)
  }
  windows.forEach(([from, to], bar) => {
    limit(bars, bar, to)
    limit(bar, bars, -from)
  })
  for (const { from, to, at } of links) {
    limit(from, to, at[1])
    limit(to, from, -at[0])
  }
  for (let k = 0; k < n; k += 1)
    for (let i = 0; i < n; i += 1)
      for (let j = 0; j < n; j += 1) {
        const row = bound[i]
        const via = (bound[i]?.[k] ?? Infinity) + (bound[k]?.[j] ?? Infinity)
        if (row && via < (row[j] ?? Infinity)) row[j] = via
      }
  return bound.every((row, i) => (row[i] ?? 0) >= -EPS) ? bound : undefined
}

export interface SpreadSolution {
  /** Every x that each bar can take, the others following. */
  readonly positions: readonly Intervals[]
  /** Every spread that two bars can have, the others following. */
  between(from: number, to: number): Intervals
}

/**
 * Where all bars may stand at once: exact, by trying each choice of window pieces and of spread pieces, and in
 * each the bounds that follow. Nothing when no arrangement meets every member. mm.
 */
export function solveSpread(problem: SpreadProblem): SpreadSolution | undefined {
  const { bars } = problem
  const windows = windowsOf(problem)
  const links = linksOf(problem)
  if (windows.some((each) => each.length === 0) || links.some(({ spread }) => spread.length === 0))
    return undefined
  const found: number[][][] = []
  const chosen: Interval[] = []
  const tryLinks = (index: number, at: (Link & { at: Interval })[]) => {
    const link = links[index]
    if (!link) {
      const bounds = tightened(bars, chosen, at)
      if (bounds) found.push(bounds)
      return
    }
    const [a, b] = [chosen[link.from], chosen[link.to]]
    if (!a || !b) return
    const reach = differences([a], [b])
    for (const piece of link.spread)
      if (intersect(reach, [piece]).length > 0) tryLinks(index + 1, [...at, { ...link, at: piece }])
  }
  const tryBars = (bar: number) => {
    if (bar === bars) {
      tryLinks(0, [])
      return
    }
    for (const piece of windows[bar] ?? []) {
      chosen[bar] = piece
      const fits = links.every(({ from, to, spread }) => {
        const [a, b] = [chosen[from], chosen[to]]
        return to > bar || !a || !b || intersect(differences([a], [b]), spread).length > 0
      })
      if (fits) tryBars(bar + 1)
    }
  }
  tryBars(0)
  if (found.length === 0) return undefined
  return {
    positions: Array.from({ length: bars }, (_, bar) =>
      normal(found.map((bound): Interval => [-(bound[bar]?.[bars] ?? 0), bound[bars]?.[bar] ?? 0])),
    ),
    between: (from, to) =>
      normal(found.map((bound): Interval => [-(bound[to]?.[from] ?? 0), bound[from]?.[to] ?? 0])),
  }
}

/** The members of a problem, in order of first mention. */
export function membersOf({ windows, asks }: SpreadProblem): string[] {
  return [...new Set([...windows, ...asks].map(({ by }) => by))]
}

/** A problem with only some of its members. */
export function onlyMembers(problem: SpreadProblem, kept: ReadonlySet<string>): SpreadProblem {
  return {
    bars: problem.bars,
    windows: problem.windows.filter(({ by }) => kept.has(by)),
    asks: problem.asks.filter(({ by }) => kept.has(by)),
  }
}

/** So many members are tried together, and so many sets in all: beyond that nobody reads them. */
const MOST_TOGETHER = 6
const MOST_TRIED = 3000
const MOST_NAMED = 24

/** Members that ask exactly the same are one for the search; each is named in its turn. */
function alike(problem: SpreadProblem): string[][] {
  const groups = new Map<string, string[]>()
  for (const id of membersOf(problem)) {
    const asks = problem.asks.filter(({ by }) => by === id).map(({ from, to, spread }) => [from, to, spread])
    const windows = problem.windows.filter(({ by }) => by === id).map(({ bar, within }) => [bar, within])
    const key = JSON.stringify([asks, windows])
    const group = groups.get(key)
    if (group) group.push(id)
    else groups.set(key, [id])
  }
  return [...groups.values()]
}

/** Every smallest set of members that cannot be met together: none of them holds another. */
export function conflicts(problem: SpreadProblem): string[][] {
  if (solveSpread(problem)) return []
  const groups = alike(problem)
  const found: string[][][] = []
  let tried = 0
  const choose = (size: number, from: number, kept: string[][]) => {
    if (tried > MOST_TRIED) return
    if (kept.length === size) {
      if (found.some((set) => set.every((each) => kept.includes(each)))) return
      tried += 1
      if (!solveSpread(onlyMembers(problem, new Set(kept.flatMap(([first]) => first ?? [])))))
        found.push(kept)
      return
    }
    for (let i = from; i < groups.length; i += 1) {
      const group = groups[i]
      if (group) choose(size, i + 1, [...kept, group])
    }
  }
  for (let size = 1; size <= Math.min(MOST_TOGETHER, groups.length); size += 1) choose(size, 0, [])
  return found
    .flatMap((set) =>
      set.reduce<string[][]>(
        (sets, group) => sets.flatMap((common) => group.map((id) => [...common, id])).slice(0, MOST_NAMED),
        [[]],
      ),
    )
    .slice(0, MOST_NAMED)
}

const widened = (problem: SpreadProblem, by: string, mm: number): SpreadProblem => ({
  ...problem,
  asks: problem.asks.map((ask) =>
    ask.by === by
      ? { ...ask, spread: normal(ask.spread.map(([from, to]): Interval => [from - mm, to + mm])) }
      : ask,
  ),
})

/** Nobody gives way by more than the length of a rack, mm. */
const FARTHEST_MM = 4096
const FINE_MM = 1 / 16

/**
 * The least that one member alone would have to give way, at either end of what it asks, for all to be met: mm, to a
 * sixteenth. Nothing where no giving way of one alone is enough.
 */
export function missedBy(problem: SpreadProblem): number | undefined {
  let least: number | undefined
  for (const by of new Set(problem.asks.map((ask) => ask.by))) {
    let [no, yes] = [0, least ?? FARTHEST_MM]
    if (!solveSpread(widened(problem, by, yes))) continue
    while (yes - no > FINE_MM) {
      const middle = (no + yes) / 2
      if (solveSpread(widened(problem, by, middle))) yes = middle
      else no = middle
    }
    least = yes
  }
  return least
}
