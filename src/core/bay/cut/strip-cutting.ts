/** One stock length and the pieces cut from it, longest first. mm. */
export interface Cut {
  readonly stockMm: number
  readonly piecesMm: readonly number[]
  readonly wasteMm: number
}

/** How a list is cut: `exact` when no other way buys less; or the pieces that no stock length holds. */
export type CutPlan =
  | {
      readonly kind: 'cut'
      readonly cuts: readonly Cut[]
      readonly exact: boolean
      readonly boughtMm: number
    }
  | { readonly kind: 'tooLong'; readonly piecesMm: readonly number[] }

/** Beyond so many different remainders of the list the exact search gives way to the best of two simple orders. */
const MOST_STATES = 60_000
const ROUND = 1e-6

const sum = (list: readonly number[]) => list.reduce((so, each) => so + each, 0)
const cutOf = (stockMm: number, pieces: readonly number[]): Cut => ({
  stockMm,
  piecesMm: [...pieces].sort((a, b) => b - a),
  wasteMm: stockMm - sum(pieces),
})
const bought = (cuts: readonly Cut[]) => sum(cuts.map(({ stockMm }) => stockMm))

/** The least stock length that holds so much. */
const leastStock = (stocks: readonly number[], used: number) => stocks.find((each) => each >= used - ROUND)

/** First fit, longest first, into the longest stock; each then cut from the least stock that holds it. Handbook: bin packing. */
export function firstFitDecreasing(piecesMm: readonly number[], stocksMm: readonly number[]): Cut[] {
  const stocks = [...stocksMm].sort((a, b) => a - b)
  const longest = stocks.at(-1) ?? 0
  const bins: number[][] = []
  for (const piece of [...piecesMm].sort((a, b) => b - a)) {
    const bin = bins.find((each) => sum(each) + piece <= longest + ROUND)
    if (bin) bin.push(piece)
    else bins.push([piece])
  }
  return bins.map((bin) => cutOf(leastStock(stocks, sum(bin)) ?? longest, bin))
}

/**
 * Cuts strips from stock lengths so that least is bought. Exact for the sizes of a rack: equal pieces are one kind, and
 * every remainder of the list is solved once, its longest piece always in the next cut. mm.
 */
export function cutBarLengths(piecesMm: readonly number[], stocksMm: readonly number[]): CutPlan {
  const stocks = [...new Set(stocksMm)].sort((a, b) => a - b)
  const longest = stocks.at(-1) ?? 0
  const tooLong = piecesMm.filter((piece) => piece > longest + ROUND)
  if (tooLong.length > 0) return { kind: 'tooLong', piecesMm: tooLong }
  const kinds = [...new Set(piecesMm)].sort((a, b) => b - a)
  const counts = kinds.map((kind) => piecesMm.filter((piece) => piece === kind).length)
  const simple = firstFitDecreasing(piecesMm, stocks)
  const states = counts.reduce((so, count) => so * (count + 1), 1)
  const best = states <= MOST_STATES ? leastBought(kinds, counts, stocks, longest) : undefined
  const cuts = best && bought(best) < bought(simple) - ROUND ? best : simple
  return { kind: 'cut', cuts, exact: best !== undefined, boughtMm: bought(cuts) }
}

interface Solved {
  readonly boughtMm: number
  readonly take: readonly number[]
  readonly stockMm: number
}

/** Where the search has looked at so many cuts, it is no longer quick: the caller has another way. */
const MOST_CUTS = 3_000_000

function leastBought(
  kinds: readonly number[],
  counts: readonly number[],
  stocks: readonly number[],
  longest: number,
): Cut[] | undefined {
  const cached = new Map<string, Solved>()
  let looked = 0
  const solve = (left: readonly number[]): number => {
    const first = left.findIndex((count) => count > 0)
    if (first < 0) return 0
    const key = left.join()
    const before = cached.get(key)
    if (before) return before.boughtMm
    let best: Solved = { boughtMm: Infinity, take: [], stockMm: 0 }
    const take = left.map(() => 0)
    const fill = (kind: number, room: number) => {
      if ((looked += 1) > MOST_CUTS) return
      if (kind === kinds.length) {
        const stockMm = leastStock(stocks, longest - room)
        if (stockMm === undefined) return
        const rest = left.map((count, i) => count - (take[i] ?? 0))
        const boughtMm = stockMm + solve(rest)
        if (boughtMm < best.boughtMm - ROUND) best = { boughtMm, take: [...take], stockMm }
        return
      }
      const size = kinds[kind] ?? 0
      const most = Math.min(left[kind] ?? 0, Math.floor((room + ROUND) / size))
      for (let count = most; count >= (kind === first ? 1 : 0); count -= 1) {
        take[kind] = count
        fill(kind + 1, room - count * size)
      }
      take[kind] = 0
    }
    fill(first, longest)
    cached.set(key, best)
    return best.boughtMm
  }
  solve(counts)
  if (looked > MOST_CUTS) return undefined
  const cuts: Cut[] = []
  let left = counts
  for (let next = cached.get(left.join()); next; next = cached.get(left.join())) {
    const { take } = next
    cuts.push(
      cutOf(
        next.stockMm,
        kinds.flatMap((kind, i) => new Array<number>(take[i] ?? 0).fill(kind)),
      ),
    )
    left = left.map((count, i) => count - (take[i] ?? 0))
  }
  return cuts
}
