import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import type { ChanceProblem, Uncertain, Unknown } from './problem'

export const DRAWS = 20_000
const SEED = 20_011
const BINS = 40

/** How often a limit is exceeded, 0 to 1, with the standard error of that; and how its margin spreads, kg (negative is over). */
export interface LimitChance {
  readonly limit: Uncertain
  readonly chance: number
  readonly errorOfChance: number
  readonly meanKg: number
  readonly sigmaKg: number
  readonly margins: { readonly p05: number; readonly p50: number; readonly p95: number }
  /** How many draws fall into each step of margin. */
  readonly bins: readonly { readonly fromKg: number; readonly toKg: number; readonly count: number }[]
}

/** What share of the variance of a margin one unknown makes, 0 to 1. */
export interface WorthWeighing {
  readonly unknown: Unknown
  readonly share: number
}

export interface Chances {
  readonly draws: number
  readonly limits: readonly LimitChance[]
}

/** Two independent standard normal numbers out of two even ones. Box and Muller 1958, from memory. */
function normals(even: () => number): readonly [number, number] {
  const radius = Math.sqrt(-2 * Math.log(1 - even()))
  const angle = 2 * Math.PI * even()
  return [radius * Math.cos(angle), radius * Math.sin(angle)]
}

/** The least margin of a limit's rows for one draw of deviations, kg. */
function marginOf({ rows }: Uncertain, deviations: Float64Array): number {
  let least = Infinity
  for (const { limitKg, meanKg, takes } of rows) {
    let kg = meanKg
    for (let i = 0; i < deviations.length; i++) kg += (takes[i] ?? 0) * (deviations[i] ?? 0)
    least = Math.min(least, limitKg - kg)
  }
  return least
}

/**
 * Draws every unknown mass again so many times and counts how often each limit is exceeded. Normal deviations, a mass
 * never below nothing; the same seed gives the same answer. Yields how many draws are done, so that a caller may stop it.
 */
export function* drawChances(
  problem: ChanceProblem,
  draws: number = DRAWS,
  seed: number = SEED,
  chunk = 1000,
): Generator<number, Chances> {
  const generator = xoroshiro128plus(seed)
  const even = () => uniformFloat64(generator)
  const { unknowns, limits } = problem
  const margins = limits.map(() => new Float64Array(draws))
  const deviations = new Float64Array(unknowns.length)
  let spare: number | undefined
  for (let draw = 0; draw < draws; draw++) {
    if (draw > 0 && draw % chunk === 0) yield draw
    unknowns.forEach(({ kg, sigmaKg }, i) => {
      let z = spare
      if (z === undefined) [z, spare] = normals(even)
      else spare = undefined
      deviations[i] = Math.max(-kg, sigmaKg * z)
    })
    limits.forEach((limit, i) => {
      const list = margins[i]
      if (list) list[draw] = marginOf(limit, deviations)
    })
  }
  return { draws, limits: limits.map((limit, i) => summary(limit, margins[i] ?? new Float64Array())) }
}

function summary(limit: Uncertain, margins: Float64Array): LimitChance {
  const n = margins.length
  const tolerance = 1e-6 * Math.min(...limit.rows.map(({ limitKg }) => limitKg))
  let over = 0
  let sum = 0
  for (const margin of margins) {
    if (margin < -tolerance) over++
    sum += margin
  }
  const mean = sum / n
  let squares = 0
  for (const margin of margins) squares += (margin - mean) ** 2
  const sorted = margins.toSorted()
  const at = (share: number) => sorted[Math.min(n - 1, Math.floor(share * n))] ?? mean
  const chance = over / n
  return {
    limit,
    chance,
    errorOfChance: Math.sqrt((chance * (1 - chance)) / n),
    meanKg: mean,
    sigmaKg: Math.sqrt(squares / Math.max(1, n - 1)),
    margins: { p05: at(0.05), p50: at(0.5), p95: at(0.95) },
    bins: binsOf(sorted),
  }
}

function binsOf(sorted: Float64Array): LimitChance['bins'] {
  const [from, to] = [sorted[0] ?? 0, sorted.at(-1) ?? 0]
  const width = (to - from) / BINS
  if (width <= 0) return [{ fromKg: from, toKg: to, count: sorted.length }]
  const counts = new Array<number>(BINS).fill(0)
  for (const margin of sorted) {
    const bin = Math.min(BINS - 1, Math.floor((margin - from) / width))
    counts[bin] = (counts[bin] ?? 0) + 1
  }
  return counts.map((count, i) => ({ fromKg: from + i * width, toKg: from + (i + 1) * width, count }))
}

/**
 * Which unknown is most worth weighing for a limit: each one's share of the variance of the row that is nearest its
 * limit, largest first. Exact for a sum: takes² · σ² over their total.
 */
export function worthWeighing({ unknowns }: ChanceProblem, limit: Uncertain): WorthWeighing[] {
  const nearest = limit.rows.reduce<Uncertain['rows'][number] | undefined>(
    (worst, row) => (worst && worst.limitKg - worst.meanKg <= row.limitKg - row.meanKg ? worst : row),
    undefined,
  )
  const parts = unknowns.map((unknown, i) => ({
    unknown,
    part: ((nearest?.takes[i] ?? 0) * unknown.sigmaKg) ** 2,
  }))
  const total = parts.reduce((sum, { part }) => sum + part, 0)
  return parts
    .filter(({ part }) => part > 0)
    .map(({ unknown, part }) => ({ unknown, share: part / total }))
    .sort((a, b) => b.share - a.share)
}

/** The limit to look at first in a plan: of those that govern, the one most often exceeded, then the one with least to spare. */
export function mostAtRisk(chances: Chances): LimitChance | undefined {
  const governing = chances.limits.filter(({ limit }) => limit.governs)
  const list = governing.length > 0 ? governing : chances.limits
  return list.reduce<LimitChance | undefined>(
    (worst, each) =>
      worst &&
      (worst.chance > each.chance || (worst.chance === each.chance && worst.margins.p05 <= each.margins.p05))
        ? worst
        : each,
    undefined,
  )
}
