import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cutBarLengths, firstFitDecreasing, type CutPlan } from './strip-cutting'
import { runs } from '@/core/runs.testing'

const done = (plan: CutPlan) => {
  if (plan.kind !== 'cut') throw new Error('too long')
  return plan
}
const sorted = (list: readonly number[]) => [...list].sort((a, b) => a - b)

/** Every way of putting pieces into bins, for lists so short that this ends. */
function bruteForce(pieces: readonly number[], stocks: readonly number[]): number {
  const longest = Math.max(...stocks)
  const price = (bin: readonly number[]) =>
    Math.min(...stocks.filter((stock) => stock >= bin.reduce((so, each) => so + each, 0)))
  let best = Infinity
  const bins: number[][] = []
  const place = (i: number) => {
    const piece = pieces[i]
    if (piece === undefined) {
      best = Math.min(
        best,
        bins.reduce((so, bin) => so + price(bin), 0),
      )
      return
    }
    for (const bin of bins) {
      if (bin.reduce((so, each) => so + each, 0) + piece > longest) continue
      bin.push(piece)
      place(i + 1)
      bin.pop()
    }
    bins.push([piece])
    place(i + 1)
    bins.pop()
  }
  place(0)
  return best
}

const piecesOf = (max: number) =>
  fc.array(fc.integer({ min: 20, max: 1000 }), { minLength: 1, maxLength: max })
const stocksOf = fc.array(fc.integer({ min: 1000, max: 2400 }), { minLength: 1, maxLength: 3 })

describe('cutting strips from stock', () => {
  it('puts 2 × 388 and 2 × 214 into one length of 1250', () => {
    expect(cutBarLengths([388, 214, 388, 214], [1250])).toEqual({
      kind: 'cut',
      cuts: [{ stockMm: 1250, piecesMm: [388, 388, 214, 214], wasteMm: 46 }],
      exact: true,
      boughtMm: 1250,
    })
  })

  it('finds the two lengths where first fit takes three', () => {
    const pieces = [500, 400, 300, 300, 300, 200]
    expect(done(cutBarLengths(pieces, [1000])).cuts).toHaveLength(2)
  })

  it('says which pieces no stock length holds', () => {
    expect(cutBarLengths([900, 2100], [2000])).toEqual({ kind: 'tooLong', piecesMm: [2100] })
    expect(cutBarLengths([], [2000])).toMatchObject({ cuts: [], boughtMm: 0 })
  })

  it('cuts exactly what was asked, within each length, and never buys more than first fit: 2 000 lists', () => {
    fc.assert(
      fc.property(piecesOf(14), stocksOf, (pieces, stocks) => {
        const plan = done(cutBarLengths(pieces, stocks))
        expect(sorted(plan.cuts.flatMap(({ piecesMm }) => piecesMm))).toEqual(sorted(pieces))
        for (const { stockMm, piecesMm, wasteMm } of plan.cuts) {
          expect(stocks).toContain(stockMm)
          expect(piecesMm.reduce((so, each) => so + each, 0) + wasteMm).toBeCloseTo(stockMm)
          expect(wasteMm).toBeGreaterThanOrEqual(0)
        }
        const simple = firstFitDecreasing(pieces, stocks).reduce((so, { stockMm }) => so + stockMm, 0)
        expect(plan.boughtMm).toBeLessThanOrEqual(simple)
      }),
      { numRuns: runs(2000) },
    )
  })

  it('equals trying every way, for short lists', () => {
    fc.assert(
      fc.property(piecesOf(7), stocksOf, (pieces, stocks) => {
        const plan = done(cutBarLengths(pieces, stocks))
        expect(plan.exact).toBe(true)
        expect(plan.boughtMm).toBe(bruteForce(pieces, stocks))
      }),
      { numRuns: runs(300) },
    )
  })
})
