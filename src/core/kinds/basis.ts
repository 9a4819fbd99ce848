import * as z from '../units/schema'
import { kindsOf } from './kind'

interface BasisTraits {
  readonly word: string
  /** How far off it may be, as a part of it; of a guess the house says. Common practice, no source. */
  readonly off?: number
  /** Why a verdict may hang on it. */
  readonly doubt: string
  /** Whether a person may say so of what he types; a form or a fix says the others. */
  readonly said: boolean
}

/**
 * How a mass is known: weighed here, stated by the maker, told by somebody, the customer's guess, filled in by a
 * form, or a target that a fix has set and nobody has weighed yet. Of what nobody knows yet, what stands is the least it can be.
 */
export const BASES = {
  weighed: { word: 'weighed', off: 0.01, doubt: 'weighed only to a hundredth', said: true },
  maker: { word: "maker's figure", doubt: 'a maker’s figure', said: true },
  told: { word: 'told', off: 0.1, doubt: 'told, not weighed', said: true },
  guess: { word: 'guess', doubt: 'a guess', said: true },
  start: { word: 'starting value', off: 0.25, doubt: 'a starting value of the form', said: false },
  target: { word: 'target', doubt: 'a target', said: false },
  unknown: { word: 'not known yet', doubt: 'not known yet', said: true },
} as const satisfies Record<string, BasisTraits>
export type Basis = keyof typeof BASES

export const basisSchema = z.enum(kindsOf(BASES))

/** How far off a mass may be by how it is known, as a part of it; nothing for a guess, of which the house says. */
export const offOf = (basis: Basis | 'computed'): number =>
  basis === 'computed' ? 0 : ((BASES[basis] as BasisTraits).off ?? 0)
