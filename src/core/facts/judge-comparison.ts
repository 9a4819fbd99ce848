import { entryKey } from '../plan/schema/entry'
import { movesTogether } from './bracket'
import { fails, overBy, slackOf, type Comparison, type FactUse } from './comparison'

/** What may turn a comparison: one fact, or all guesses and starting values of it together. */
export interface Doubt {
  readonly uses: readonly FactUse[]
  /** How far the comparison would be past its limit at that end; negative is what would be left. */
  readonly overBy: number
  /** How far the fact must move until it turns, in its own unit; of several together nothing. */
  readonly needs: number | undefined
}

/** What becomes of a comparison whose facts are not all certain. */
export type ComparisonVerdict =
  | { readonly is: 'within' }
  /** It fails as it stands; what would clear it is asked beside it. */
  | { readonly is: 'over'; readonly doubts: readonly Doubt[] }
  /** It holds as it stands, and would not at an end of one fact. */
  | { readonly is: 'hangs'; readonly doubts: readonly Doubt[] }
  /** No fact alone turns it, and all of them together at their worse ends would. */
  | { readonly is: 'together'; readonly facts: number; readonly overBy: number }

const WITHIN: ComparisonVerdict = { is: 'within' }

/** Entries that stand in a comparison more than once are one fact each: it has the same value wherever it is used. */
export function joined(uses: readonly FactUse[]): readonly FactUse[] {
  const byEntry = new Map<string, FactUse>()
  for (const use of uses) {
    const key = entryKey(use.entry)
    const before = byEntry.get(key)
    byEntry.set(key, before ? { ...before, per: before.per + use.per } : use)
  }
  return [...byEntry.values()]
}

/** How much the comparison changes at most when a fact goes to an end of its bracket; more than anything where nobody knows it. */
export const swing = ({ per, bracket }: FactUse): number => (per === 0 ? 0 : Math.abs(per) * bracket)

/** How far facts move a comparison at most: any one of them, or all guesses and starting values together; what nobody knows at all is left out. */
export function mostSwing(uses: readonly FactUse[]): number {
  let single = 0
  let together = 0
  for (const use of uses)
    if (use.how === 'unknown') continue
    else if (movesTogether(use.how)) together += swing(use)
    else single = Math.max(single, swing(use))
  return Math.max(single, together)
}

/**
 * By how much a comparison is past its limit at most, with any one fact, or all guesses and starting values together, at
 * the worse end; what nobody knows at all is left out. In its unit; negative is what is left.
 */
export const mostOver = (comparison: Comparison): number =>
  overBy(comparison) + mostSwing(joined(comparison.uses()))

/**
 * Whether a comparison holds, fails, or depends on what is only told, guessed, weighed or filled in by a form. Figures in
 * doubt move one at a time, all guesses and starting values together; what nobody knows may be anything more than stands.
 */
export function judgeComparison(comparison: Comparison): ComparisonVerdict {
  const over = overBy(comparison)
  const slack = slackOf(comparison)
  const failing = fails(comparison)
  if (comparison.swings !== undefined && over + comparison.swings <= slack) return WITHIN
  const doubtful = joined(comparison.uses()).filter((use) => use.bracket > 0 && swing(use) > 0)
  const at = (by: number) => (failing ? over - by : over + by)
  const turned = (value: number) => value > slack !== failing
  const single = doubtful.filter(({ how }) => !movesTogether(how))
  const together = doubtful.filter(({ how }) => movesTogether(how))
  const doubts: Doubt[] = []
  for (const use of single) {
    const by = swing(use)
    // What nobody knows only adds: nothing that is over comes back by it.
    if (failing && by === Infinity) continue
    if (turned(at(by)))
      doubts.push({
        uses: [use],
        overBy: at(by),
        needs: by === Infinity ? undefined : Math.abs(over) / Math.abs(use.per),
      })
  }
  const all = together.reduce((sum, use) => sum + swing(use), 0)
  if (together.length > 0 && turned(at(all))) {
    const [only] = together
    doubts.push({
      uses: together,
      overBy: at(all),
      needs: together.length === 1 && only ? Math.abs(over) / Math.abs(only.per) : undefined,
    })
  }
  if (failing) return { is: 'over', doubts }
  if (doubts.length > 0) return { is: 'hangs', doubts }
  const worst = over + doubtful.reduce((sum, use) => sum + swing(use), 0)
  return worst > slack ? { is: 'together', facts: doubtful.length, overBy: worst } : WITHIN
}
