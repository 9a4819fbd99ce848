import type { Basis } from '../kinds/basis'
import { PROVENANCES, howTraits, type Provenance } from '../kinds/provenance'
import { kindsOf } from '../kinds/kind'
import type { HouseRules } from '../plan/schema/house'

const HOW_OF: ReadonlyMap<Basis, Provenance> = new Map(
  kindsOf(PROVENANCES)
    .toReversed()
    .map((how) => [PROVENANCES[how].basis, how] as const),
)

/** How a mass is known, in the words of every other figure; nothing for one that nobody knows or that was computed. */
export const howOfBasis = (basis: Basis | 'computed'): Provenance | undefined =>
  basis === 'computed' ? undefined : HOW_OF.get(basis)

/**
 * How far a mass or a rating may be off, as a part of it, by how it is known. A guess is never surer than what was told,
 * whatever the house's school.
 */
export function partBracket(how: Provenance | undefined, rules: HouseRules): number {
  if (how === undefined) return 0
  const part = howTraits(how).off?.part ?? 0
  const { guess } = rules
  return how === 'guess' && guess.school === 'margin' ? Math.max(part, guess.percent / 100) : part
}

const massBrackets = new WeakMap<HouseRules, Map<Basis | 'computed', number>>()

/** How far a mass may be off, as a part of it. It is asked of every mass in every sum, so the answers are kept with the rules. */
export function massBracket(basis: Basis | 'computed', rules: HouseRules): number {
  let cached = massBrackets.get(rules)
  if (!cached) {
    cached = new Map()
    massBrackets.set(rules, cached)
  }
  let part = cached.get(basis)
  if (part === undefined) {
    part = partBracket(howOfBasis(basis), rules)
    cached.set(basis, part)
  }
  return part
}

/** How far a length may be off, mm; of repeated readings by their own scatter where that is more. */
export function lengthBracket(how: Provenance, mm: number, scatterMm = 0): number {
  const off = howTraits(how).off
  return off ? Math.max(off.leastMm, Math.abs(mm) * off.lengthPart, how === 'measured' ? scatterMm : 0) : 0
}

/** Whether what is known so is off together with everything else that is. */
export const movesTogether = (how: Provenance | 'unknown'): boolean =>
  how !== 'unknown' && howTraits(how).together === true
