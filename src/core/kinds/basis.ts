import * as z from 'zod'
import { kindsOf } from './kind'

interface BasisTraits {
  readonly word: string
  /** Whether a person may say so of what he types; a form or a fix says the others. */
  readonly said: boolean
}

/**
 * How a mass is known: weighed here, stated by the maker, told by somebody, the customer's guess, filled in by a
 * form, or a target that a fix has set and nobody has weighed yet.
 */
export const BASES = {
  weighed: { word: 'weighed', said: true },
  maker: { word: "maker's figure", said: true },
  told: { word: 'told', said: true },
  guess: { word: 'guess', said: true },
  start: { word: 'starting value', said: false },
  target: { word: 'target', said: false },
} as const satisfies Record<string, BasisTraits>
export type Basis = keyof typeof BASES

export const basisSchema = z.enum(kindsOf(BASES))
