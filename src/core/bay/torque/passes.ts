import type { FootSide } from '../../survey/frame/arrangement'

/** One fastener's turn in a pass: where it is, and what it is tightened to, N·m (nothing without a figure). */
export interface Pull {
  readonly pass: number
  readonly percent: number
  readonly at: string
  readonly nm: number | undefined
}

/** The pass in which the whole figure is reached; 0 where there is none. */
export const lastPass = ({ pulls }: { readonly pulls: readonly Pull[] }): number =>
  Math.max(0, ...pulls.map(({ pass }) => pass))

/** A place of a group from the front (0) rearward, on one side. */
export interface Spot {
  readonly name: string
  readonly side: FootSide
  readonly row: number
  /** At the fixed end of its bar: it is tightened before the end that moves. */
  readonly fixed?: true
}

/**
 * The order in which a group is tightened: from a corner to the one across from it, then the next such two, so that
 * neither side nor either end runs ahead. LHF, RHR, RHF, LHR for four. Where bars have a fixed end, that end comes first.
 * Common practice, no source.
 */
export function diagonalOrder(spots: readonly Spot[]): readonly Spot[] {
  const fixed = spots.filter((spot) => spot.fixed === true)
  const moving = spots.filter((spot) => spot.fixed !== true)
  return fixed.length > 0 && moving.length > 0
    ? [...inDiagonals(fixed), ...inDiagonals(moving)]
    : inDiagonals(spots)
}

function inDiagonals(spots: readonly Spot[]): readonly Spot[] {
  if (new Set(spots.map(({ side }) => side)).size === 1) return spots.toSorted((a, b) => a.row - b.row)
  const rows = [...new Set(spots.map(({ row }) => row))].sort((a, b) => a - b)
  const find = (row: number | undefined, side: Spot['side']) =>
    spots.filter((spot) => spot.row === row && spot.side === side)
  return rows.flatMap((row, i) => {
    const across = rows.at(-1 - i)
    const middle = find(row, 'middle')
    return i % 2 === 0
      ? [...find(row, 'left'), ...find(across, 'right'), ...middle]
      : [...find(across, 'right'), ...find(row, 'left'), ...middle]
  })
}

/** Every pull of a group, pass after pass, each pass in the diagonal order; the last goes to the full figure. N·m. */
export function passList(
  spots: readonly Spot[],
  aim: number | undefined,
  percents: readonly number[],
): Pull[] {
  const rising = [...percents].sort((a, b) => a - b)
  const passes = rising.at(-1) === 100 ? rising : [...rising, 100]
  return passes.flatMap((percent, i) =>
    diagonalOrder(spots).map(({ name }) => ({
      pass: i + 1,
      percent,
      at: name,
      nm: aim === undefined ? undefined : (aim * percent) / 100,
    })),
  )
}
