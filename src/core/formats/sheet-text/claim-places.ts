import type { Claim } from '../../reading/claim'

/** A source keeps no more of a text’s words. */
export const MOST_WORDS = 200

/** The line in which a claim stands; of a long one what is before it, and the figure. */
export function wordsRound(text: string, [start, end]: Claim['at']): string {
  const near = text.slice(Math.max(0, start - MOST_WORDS), start)
  const before = near.slice(near.lastIndexOf('\n') + 1)
  const beyond = text.slice(end, end + MOST_WORDS)
  const figure = text.slice(start, end)
  const [after = ''] = beyond.split('\n', 1)
  const line = `${before}${figure}${after}`.trim()
  return line.length > MOST_WORDS ? `${`${before}${figure}`.trim().slice(1 - MOST_WORDS)}…` : line
}

/** How many of some places, in their order, are not after another: looked for by halves. */
function countUpTo(places: readonly number[], at: number): number {
  let [from, to] = [0, places.length]
  while (from < to) {
    const middle = (from + to) >> 1
    if ((places[middle] ?? 0) <= at) from = middle + 1
    else to = middle
  }
  return from
}

/** The page on which a place of a text stands: by its form feeds, else by the page that is named last before it, else first after it. */
export function pagesOf(text: string, claims: readonly Claim[]): (at: number) => string | undefined {
  const ends = [...text.matchAll(/\f/g)].map(({ index }) => index)
  if (ends.length > 0) return (at) => String(countUpTo(ends, at) + 1)
  const named = claims.filter(({ what }) => what === 'source.page')
  const places = named.map(({ at }) => at[0])
  return (at) => {
    const page = named[Math.max(0, countUpTo(places, at) - 1)]
    return page === undefined ? undefined : String(page.value)
  }
}

/** A thread that is named no further from its torque than so many letters is that joint’s. */
const MOST_BETWEEN = 60

/** What stands beside a claim and belongs to it. Claims are in the order of their places. */
export interface ClaimsBeside {
  /** The other end of a range, which stands at the same place. */
  readonly endOf: (claim: Claim) => Claim | undefined
  /** The thread that is named just before a torque. */
  readonly threadOf: (claim: Claim) => string | undefined
}

export function besideIn(claims: readonly Claim[]): ClaimsBeside {
  const ends = new Map(
    claims.filter(({ what }) => what.endsWith('.to')).map((claim) => [`${claim.what} ${claim.at[0]}`, claim]),
  )
  const threads = claims.filter(({ what, sure }) => what === 'joint.thread' && sure)
  const places = threads.map(({ at }) => at[1])
  return {
    endOf: ({ what, at }) => ends.get(`${what.replace(/from$/, 'to')} ${at[0]}`),
    threadOf: ({ at }) => {
      const thread = threads[countUpTo(places, at[0]) - 1]
      return thread && at[0] - thread.at[1] <= MOST_BETWEEN ? String(thread.value) : undefined
    },
  }
}
