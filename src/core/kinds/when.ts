import * as z from '../units/schema'
import { STATES, type State } from '../units/scalars'
import { kindsOf } from './kind'

interface WhenTraits {
  readonly word: string
  readonly states: readonly State[]
}

/** When something is on board, and in which states that is. */
export const WHENS = {
  always: { word: 'always', states: STATES },
  driving: { word: 'when driving', states: ['road', 'trail'] },
  parked: { word: 'parked only', states: ['parked'] },
} as const satisfies Record<string, WhenTraits>
export type When = keyof typeof WHENS

export const whenSchema = z.enum(kindsOf(WHENS))
