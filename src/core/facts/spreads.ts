import { nearest } from '../geometry/intervals'
import type { SpreadMember, SpreadPair, Spreads, WantedSpread } from '../survey/bars/spread'
import { missedBy, onlyMembers, solveSpread, type SpreadSolution } from '../survey/bars/spread-problem'
import type { Survey } from '../survey/survey'
import { atMost, between, fails, overBy, type Compared } from './comparison'

/** What something wants between two neighbouring bars, against what is there. Centre to centre, mm. */
export interface SpreadFact {
  readonly pair: SpreadPair
  readonly want: WantedSpread
  readonly compared: Compared
  /** Against what two bars on a roof usually have; nothing of more bars, or of bars elsewhere. */
  readonly usual: Compared | undefined
}

/** The usual spread of two bars on a roof, 24 to 36 in: a hint, no limit. Common practice, no source. mm */
export const USUAL_SPREAD = { fromMm: 609.6, toMm: 914.4 } as const

function usualOf(survey: Survey, { front, nowMm }: SpreadPair): Compared | undefined {
  const at = survey.racks.find(({ rack }) => rack.id === front.rack.id)
  return at?.onRoof === true && at.rack.kind === 'bars' && at.bars.length === 2
    ? between(nowMm, USUAL_SPREAD.fromMm, USUAL_SPREAD.toMm)
    : undefined
}

/** A smallest set of wants that no spread suits together. */
export interface SpreadConflict {
  readonly set: readonly SpreadMember[]
  /** Where it is the vehicle's own places that miss what one thing wants: its pair, the best there is, and how far off that is. mm */
  readonly short: { readonly pair: SpreadPair; readonly ableMm: number; readonly byMm: number } | undefined
  /** How much is missing between them all, where that can be said. mm */
  readonly missedMm: number | undefined
  /** The want that says the same: the vehicle allows no better than what is there. */
  readonly sameAs: SpreadFact | undefined
}

/** Everything that anybody wants of two neighbouring bars. */
export const spreadFacts = (survey: Survey): readonly SpreadFact[] =>
  survey.fit.spreads().pairs.flatMap((pair) =>
    pair.wants.map((want) => ({
      pair,
      want,
      compared: between(pair.nowMm, want.from, want.to),
      usual: usualOf(survey, pair),
    })),
  )

function shortBy(
  spreads: Spreads,
  able: SpreadSolution | undefined,
  set: readonly SpreadMember[],
): SpreadConflict['short'] {
  if (set.length !== 2 || !set.some(({ kind }) => kind === 'vehicle')) return undefined
  const id = set.find(({ kind }) => kind === 'thing')?.id
  for (const pair of spreads.pairs) {
    const want = pair.wants.find(({ member }) => member.id === id)
    const possible = able?.between(spreads.bars.indexOf(pair.front), spreads.bars.indexOf(pair.rear))
    const closest = want && possible && nearest(possible, (want.from + want.to) / 2)
    if (!want || closest === undefined) continue
    const compared = between(closest, want.from, want.to)
    if (fails(compared)) return { pair, ableMm: closest, byMm: overBy(compared) }
  }
  return undefined
}

/** The sets of wants that cannot all be had, where some want is not met; `wrong` are those. */
export function spreadConflicts(survey: Survey, wrong: readonly SpreadFact[]): readonly SpreadConflict[] {
  if (wrong.length === 0) return []
  const spreads = survey.fit.spreads()
  const conflicts = spreads.conflicts()
  if (conflicts.length === 0) return []
  const able = solveSpread(onlyMembers(spreads.problem, new Set(['vehicle'])))
  const all = conflicts.map((set): SpreadConflict => {
    const short = shortBy(spreads, able, set)
    const thing = set.find(({ kind }) => kind === 'thing')
    return {
      set,
      short,
      missedMm: short ? undefined : missedBy(onlyMembers(spreads.problem, new Set(set.map(({ id }) => id)))),
      sameAs:
        short &&
        wrong.find(
          ({ want, compared }) =>
            want.member.id === thing?.id && Math.abs(overBy(compared) - short.byMm) < 1e-6,
        ),
    }
  })
  // What a tape cannot tell is no conflict: 900 mm suits 35 7/16 in.
  return all.filter(({ missedMm }) => missedMm === undefined || fails(atMost(missedMm, 0)))
}
