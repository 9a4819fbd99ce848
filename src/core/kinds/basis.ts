import * as z from '../units/schema'
import { kindsOf } from './kind'

interface BasisTraits {
  readonly word: string
  /** Why a verdict may depend on it. */
  readonly doubt: string
  /** Whether a person may say so of what he types; a form or a fix says the others. */
  readonly said: boolean
}

/**
 * How a mass is known: weighed here, stated by the maker, told by somebody, the customer's guess, filled in by a
 * form, or a target that a fix has set and nobody has weighed yet. Of what nobody knows yet, what stands is the least it can be.
 */
export const BASES = {
  weighed: { word: 'weighed', doubt: 'weighed only to a hundredth', said: true },
  maker: { word: "maker's figure", doubt: 'a maker’s figure', said: true },
  told: { word: 'told', doubt: 'told, not weighed', said: true },
  guess: { word: 'guess', doubt: 'a guess', said: true },
  start: { word: 'starting value', doubt: 'a starting value of the form', said: false },
  target: { word: 'target', doubt: 'a target', said: false },
  unknown: { word: 'not known yet', doubt: 'not known yet', said: true },
} as const satisfies Record<string, BasisTraits>
export type Basis = keyof typeof BASES

export const basisSchema = z.enum(kindsOf(BASES))
